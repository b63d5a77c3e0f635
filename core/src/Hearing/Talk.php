<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Lexicon;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/**
 * What somebody tells, sentence by sentence. Times in brackets, hashtags and addresses are passed over where they stand, so that every
 * place in it is a place in the talk as it came.
 */
final class Talk
{
    /** Times, tags and addresses: no words of the talk. */
    private const PASSED_OVER = '/[\[(]?\b\d{1,2}:\d{2}(?::\d{2})?(?:[.,]\d{1,3})?(?:\s*-->\s*\d{1,2}:\d{2}(?::\d{2})?(?:[.,]\d{1,3})?)?[\])]?|(?<![\w#])#[\p{L}_]\w*|\bhttps?:\/\/\S+|\bwww\.\S+|(?<=\d)ish\b|\[(?:music|applause|laughter|laughs|noise|barking)\]/iu';

    /** Captions of a file are counted, row by row. */
    private const COUNTER = '/^\d{1,5}[ \t]*(?=\r?\n\s*\d{1,2}:\d{2}(?::\d{2})?[.,]\d{3}\s*-->)/mu';

    /** A full stop after these ends no sentence. */
    private const SHORTENED = '/(?:^|[\s(])(?:tbsp|tsp|tbs|oz|lb|lbs|approx|no|vs|e\.g|i\.e|mr|mrs|ms|dr|st|min|mins|hr|hrs|pkg|pt|qt|c|g|kg|ml|etc|incl|ca)\.$/iu';

    /** "Baking powder, half a tsp.": measured last, the sentence is over. */
    private const MEASURED_LAST = '/^[^,]+, [^,]*\b(?:tbsp|tsp|tbs|oz|lb|lbs|g|kg|ml|c)\.$/iu';

    /** "That came to 180 g. One egg.": a written number begins the next sentence, and no food of those grams. */
    private const NEXT_AMOUNT = '/^(?:One|Two|Three|Four|Five|Six|Eight|Ten|Half|A|An|And|Then|Now|Next|Add|Mix|Stir) /u';

    /** Letters of talk that are heard at once: more than two hours of it. */
    public const LONGEST = 120_000;

    /** Letters of one sentence; dictation knows no full stops. */
    private const LONGEST_SENTENCE = 2_500;

    /** Words to a mark in a talk that was written with marks, at most. */
    private const MARKED = 25;

    /** The talk with blanks where no words of it stand, as long as it was. */
    public static function plain(string $content, Lexicon $lexicon): string
    {
        $content = (string) preg_replace('/(?<=[\p{L}\d)] )n(?= [\p{L}\d])/u', '&', $content);

        $content = (string) preg_replace_callback(self::COUNTER, static fn (array $found): string => str_repeat(' ', strlen($found[0])), $content);
        $content = self::withoutSpeakers($content);

        return Captions::joined((string) preg_replace_callback(self::PASSED_OVER, static fn (array $found): string => str_repeat(' ', mb_strlen($found[0])), $content), $lexicon);
    }

    /** "Mum: …", "Kid: …": who speaks, where the same one does twice. */
    private static function withoutSpeakers(string $content): string
    {
        $time = '[\[(]?\d{1,2}:\d{2}(?::\d{2})?[\])]?\h*';
        preg_match_all('/^\h*(?:'.$time.')?(\p{Lu}[\p{L}.\' -]{0,20}):/mu', $content, $found);
        $twice = array_keys(array_filter(array_count_values($found[1]), static fn (int $count): bool => $count > 1));
        if ($twice === []) {
            return $content;
        }
        $names = implode('|', array_map(static fn (string $one): string => preg_quote($one, '/'), $twice));

        return (string) preg_replace_callback('/^(\h*(?:'.$time.')?)((?:'.$names.'):)/mu', static fn (array $who): string => $who[1].str_repeat(' ', mb_strlen($who[2])), $content);
    }

    /**
     * @param  string  $text  a plain part of the talk
     * @param  int  $at  its first code point in the talk
     * @return list<Sentence>
     */
    public static function sentences(string $text, int $at, Lexicon $lexicon): array
    {
        $sentences = [];
        $buffer = '';
        $from = 0;
        $isMarked = preg_match_all('/[.!?…,;](?=\s|$|["\')])/u', $text) * self::MARKED >= preg_match_all('/\s+/u', $text);
        $parts = preg_split('/((?<=[.!?…])["\')\]]*\s+|\s*\n\s*)/u', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        foreach ($parts as $n => $part) {
            if ($n % 2 === 0) {
                $from = $buffer === '' ? $at : $from;
                $buffer .= $part;
            } elseif (! str_contains($part, "\n") && preg_match(self::SHORTENED, $buffer) === 1 && preg_match(self::MEASURED_LAST, $buffer) !== 1 && preg_match(self::NEXT_AMOUNT, $parts[$n + 1] ?? '') !== 1) {
                $buffer .= $part;
            } else {
                self::take($buffer, $from, $isMarked, $lexicon, $sentences);
                $buffer = '';
            }
            $at += mb_strlen($part);
        }
        self::take($buffer, $from, $isMarked, $lexicon, $sentences);

        return self::withoutNames($sentences);
    }

    /** @param  list<Sentence>  $sentences */
    private static function take(string $text, int $from, bool $isMarked, Lexicon $lexicon, array &$sentences): void
    {
        $rest = ltrim($text);
        $plain = rtrim($rest);
        if ($plain === '') {
            return;
        }
        $from += mb_strlen(substr($text, 0, strlen($text) - strlen($rest)));
        foreach ($isMarked ? [$plain] : Breaths::of($plain, $lexicon) as $breath) {
            self::cut($breath, $from, $lexicon, $sentences);
            $from += mb_strlen($breath);
        }
    }

    /** @param  list<Sentence>  $sentences */
    private static function cut(string $text, int $from, Lexicon $lexicon, array &$sentences): void
    {
        $plain = rtrim($text);
        while (strlen($plain) > self::LONGEST_SENTENCE) {
            $cut = strrpos(substr($plain, 0, self::LONGEST_SENTENCE), ' ');
            $first = $cut === false || $cut < 10 ? mb_strcut($plain, 0, self::LONGEST_SENTENCE) : substr($plain, 0, $cut);
            $sentences[] = new Sentence($first, $from, $from + mb_strlen($first), Words::of($first, $lexicon));
            $left = substr($plain, strlen($first));
            $plain = ltrim($left);
            $from += mb_strlen($first) + mb_strlen(substr($left, 0, strlen($left) - strlen($plain)));
        }
        if ($plain === '') {
            return;
        }
        $sentences[] = new Sentence($plain, $from, $from + mb_strlen($plain), Words::of($plain, $lexicon));
    }

    /**
     * "Bean weighs twelve kilos", "Pickle is on my foot": a food written large in the middle of a sentence, and never small, is somebody.
     *
     * @param  list<Sentence>  $sentences
     * @return list<Sentence>
     */
    private static function withoutNames(array $sentences): array
    {
        $large = $small = [];
        foreach ($sentences as $sentence) {
            $isFirst = true;
            foreach ($sentence->words->tokens as $token) {
                if ($token->kind !== Token::WORD) {
                    $isFirst = $isFirst || $token->is(':', '-', '"');

                    continue;
                }
                $letter = mb_substr($token->raw, 0, 1);
                if ($letter !== mb_strtolower($letter)) {
                    $large[$token->stem] = ($large[$token->stem] ?? false) || ! $isFirst;
                } else {
                    $small[$token->stem] = true;
                }
                $isFirst = false;
            }
        }
        $names = array_diff_key(array_filter($large), $small) + self::doers($sentences);

        return array_map(static fn (Sentence $one): Sentence => new Sentence($one->text, $one->from, $one->to, $one->words->without(
            static fn (Mention $mention): bool => $mention->to === $mention->from + 1 && isset($names[$one->words->tokens[$mention->from]->stem]) && ! self::isMeasured($mention, $one->words)
        )), $sentences);
    }

    /** "80 grams of grated Edam" is cheese, whoever else is called so. */
    private static function isMeasured(Mention $mention, Words $words): bool
    {
        foreach ($words->amounts as $amount) {
            if ($amount->unit !== 'each' && $amount->to <= $mention->from && $mention->from <= $amount->to + 2) {
                return true;
            }
        }

        return false;
    }

    /**
     * "Bramble has two a day": who weighs, gets or loves something is somebody, also in a talk without capitals.
     *
     * @param  list<Sentence>  $sentences
     * @return array<string, bool>
     */
    private static function doers(array $sentences): array
    {
        $names = $other = [];
        foreach ($sentences as $sentence) {
            $words = $sentence->words;
            foreach ($words->mentions as $mention) {
                $stem = $words->tokens[$mention->from]->stem;
                if ($mention->to === $mention->from + 1 && ($words->tokens[$mention->from - 1] ?? null)?->is('the', 'your', 'of', 'some', 'my', 'that', 'this') !== true && ($words->tokens[$mention->to] ?? null)?->is('has', 'gets', 'weighs', 'loves', 'likes', 'eats', 'says', 'hates', 'wants', 'knows') === true) {
                    $names[$stem] = true;
                }
                foreach ($words->amounts as $amount) {
                    $other[$stem] = ($other[$stem] ?? false) || $amount->to === $mention->from;
                }
            }
        }

        return array_diff_key($names, array_filter($other));
    }
}
