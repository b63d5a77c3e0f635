<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Reading\Clause;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/** The words of a clause that name its food and its form, without its amount and without the telling around it. */
final class Phrase
{
    /** "In a dry pan": what stands before one of these is said of it, not of the food. */
    private const VESSELS = ['pan', 'frying', 'skillet', 'pot', 'bowl', 'tray', 'towel', 'cloth', 'tea', 'place', 'cupboard', 'hands'];

    /** Small words that may stand between forms and between foods that are left out. */
    private const BETWEEN = [',' => true, 'and' => true, 'or' => true, '-' => true, 'with' => true, 'no' => true, 'without' => true, 'in' => true, 'it' => true, 'not' => true, 'any' => true, 'free' => true, 'water' => true, 'finely' => true, 'well' => true, 'small' => true, 'soft' => true, 'the' => true, 'kind' => true, 'sort' => true, 'ones' => true, 'one' => true, 'that' => true, 'i' => true, 'ive' => true, 'we' => true, 'have' => true, 'been' => true, 'thats' => true, 'is' => true, 'are' => true, 'already' => true, 'which' => true, 'a' => true, 'medium' => true, 'large' => true, 'big' => true];

    /** @return array{string, string} with its forms, and the food alone */
    public static function of(Words $words, Mention $food, Clause $clause): array
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        $inAmount = $inFood = [];
        foreach ($words->amounts as $amount) {
            for ($i = $amount->from; $i < $amount->to; $i++) {
                $inAmount[$i] = true;
            }
        }
        foreach ($words->mentions as $index => $mention) {
            if (isset($words->negated[$index]) || $mention->alternative) {
                for ($i = $mention->from; $i < $mention->to; $i++) {
                    $inFood[$i] = true;
                }
            }
        }
        $from = $food->from;
        $after = self::afterAmount($words, $food);
        $other = max([0, ...array_map(static fn (Mention $one): int => ! $one->within && $one->to <= $food->from ? $one->to : 0, $words->mentions)]);
        while ($from > max($clause->from, $other) && ! isset($inAmount[$from - 1]) && ! $words->tokens[$from - 1]->is('of', 'the', 'some', 'a', 'an', 'is', 'are', 'its', 'thats', 'was', 'much', 'many', 'as') && (! $words->tokens[$from - 1]->is(',') || $from - 1 > $after) && (isset($forms[$words->tokens[$from - 1]->stem]) || $from - 1 >= $after)) {
            $from--;
        }
        $to = $last = $food->to;
        $depth = 0;
        for ($k = $to; $k < $clause->to; $k++) {
            $token = $words->tokens[$k];
            if (isset($inAmount[$k]) || ($token->is('thats', 'that') && ($words->tokens[$k + 1] ?? null)?->is('it', 'all', 'that', 'everything', 'literally', 'is')) || ($depth === 0 && ! isset($forms[$token->stem]) && ! isset($inFood[$k]) && ! isset(self::BETWEEN[$token->text]) && ! $token->is('('))) {
                break;
            }
            $depth += $token->is('(') ? 1 : ($token->is(')') ? -1 : 0);
            if ($depth === 0 && ($words->tokens[$k - 1]->is('i', 'we') || $words->tokens[$k - 1]->is('have', 'ive')) && ($words->tokens[$k + 1] ?? null)?->is('the', 'a', 'an', 'my', 'some') === true) {
                // "the water I cooked the carrots in"
                break;
            }
            if ($depth === 0 && ((isset($forms[$token->stem]) && ($words->tokens[$k + 1] ?? null)?->is(...self::VESSELS) !== true) || isset($inFood[$k]) || $token->is(')', 'water', 'free'))) {
                $last = $k + 1;
            }
        }

        return [self::text($words, $from, $last).self::behindAmount($words, $last, $clause, $inAmount), self::text($words, $food->from, $food->to)];
    }

    /**
     * Forms behind an amount that came after the food: "butter, say 25 grams, melted, unsalted".
     *
     * @param  array<int, true>  $inAmount
     */
    private static function behindAmount(Words $words, int $last, Clause $clause, array $inAmount): string
    {
        $amounts = array_filter(array_keys($inAmount), static fn (int $at): bool => $at >= $last && $at < $clause->to);

        if ($amounts === []) {
            return '';
        }
        $end = min($amounts) + 1;
        while (isset($inAmount[$end])) {
            $end++;
        }

        return self::behind($words, $end, $clause->to);
    }

    /** The words of form among others, each behind a comma. */
    public static function formsIn(string $text, string $plain): string
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        $found = '';
        $all = preg_split('/[^\p{L}-]+/u', mb_strtolower($text)) ?: [];
        foreach ($all as $n => $word) {
            $found .= isset($forms[Tokenizer::stem($word)]) && ! in_array($all[$n + 1] ?? '', self::VESSELS, true) && ! str_contains(mb_strtolower($plain), $word) && ! str_contains($found, $word) ? ", $word" : '';
        }

        return $found;
    }

    /** The forms that stand in a row from a token on, each behind a comma; empty when another word does. */
    public static function behind(Words $words, int $from, int $to): string
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        $found = [];
        for ($k = $from; $k < $to; $k++) {
            if (($words->tokens[$k + 1] ?? null)?->is(...self::VESSELS) === true) {
                break;
            }
            if (isset($forms[$words->tokens[$k]->stem])) {
                $found[] = $words->tokens[$k]->text;
            } elseif (! $words->tokens[$k]->is(',', 'and', 'once', 'when', 'its', 'theyre', 'it', 'is', 'are', 'been', 'after', 'ive', 'already', 'youve')) {
                break;
            }
        }

        return $found === [] ? '' : ', '.implode(', ', $found);
    }

    /** Where the words between an amount and its food begin. */
    private static function afterAmount(Words $words, Mention $food): int
    {
        $after = PHP_INT_MAX;
        foreach ($words->amounts as $amount) {
            if ($amount->to <= $food->from && $food->from - $amount->to <= 6) {
                $after = $amount->to;
            }
        }

        return $after;
    }

    private static function text(Words $words, int $from, int $to): string
    {
        $first = $words->tokens[$from];
        $last = $words->tokens[$to - 1];

        // "the turkey's four hundred grams"
        return (string) preg_replace('/[\'’]s$/u', '', trim(substr($words->clean, $first->offset, $last->offset + $last->length - $first->offset), ' ,.'));
    }

    /** The words between two tokens, without the marks. */
    public static function said(Words $words, int $from, int $to): string
    {
        return implode(' ', array_map(static fn (Token $token): string => $token->text, array_filter(array_slice($words->tokens, $from, max(0, $to - $from)), static fn (Token $token): bool => $token->kind !== Token::MARK)));
    }
}
