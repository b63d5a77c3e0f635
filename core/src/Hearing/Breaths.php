<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Lexicon;
use MildBowl\Core\Reading\NumberReader;

/**
 * Where a talk that a machine wrote down without a mark takes breath: before what begins a sentence ("then", "so", "I've got", "roll"), and
 * before the amount of the next food once a food and its amount have been told.
 */
final class Breaths
{
    /** Words from which a stretch without marks is no sentence any more. */
    private const LONG = 30;

    /** Words of a sentence at least. */
    private const SHORT = 3;

    /** What begins a sentence, wherever it stands. */
    private const TURNS = ['then', 'okay', 'ok', 'alright', 'anyway', 'next', 'finally', 'recipe'];

    private const HOLDING_TURNS = ['and', 'but', 'or', 'the', 'a', 'by', 'till', 'until', 'since', 'so', 'right', 'well', 'now', 'this', 'is', 'are', 'im', 'its', 'back', 'your', 'my', 'another', 'of'];

    /** What begins a sentence, unless something before asks for more. */
    private const OPENERS = [
        'now', 'right', 'so', 'oh', 'i', 'im', 'ive', 'ill', 'id', 'you', 'youre', 'youve', 'youll', 'we', 'weve', 'well', 'its', 'thats', 'theres', 'he', 'hes', 'she', 'shes', 'they', 'theyre', 'dont', 'do',
        'put', 'pop', 'add', 'mix', 'stir', 'mash', 'roll', 'bake', 'boil', 'cook', 'cut', 'line', 'pour', 'press', 'whizz', 'blend', 'knead', 'drain', 'spread', 'shape', 'leave', 'keep', 'store', 'freeze', 'take', 'get', 'use', 'oven', 'please',
    ];

    /** "I'd say a tablespoon": goes with what stands before. */
    private const SAYING = ['say', 'call', 'think', 'guess', 'reckon', 'mean', 'said', 'suppose', 'wouldnt'];

    /** Behind one of these nothing begins. */
    private const HOLDING = [
        'of', 'and', 'or', 'a', 'an', 'the', 'to', 'in', 'with', 'for', 'at', 'on', 'into', 'from', 'about', 'around', 'roughly', 'by', 'than', 'as', 'like', 'per', 'nearly', 'almost',
        'is', 'are', 'its', 'thats', 'theres', 'was', 'be', 'been', 'my', 'your', 'our', 'his', 'her', 'some', 'this', 'that', 'these', 'those', 'what', 'which', 'who', 'when', 'where', 'how', 'why', 'whatever', 'wherever',
        'i', 'im', 'ive', 'ill', 'id', 'you', 'youre', 'youve', 'youll', 'we', 'weve', 'were', 'well', 'he', 'hes', 'she', 'shes', 'they', 'theyre', 'gonna', 'lets', 'let', 'please', 'always', 'never', 'just', 'only', 'not', 'no', 'nae', 'dont', 'do', 'cannot', 'cant', 'wont',
        'can', 'could', 'will', 'would', 'should', 'must', 'may', 'might', 'if', 'unless', 'until', 'till', 'before', 'after', 'while', 'since', 'because', 'so', 'then', 'but', 'very', 'really', 'thank', 'see', 'said', 'say', 'says', 'call', 'people', 'folk', 'folks', 'some', 'everyone', 'everybody', 'anyone', 'somebody', 'someone', 'good', 'without', 'instead', 'minus',
    ];

    /** What an amount that goes with the words before it stands behind, besides. */
    private const GOVERNING = ['take', 'takes', 'need', 'needs', 'want', 'use', 'used', 'using', 'add', 'adding', 'put', 'get', 'got', 'have', 'has', 'had', 'makes', 'another', 'goes', 'comes', 'gets', 'weighs', 'plus'];

    /** What no food begins with. */
    private const NO_FOOD = ['a', 'an', 'and', 'then', 'in', 'at', 'with', 'for', 'from', 'no', 'its', 'so', 'to', 'on', 'is', 'i', 'you', 'if'];

    /** @return list<string> the same letters, cut */
    public static function of(string $text, Lexicon $lexicon): array
    {
        $parts = preg_split('/(\s+)/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        $count = intdiv(count($parts), 2) + 1;
        if ($count <= self::LONG || preg_match_all('/[,;:—–]/u', $text) > $count / self::LONG) {
            return [$text];
        }
        $words = [];
        for ($i = 0; $i < count($parts); $i += 2) {
            $words[] = str_replace(["'", '’'], '', mb_strtolower($parts[$i]));
        }
        $cut = [];
        $begun = 0;
        $isTold = false;
        foreach ($words as $n => $word) {
            $last = $words[$n - 1] ?? '';
            $isBreath = $n - $begun >= self::SHORT && self::begins($word, $words[$n + 1] ?? '', $last);
            $amount = NumberReader::isNumber($word) || in_array($word, ['a', 'an', 'about', 'and', 'then', 'like', 'plus', 'maybe'], true) ? self::foodBehind($words, $n, $lexicon) : null;
            if ($amount !== null && $n > $begun + 1 && ($isTold || $n > $begun + 2 || ! self::isFood($words, $n - 1, $lexicon)) && ! self::isHeld($words, $n)) {
                $isBreath = true;
            }
            if ($isBreath) {
                $cut[$n] = true;
                $begun = $n;
                $isTold = false;
            }
            $isTold = $isTold || $amount !== null;
        }
        $pieces = [];
        $piece = '';
        foreach ($words as $n => $word) {
            if (isset($cut[$n])) {
                $pieces[] = $piece;
                $piece = '';
            }
            $piece .= $parts[2 * $n].($parts[2 * $n + 1] ?? '');
        }

        return [...$pieces, $piece];
    }

    private static function begins(string $word, string $next, string $last): bool
    {
        if (in_array($word, self::TURNS, true)) {
            return ! in_array($last, self::HOLDING_TURNS, true);
        }

        $isTelling = in_array($word, ['it', 'this', 'that', 'these', 'those'], true) && in_array($next, ['is', 'are', 'was', 'were', 'keeps', 'keep', 'makes', 'make', 'comes', 'come', 'goes', 'go', 'does', 'looks', 'smells', 'stays', 'will'], true);

        if ($isTelling && $last === 'no') {
            return true;
        }

        return ($isTelling || in_array($word, self::OPENERS, true)) && ! in_array($last, self::HOLDING, true) && ! in_array($next, self::SAYING, true);
    }

    /**
     * Whether an amount goes with the words before it: "a cup" "and a half of", "I used" "three tablespoons".
     *
     * @param  list<string>  $words
     */
    private static function isHeld(array $words, int $at): bool
    {
        $last = $words[$at - 1];
        if ($last === 'that' && ($words[$at - 2] ?? '') === 'of') {
            return false;
        }

        return in_array($last, self::HOLDING, true) || in_array($last, self::GOVERNING, true) || NumberReader::isNumber($last)
            || ($words[$at] === 'and' && self::isUnit($last) && preg_match('/^(?:a |an )?(?:half|quarter|third)\b/u', implode(' ', array_slice($words, $at + 1, 2))) === 1);
    }

    private static function isUnit(string $word): bool
    {
        return Unit::isNamed($word) || Unit::isNamed(Tokenizer::stem($word));
    }

    /** @param  list<string>  $words */
    private static function isFood(array $words, int $at, Lexicon $lexicon): bool
    {
        $last = $words[$at] ?? '';

        return $lexicon->idOf($last) !== null || $lexicon->idOf(($words[$at - 1] ?? '')." $last") !== null;
    }

    /**
     * The food that an amount beginning at a word measures: "and a hundred grams of oatmeal", "one egg".
     *
     * @param  list<string>  $words
     */
    private static function foodBehind(array $words, int $at, Lexicon $lexicon): ?string
    {
        $i = $at;
        while (in_array($words[$i] ?? '', ['and', 'about', 'then', 'like', 'plus', 'maybe'], true) && $i < $at + 3) {
            $i++;
        }
        $first = $i;
        while ((NumberReader::isNumber($words[$i] ?? '') || in_array($words[$i] ?? '', ['a', 'an', 'and', 'of', 'thirds', 'quarters'], true)) && $i < $first + 6) {
            $i++;
        }
        if ($i === $first) {
            return null;
        }
        $isMeasured = false;
        while (isset($words[$i]) && (self::isUnit($words[$i]) || in_array($words[$i], ['heaped', 'level', 'big', 'small', 'medium', 'large', 'of', 'plain', 'good'], true))) {
            $isMeasured = $isMeasured || self::isUnit($words[$i]);
            $i++;
        }
        if ($isMeasured && preg_match('/^and (?:a |an )?(?:half|quarter|third|bit)(?: of)?/u', implode(' ', array_slice($words, $i, 4)), $more) === 1) {
            $i += substr_count($more[0], ' ') + 1;
        }
        $reach = $isMeasured ? 3 : (preg_match('/^(?:a|an|and)$/u', $words[$first]) === 1 ? 1 : 2);
        for ($k = $i; $k < $i + $reach; $k++) {
            if (NumberReader::isNumber($words[$k] ?? '') || in_array($words[$k] ?? '', self::NO_FOOD, true)) {
                return null;
            }
            for ($length = 3; $length > 0; $length--) {
                $id = $lexicon->idOf(implode(' ', array_slice($words, $k, $length)));
                if ($id !== null) {
                    return $id;
                }
            }
        }

        return null;
    }
}
