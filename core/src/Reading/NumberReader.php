<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Values\Range;

/** Reads a number as people write and say it: 1 1/2, 1,5, half a, two to three, between one and two, a dozen, a little less than 4. */
final class NumberReader
{
    private const WORDS = [
        'one' => 1, 'two' => 2, 'twa' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7, 'eight' => 8, 'nine' => 9, 'ten' => 10,
        'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15, 'sixteen' => 16, 'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19,
        'twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80, 'ninety' => 90, 'hundred' => 100,
    ];

    private const PARTS = [
        'half' => 0.5, 'third' => 1 / 3, 'quarter' => 0.25, 'fourth' => 0.25, 'fifth' => 0.2, 'eighth' => 0.125, 'sixteenth' => 0.0625,
    ];

    /** What stands before a number that is not meant to the gram, and how far from it: least, best, most. */
    private const ABOUT = [0.9, 1.0, 1.1];

    private const NEARLY = [0.85, 0.95, 1.0];

    private const LESS = [0.8, 0.9, 1.0];

    private const MORE = [1.0, 1.1, 1.2];

    private const NEAR = [
        'about' => self::ABOUT, 'approx' => self::ABOUT, 'approximately' => self::ABOUT, 'around' => self::ABOUT, 'roughly' => self::ABOUT, 'circa' => self::ABOUT, '~' => self::ABOUT,
        'nearly' => self::NEARLY, 'almost' => self::NEARLY, 'barely' => self::NEARLY,
    ];

    /** "a little less than", "just under", "slightly over": the words that lead to less or more. */
    private const DEGREE = ['little' => true, 'bit' => true, 'touch' => true, 'tad' => true, 'shade' => true, 'hair' => true, 'fraction' => true, 'wee' => true, 'slightly' => true, 'just' => true, 'somewhat' => true, 'scant' => true];

    private const COMPARED = [
        'less' => self::LESS, 'under' => self::LESS, 'below' => self::LESS, 'shy' => self::LESS, 'fewer' => self::LESS,
        'more' => self::MORE, 'over' => self::MORE, 'above' => self::MORE,
    ];

    /** Other words a number may open with. */
    private const OPENS = ['a' => true, 'an' => true, 'the' => true, 'few' => true, 'several' => true, 'couple' => true, 'dozen' => true, 'doz' => true, 'another' => true, 'between' => true, 'point' => true, 'nought' => true, 'zero' => true, 'oh' => true];

    private const THOUSANDS = ['g' => true, 'gr' => true, 'gm' => true, 'gms' => true, 'gram' => true, 'gramme' => true, 'ml' => true, 'mls' => true, 'millilitre' => true, 'milliliter' => true, 'cc' => true];

    /** Whether a word is a number by itself, or a part: "two", "half", "1/2". */
    public static function isNumber(string $word): bool
    {
        return isset(self::WORDS[$word]) || isset(self::PARTS[$word]) || preg_match('/^\d+(?:[.\/]\d+)?$/u', $word) === 1;
    }

    /** @param  list<Token>  $tokens */
    public function __construct(private readonly array $tokens) {}

    /**
     * @return array{Range, int}|null the number and the index after it
     */
    public function at(int $i): ?array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token === null || $token->kind === Token::ODD || ($token->kind !== Token::NUMBER && ! $this->mayOpen($token))) {
            return null;
        }
        if ($token->kind === Token::NUMBER) {
            return $this->range($i);
        }
        [$near, $i] = $this->nearness($i);
        $number = $this->vague($i) ?? $this->between($i) ?? $this->range($i);
        if ($number === null || $near === null) {
            return $number;
        }
        [$range, $i] = $number;

        return [Range::of($range->low * $near[0], $range->best * $near[1], $range->high * $near[2]), $i];
    }

    /** Whether one of these words stands at a place, a degree sign left out. */
    public function isFollowedBy(int $i, string ...$words): bool
    {
        $i += $this->is($i, '°', 'º', 'degrees', 'degree') ? 1 : 0;

        return $this->is($i, ...$words);
    }

    private function mayOpen(Token $token): bool
    {
        return isset(self::WORDS[$token->text]) || isset(self::PARTS[$token->stem]) || isset(self::NEAR[$token->text])
            || isset(self::OPENS[$token->text]) || isset(self::DEGREE[$token->text]) || isset(self::COMPARED[$token->text]) || $token->is('not');
    }

    /**
     * What makes the number loose, and the index of the number itself.
     *
     * @return array{array{float, float, float}|null, int}
     */
    private function nearness(int $i): array
    {
        $near = null;
        while (isset($this->tokens[$i]) && (isset(self::NEAR[$this->tokens[$i]->text]) || ($near !== null && $this->tokens[$i]->text === '.'))) {
            $near = self::NEAR[$this->tokens[$i]->text] ?? $near;
            $i++;
        }
        $k = $i;
        if ($this->is($k, 'not') && $this->is($k + 1, 'quite')) {
            return [self::NEARLY, $k + 2];
        }
        $k += $this->is($k, 'a') ? 1 : 0;
        $degree = false;
        while (isset($this->tokens[$k]) && isset(self::DEGREE[$this->tokens[$k]->text]) && $k < $i + 4) {
            $degree = true;
            $k++;
        }
        $compared = self::COMPARED[$this->tokens[$k]->text ?? ''] ?? null;
        if ($compared === null || (! $degree && $k > $i)) {
            return [$near, $i];
        }
        $k++;
        $joined = $this->is($k, 'than', 'of');
        $k += $joined ? 1 : 0;

        // "over 2 cups", but not "a bit more" or "under the lid"
        return ($degree || $joined || ($this->tokens[$k]->kind ?? null) === Token::NUMBER) && $this->range($k) !== null ? [$compared, $k] : [$near, $i];
    }

    /** @return array{Range, int}|null */
    private function vague(int $i): ?array
    {
        $k = $this->is($i, 'a', 'the', 'another') ? $i + 1 : $i;
        $vague = match ($this->tokens[$k]->text ?? '') {
            'few' => Range::of(2, 3, 4),
            'several' => Range::of(3, 4, 6),
            'couple' => Range::of(2, 2, 3),
            default => null,
        };

        return $vague === null ? null : [$vague, $this->skipOf($k + 1)];
    }

    /** @return array{Range, int}|null "between one and two" */
    private function between(int $i): ?array
    {
        if (! $this->is($i, 'between')) {
            return null;
        }
        $low = $this->single($i + 1, true);
        if ($low === null || ! $this->is($low[1], 'and', '&', 'to', '-')) {
            return null;
        }
        $high = $this->single($low[1] + 1);

        return $high === null ? null : [Range::of(min($low[0], $high[0]), ($low[0] + $high[0]) / 2, max($low[0], $high[0])), $high[1]];
    }

    /** @return array{Range, int}|null */
    private function range(int $i): ?array
    {
        $first = $this->single($i);
        if ($first === null) {
            return null;
        }
        [$low, $i] = $first;
        $high = $low;
        if ($this->is($i, '-', 'to', 'or') && isset($this->tokens[$i + 1])) {
            $second = $this->is($i + 1, 'a', 'an') ? null : $this->single($i + 1);
            if ($second !== null) {
                if ($this->is($i, '-') && $this->tokens[$i + 1]->fraction && $second[0] < 1 && floor($low) === $low && $low >= 1) {
                    $low = $high = $low + $second[0];
                } else {
                    $high = max($low, $second[0]);
                    $low = min($low, $second[0]);
                }
                $i = $second[1];
            }
        }

        return [Range::of($low, ($low + $high) / 2, $high), $i];
    }

    /**
     * @param  bool  $bare  whether an "and" after it leads to another number and not to a part
     * @return array{float, int}|null
     */
    private function single(int $i, bool $bare = false): ?array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token === null || $token->kind === Token::ODD) {
            return null;
        }
        if ($token->kind === Token::NUMBER) {
            return $this->afterNumber($token, $i);
        }
        if ($token->kind !== Token::WORD) {
            return null;
        }
        if ($token->is('a', 'an', 'another')) {
            $next = $this->tokens[$i + 1] ?? null;
            if ($next !== null && (isset(self::PARTS[$next->stem]) || $next->is('dozen', 'doz', 'hundred'))) {
                return $this->single($i + 1);
            }
            if ($token->is('another') && $next !== null && ($next->kind === Token::NUMBER || isset(self::WORDS[$next->text]))) {
                return $this->single($i + 1);
            }

            return [1.0, $i + 1];
        }
        if ($token->is('point', 'nought', 'zero', 'oh')) {
            $part = $this->decimals(0.0, $token->is('point') ? $i : $i + 1);

            return $part === null ? null : $this->afterPart(...$part);
        }
        if ($token->is('dozen', 'doz')) {
            return [12.0, $this->skipOf($i + 1)];
        }
        if (isset(self::PARTS[$token->stem]) && ! $token->is('thirds')) {
            return $this->afterPart(self::PARTS[$token->stem], $i + 1);
        }
        if (! isset(self::WORDS[$token->text])) {
            return null;
        }
        [$value, $after] = $this->inWords($i);
        if ($this->is($after, 'point')) {
            return $this->decimals($value, $after) ?? [$value, $after];
        }
        // "two (2) cups"
        if ($this->is($after, '(') && ($this->tokens[$after + 1] ?? null)?->kind === Token::NUMBER && $this->tokens[$after + 1]->value === $value && $this->is($after + 2, ')')) {
            return [$value, $after + 3];
        }

        return $bare ? [$value, $after] : $this->withParts($value, $after);
    }

    /**
     * "one point two", "nought point seven five".
     *
     * @param  int  $i  index of the point
     * @return array{float, int}|null
     */
    private function decimals(float $value, int $i): ?array
    {
        if (! $this->is($i, 'point')) {
            return null;
        }
        $from = ++$i;
        for ($place = 0.1; isset($this->tokens[$i]) && $place > 0.0005; $place /= 10, $i++) {
            $token = $this->tokens[$i];
            $digit = $token->is('nought', 'zero', 'oh') ? 0 : (self::WORDS[$token->text] ?? ($token->kind === Token::NUMBER && preg_match('/^\d$/', $token->raw) === 1 ? (int) $token->raw : 10));
            if ($digit > 9) {
                break;
            }
            $value += $digit * $place;
        }

        return $i === $from ? null : [round($value, 4), $i];
    }

    /** @return array{float, int} "twenty five", "two hundred and fifty", "two fifty" */
    private function inWords(int $i): array
    {
        $value = (float) self::WORDS[$this->tokens[$i]->text];
        $next = self::WORDS[$this->tokens[$i + 1]->text ?? ''] ?? null;
        if ($next === null || $value === 100.0) {
            return $value === 100.0 ? $this->hundreds(1.0, $i + 1) : [$value, $i + 1];
        }
        if ($next === 100) {
            return $this->hundreds($value, $i + 2);
        }
        if ($value >= 20 && $next < 10) {
            return [$value + $next, $i + 2];
        }
        if ($value < 10 && $next >= 20) {
            [$tens, $after] = $this->inWords($i + 1);

            return [100 * $value + $tens, $after];
        }

        return [$value, $i + 1];
    }

    /** @return array{float, int} */
    private function hundreds(float $hundreds, int $i): array
    {
        $k = $this->is($i, 'and') ? $i + 1 : $i;
        $rest = self::WORDS[$this->tokens[$k]->text ?? ''] ?? 100;
        if ($rest >= 100) {
            return [100 * $hundreds, $i];
        }
        [$more, $after] = $this->inWords($k);

        return [100 * $hundreds + $more, $after];
    }

    /** @return array{float, int} */
    private function afterNumber(Token $token, int $i): array
    {
        $value = $token->value;
        $next = $this->tokens[$i + 1] ?? null;
        if ($next !== null && $value >= 1 && $value < 1000 && ($next->raw === '000' || $this->isThousand($token, $i))) {
            return [$value * 1000 + $next->value, $i + 2];
        }
        if (! $token->fraction && $next !== null && $next->kind === Token::NUMBER && $next->fraction && $next->value < 1) {
            $value += $next->value;
            $i++;
        }
        while ($this->is($i + 1, '+', '&', 'and', 'plus')) {
            $more = $this->tokens[$i + 2] ?? null;
            if ($more === null || $more->kind !== Token::NUMBER || ! $more->fraction || $more->value >= 1 || $this->isOfAnother($i + 3)) {
                break;
            }
            $value += $more->value;
            $i += 2;
        }
        // "2 (two) cups"
        if ($this->is($i + 1, '(') && (self::WORDS[$this->tokens[$i + 2]->text ?? ''] ?? null) === (int) $value && $this->is($i + 3, ')')) {
            $i += 3;
        }
        if ($token->fraction && $value < 1) {
            return $this->afterPart($value, $i + 1);
        }

        return $this->withParts($value, $i + 1);
    }

    /** "2 400 g": two thousand four hundred, where no packet follows that holds 400 g. */
    private function isThousand(Token $token, int $i): bool
    {
        $next = $this->tokens[$i + 1];
        $unit = $this->tokens[$i + 2] ?? null;
        if ($token->fraction || preg_match('/^[1-9]$/', $token->raw) !== 1 || preg_match('/^\d{3}$/', $next->raw) !== 1 || $unit === null || ! isset(self::THOUSANDS[$unit->stem])) {
            return false;
        }
        for ($k = $i + 3; $k < $i + 6; $k++) {
            if (isset($this->tokens[$k]) && isset(AmountReader::CONTAINERS[$this->tokens[$k]->stem])) {
                return false;
            }
        }

        return true;
    }

    /** "1 and 1/2 tsp of it": a fraction that has another unit to itself is not looked for here; "an" after it means a piece. */
    private function isOfAnother(int $i): bool
    {
        return $this->is($i, 'a', 'an');
    }

    /**
     * "three quarters", "one and a half".
     *
     * @return array{float, int}
     */
    private function withParts(float $value, int $i): array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token?->is('dozen', 'doz') === true) {
            return [$value * 12, $this->skipOf($i + 1)];
        }
        if ($token !== null && isset(self::PARTS[$token->stem]) && $value >= 1 && $value < 16 && ($value === 1.0 || ! $token->is('half'))) {
            return $this->afterPart($value * self::PARTS[$token->stem], $i + 1);
        }
        if ($token !== null && $value < 60 && $token->is('and', '&')) {
            $part = $this->part($i + 1);
            if ($part !== null) {
                return [$value + $part[0], $part[1]];
            }
        }

        return [$value, $i];
    }

    /**
     * A part by itself: "a half", "three quarters", "one-third", "1/2".
     *
     * @return array{float, int}|null
     */
    public function part(int $i): ?array
    {
        $token = $this->tokens[$i] ?? null;
        if ($token === null) {
            return null;
        }
        if ($token->kind === Token::NUMBER) {
            return $token->fraction && $token->value < 1 ? [$token->value, $i + 1] : null;
        }
        $times = 1;
        if ($token->is('a')) {
            $i++;
        } elseif (isset(self::WORDS[$token->text]) && self::WORDS[$token->text] < 10) {
            $times = self::WORDS[$token->text];
            $i++;
        }
        $part = self::PARTS[$this->tokens[$i]->stem ?? ''] ?? null;

        return $part === null ? null : [$times * $part, $i + 1];
    }

    /**
     * "half a cup", "a quarter of an apple", "half dozen".
     *
     * @return array{float, int}
     */
    private function afterPart(float $value, int $i): array
    {
        $i = $this->skipOf($i);
        if ($this->is($i, 'a', 'an', 'one', 'the')) {
            $i++;
        }
        if ($this->is($i, 'dozen', 'doz')) {
            return [$value * 12, $this->skipOf($i + 1)];
        }

        return [$value, $i];
    }

    private function is(int $i, string ...$texts): bool
    {
        return isset($this->tokens[$i]) && $this->tokens[$i]->is(...$texts);
    }

    private function skipOf(int $i): int
    {
        return $this->is($i, 'of') ? $i + 1 : $i;
    }
}
