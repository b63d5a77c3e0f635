<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;

/**
 * Which foods of a line are named only to keep them out ("no onion", "xylitol-free", "stay away from dark chocolate").
 * A negation silences what it names and nothing else: it reaches the next food, and on through "or", never over a
 * number, a mark or a word it does not know.
 */
final class Negation
{
    private const NEGATORS = [
        'no' => true, 'not' => true, 'without' => true, 'never' => true, 'avoid' => true, 'omit' => true, 'skip' => true, 'minus' => true, 'dont' => true, 'cannot' => true,
        'cant' => true, 'nor' => true, 'exclude' => true, 'excluding' => true, 'non' => true, 'zero' => true, 'except' => true, 'beware' => true, 'unlike' => true,
    ];

    /** Two words that negate together, by the first. */
    private const PAIRS = [
        'instead' => ['of' => true],
        'rather' => ['than' => true],
        'free' => ['of' => true, 'from' => true],
        'away' => ['from' => true],
        'clear' => ['of' => true],
        'leave' => ['out' => true],
        'leaving' => ['out' => true],
        'careful' => ['of' => true],
        'wary' => ['of' => true],
        'aware' => ['of' => true],
        'out' => ['for' => true],
        'devoid' => ['of' => true],
        'check' => ['for' => true],
        'checked' => ['for' => true],
    ];

    /** After these, "and" carries the negation on too. */
    private const WIDE = ['without', 'free of', 'free from', 'avoid', 'instead of', 'away from', 'exclude', 'excluding'];

    private const SKIPPED = ['any', 'added', 'of', 'the', 'a', 'an', 'trace', 'kind', 'contain', 'contains', 'containing', 'hold', 'holds', 'has', 'have', 'having', 'use', 'using', 'add', 'adding', 'put', 'give', 'feed', 'even', 'ever', 'plain', 'raw', 'to', 'swap', 'substitute', 'include', 'includes', 'including', 'real', 'hidden', 'form', 'mix', 'be', 'eat', 'fed', 'given', 'allow', 'buy', 'confuse', 'with', 'it'];

    private const UNDONE = ['only', 'just', 'merely', 'less', 'more', 'forget', 'omit', 'skip', 'without', 'later', 'matter', 'need', 'problem', 'worry', 'worries', 'be afraid', 'leave', 'too', 'much', 'as', 'so', 'quite', 'all', 'fewer', 'than'];

    private const BAD = ['toxic', 'poisonous', 'poison', 'dangerous', 'deadly', 'harmful', 'unsafe', 'bad', 'fatal', 'off', 'forbidden'];

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions  in order
     * @return array<int, true> indexes of the mentions that are negated
     */
    public static function of(array $tokens, array $mentions): array
    {
        if ($mentions === []) {
            return [];
        }
        $byStart = [];
        foreach ($mentions as $index => $mention) {
            $byStart[$mention->from] = $index;
        }
        $negated = [];
        $count = count($tokens);
        for ($i = 0; $i < $count; $i++) {
            $token = $tokens[$i];
            if ($token->kind !== Token::WORD) {
                continue;
            }
            $word = $token->text;
            if (! isset(self::NEGATORS[$word]) && ! isset(self::PAIRS[$word])) {
                continue;
            }
            $next = $tokens[$i + 1] ?? null;
            $length = 1;
            if ($next !== null && isset(self::PAIRS[$word][$next->text])) {
                $word = "$word {$next->text}";
                $length = 2;
            } elseif (! isset(self::NEGATORS[$word])) {
                continue;
            }
            if (self::isUndone($tokens, $i, $i + $length)) {
                continue;
            }
            self::reach($tokens, $mentions, $byStart, $i + $length, in_array($word, self::WIDE, true), $negated);
        }
        foreach ($mentions as $index => $mention) {
            if (self::isFree($tokens, $mention) || self::isWarnedOf($tokens, $mention)) {
                $negated[$index] = true;
            }
        }
        foreach ($mentions as $index => $mention) {
            // "onion- and garlic-free"
            if (isset($negated[$index + 1]) && ($tokens[$mention->to] ?? null)?->is('-') === true
                && ($tokens[$mention->to + 1] ?? null)?->is('and', 'or', '&') === true && ($mentions[$index + 1]->from ?? -1) === $mention->to + 2) {
                $negated[$index] = true;
            }
        }

        return $negated;
    }

    /**
     * "not only", "no more than", "don't forget", "not without".
     *
     * @param  list<Token>  $tokens
     */
    private static function isUndone(array $tokens, int $start, int $after): bool
    {
        $next = $tokens[$after]->text ?? '';
        if (in_array($next, self::UNDONE, true) && ! ($next === 'need' && $tokens[$start]->is('no') === false)) {
            return true;
        }
        // a negation of a negation: "never leave out the raisins", "do not omit", "no need to skip"
        $before = $tokens[$start - 1]->text ?? '';
        $earlier = $tokens[$start - 2]->text ?? '';
        if ($before === 'to' && in_array($earlier, ['need', 'have'], true)) {
            return in_array($tokens[$start - 3]->text ?? '', ['no', 'not', 'never', 'dont'], true);
        }

        return in_array($before, ['not', 'never', 'dont', 'cannot', 'cant'], true)
            || ($earlier === 'never' && $before === 'ever');
    }

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, int>  $byStart
     * @param  array<int, true>  $negated
     */
    private static function reach(array $tokens, array $mentions, array $byStart, int $i, bool $wide, array &$negated): void
    {
        $skipped = 0;
        while (isset($tokens[$i])) {
            if (isset($byStart[$i])) {
                $index = $byStart[$i];
                $negated[$index] = true;
                $i = $mentions[$index]->to;
                $joint = $tokens[$i] ?? null;
                if ($joint === null) {
                    return;
                }
                if ($joint->is('or', 'nor', '/') || ($wide && $joint->is('and', '&'))) {
                    $i++;
                    $skipped = 0;

                    continue;
                }
                if ($joint->is(',') && self::listEndsInOr($tokens, $mentions, $byStart, $i, $wide)) {
                    $i++;
                    $i += ($tokens[$i] ?? null)?->is('or', 'nor', 'and') === true ? 1 : 0;
                    $skipped = 0;

                    continue;
                }

                return;
            }
            $token = $tokens[$i];
            if ($token->kind !== Token::WORD || ! in_array($token->text, self::SKIPPED, true) || ++$skipped > 4) {
                return;
            }
            $i++;
        }
    }

    /**
     * "no onion, garlic or salt": from this comma on, only foods and commas up to an "or".
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, int>  $byStart
     */
    private static function listEndsInOr(array $tokens, array $mentions, array $byStart, int $i, bool $wide): bool
    {
        while (isset($tokens[$i])) {
            if (isset($byStart[$i])) {
                $i = $mentions[$byStart[$i]]->to;
            } elseif ($tokens[$i]->is(',')) {
                $i++;
            } elseif ($tokens[$i]->is('or', 'nor') || ($wide && $tokens[$i]->is('and', '&'))) {
                return isset($byStart[$i + 1]);
            } else {
                return false;
            }
        }

        return false;
    }

    /** @param  list<Token>  $tokens */
    private static function isFree(array $tokens, Mention $mention): bool
    {
        return ($tokens[$mention->to] ?? null)?->is('free') === true
            && ($tokens[$mention->to + 1] ?? null)?->is('range', 'of', 'from') !== true;
    }

    /**
     * "raisins are toxic", "chocolate is poisonous to dogs".
     *
     * @param  list<Token>  $tokens
     */
    private static function isWarnedOf(array $tokens, Mention $mention): bool
    {
        $i = $mention->to;
        if (($tokens[$i] ?? null)?->is('is', 'are', 'can') !== true) {
            return false;
        }
        for ($k = $i + 1; $k <= $i + 3 && isset($tokens[$k]); $k++) {
            if (in_array($tokens[$k]->text, self::BAD, true)) {
                return ($tokens[$k - 1]->text ?? '') !== 'not';
            }
            if ($tokens[$k]->is('not') && ($tokens[$k + 1] ?? null)?->is('safe', 'allowed', 'good', 'for') === true) {
                return true;
            }
        }

        return false;
    }
}
