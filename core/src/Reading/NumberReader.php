<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Values\Range;

/** Reads a number as people write it: 1 1/2, 1,5, half a, two to three, a dozen, about 4. */
final class NumberReader
{
    private const WORDS = [
        'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10,
        'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16, 'eighteen' => 18,
        'twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50, 'sixty' => 60, 'hundred' => 100,
    ];

    private const PARTS = [
        'half' => 0.5, 'third' => 1 / 3, 'quarter' => 0.25, 'fourth' => 0.25, 'fifth' => 0.2, 'eighth' => 0.125, 'sixteenth' => 0.0625,
    ];

    private const ABOUT = ['about' => true, 'approx' => true, 'approximately' => true, 'around' => true, 'roughly' => true, 'circa' => true, 'nearly' => true, 'almost' => true];

    /** Other words a number may open with. */
    private const OPENS = ['a' => true, 'an' => true, 'the' => true, 'few' => true, 'several' => true, 'couple' => true, 'dozen' => true];

    /** @param  list<Token>  $tokens */
    public function __construct(private readonly array $tokens) {}

    /**
     * @return array{Range, int}|null the number and the index after it
     */
    public function at(int $i): ?array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token === null || ($token->kind === Token::WORD && ! isset(self::WORDS[$token->text]) && ! isset(self::PARTS[$token->stem]) && ! isset(self::ABOUT[$token->text]) && ! isset(self::OPENS[$token->text]))) {
            return null;
        }
        $about = false;
        while (isset($this->tokens[$i]) && (isset(self::ABOUT[$this->tokens[$i]->text]) || $this->tokens[$i]->text === '~' || ($about && $this->tokens[$i]->text === '.'))) {
            $about = true;
            $i++;
        }
        $vague = $this->vague($i);
        if ($vague !== null) {
            return $vague;
        }
        $first = $this->single($i);
        if ($first === null) {
            return null;
        }
        [$low, $i] = $first;
        $high = $low;
        $joint = $this->tokens[$i] ?? null;
        if ($joint !== null && $joint->is('-', 'to', 'or') && ($this->tokens[$i + 1] ?? null) !== null) {
            $second = $this->tokens[$i + 1]->is('a', 'an') ? null : $this->single($i + 1);
            if ($second !== null) {
                if ($joint->is('-') && $this->tokens[$i + 1]->fraction && $second[0] < 1 && floor($low) === $low && $low >= 1) {
                    $low = $high = $low + $second[0];
                } else {
                    $high = max($low, $second[0]);
                    $low = min($low, $second[0]);
                }
                $i = $second[1];
            }
        }
        $best = ($low + $high) / 2;
        $range = $about ? Range::of($low * 0.9, $best, $high * 1.1) : Range::of($low, $best, $high);

        return [$range, $i];
    }

    /** @return array{Range, int}|null */
    private function vague(int $i): ?array
    {
        $text = $this->tokens[$i]->text ?? '';
        $next = $this->tokens[$i + 1]->text ?? '';
        if ($text === 'a' || $text === 'the') {
            $vague = match ($next) {
                'few' => [Range::of(2, 3, 4), $i + 2],
                'couple' => [Range::of(2, 2, 3), $i + 2],
                default => null,
            };
        } else {
            $vague = match ($text) {
                'few' => [Range::of(2, 3, 4), $i + 1],
                'several' => [Range::of(3, 4, 6), $i + 1],
                'couple' => [Range::of(2, 2, 3), $i + 1],
                default => null,
            };
        }
        if ($vague !== null && ($this->tokens[$vague[1]]->text ?? '') === 'of') {
            $vague[1]++;
        }

        return $vague;
    }

    /** @return array{float, int}|null */
    private function single(int $i): ?array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token === null) {
            return null;
        }
        if ($token->kind === Token::NUMBER) {
            return $this->afterNumber($token, $i);
        }
        if ($token->kind !== Token::WORD) {
            return null;
        }
        if ($token->is('a', 'an')) {
            $next = $this->tokens[$i + 1] ?? null;
            if ($next !== null && (isset(self::PARTS[$next->stem]) || $next->is('dozen'))) {
                return $this->single($i + 1);
            }

            return [1.0, $i + 1];
        }
        if ($token->is('dozen')) {
            return [12.0, $this->skipOf($i + 1)];
        }
        if (isset(self::PARTS[$token->stem]) && ! $token->is('thirds')) {
            return $this->afterPart(self::PARTS[$token->stem], $i + 1);
        }
        if (isset(self::WORDS[$token->text])) {
            $value = (float) self::WORDS[$token->text];
            // "two (2) cups"
            if (($this->tokens[$i + 1] ?? null)?->is('(') === true && ($this->tokens[$i + 2] ?? null)?->kind === Token::NUMBER && $this->tokens[$i + 2]->value === $value && ($this->tokens[$i + 3] ?? null)?->is(')') === true) {
                return [$value, $i + 4];
            }
            $next = $this->tokens[$i + 1] ?? null;
            if ($next !== null && $value >= 20 && $value <= 90 && isset(self::WORDS[$next->text]) && self::WORDS[$next->text] < 10) {
                return [$value + self::WORDS[$next->text], $i + 2];
            }

            return $this->withParts($value, $i + 1);
        }

        return null;
    }

    /** @return array{float, int} */
    private function afterNumber(Token $token, int $i): array
    {
        $value = $token->value;
        $next = $this->tokens[$i + 1] ?? null;
        if ($next !== null && $next->raw === '000' && $value >= 1 && $value < 1000) {
            return [$value * 1000, $i + 2];
        }
        if (! $token->fraction && $next !== null && $next->kind === Token::NUMBER && $next->fraction && $next->value < 1) {
            $value += $next->value;
            $i++;
        }
        while (($this->tokens[$i + 1] ?? null)?->is('+', '&', 'and', 'plus') === true) {
            $more = $this->tokens[$i + 2] ?? null;
            if ($more === null || $more->kind !== Token::NUMBER || ! $more->fraction || $more->value >= 1) {
                break;
            }
            $value += $more->value;
            $i += 2;
        }

        return $this->withParts($value, $i + 1);
    }

    /**
     * "three quarters", "one and a half".
     *
     * @return array{float, int}
     */
    private function withParts(float $value, int $i): array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token?->is('dozen') === true) {
            return [$value * 12, $this->skipOf($i + 1)];
        }
        if ($token !== null && isset(self::PARTS[$token->stem]) && $value >= 1 && $value < 16 && ! $token->is('half')) {
            return $this->afterPart($value * self::PARTS[$token->stem], $i + 1);
        }
        if ($token !== null && $token->is('and', '&')) {
            $j = $i + (($this->tokens[$i + 1] ?? null)?->is('a', 'one') === true ? 2 : 1);
            $part = $this->tokens[$j] ?? null;
            if ($part !== null && isset(self::PARTS[$part->stem])) {
                return [$value + self::PARTS[$part->stem], $j + 1];
            }
            if ($part !== null && $part->is('three') && isset(self::PARTS[$this->tokens[$j + 1]->stem ?? ''])) {
                return [$value + 3 * self::PARTS[$this->tokens[$j + 1]->stem], $j + 2];
            }
        }

        return [$value, $i];
    }

    /**
     * "half a cup", "a quarter of an apple", "half dozen".
     *
     * @return array{float, int}
     */
    private function afterPart(float $value, int $i): array
    {
        $i = $this->skipOf($i);
        $token = $this->tokens[$i] ?? null;
        if ($token?->is('a', 'an', 'one', 'the') === true) {
            $i++;
            $token = $this->tokens[$i] ?? null;
        }
        if ($token?->is('dozen') === true) {
            return [$value * 12, $this->skipOf($i + 1)];
        }

        return [$value, $i];
    }

    private function skipOf(int $i): int
    {
        return ($this->tokens[$i]->text ?? '') === 'of' ? $i + 1 : $i;
    }
}
