<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Reading\NumberReader;
use MildBowl\Core\Values\Range;

/** A time that a method tells, in minutes: "18–22 minutes", "twenty five minutes", "an hour and a half", "overnight". */
final readonly class Duration
{
    /** Minutes of a unit. */
    private const UNITS = [
        'h' => 60.0, 'hr' => 60.0, 'hrs' => 60.0, 'hour' => 60.0, 'hours' => 60.0, 'm' => 1.0, 'min' => 1.0, 'mins' => 1.0, 'minute' => 1.0, 'minutes' => 1.0,
        'second' => 1 / 60, 'seconds' => 1 / 60, 'sec' => 1 / 60, 'secs' => 1 / 60,
    ];

    private const HOUR = 60.0;

    /** "overnight", in hours. */
    private const A_NIGHT = [8.0, 12.0];

    /** letters before a time that say what it is of */
    private const BEFORE = 24;

    /**
     * @param  int  $at  its first byte in the cleaned text
     * @param  string  $written  its words there
     */
    private function __construct(public Range $minutes, public int $at, public string $written, private string $before) {}

    /** @return list<self> in the order they stand; days and weeks are no time of the work */
    public static function in(string $text): array
    {
        $clean = Tokenizer::clean($text);
        $tokens = Tokenizer::tokenize($clean);
        $numbers = new NumberReader($tokens);
        $all = [];
        for ($i = 0; isset($tokens[$i]); $i++) {
            $time = $tokens[$i]->is('every') ? self::everyOne($tokens, $i) : null;
            if ($time !== null) {
                $i++;
            }
            $time ??= self::more($tokens, $numbers, $i);
            $time ??= $tokens[$i]->is('overnight') ? [Range::of(self::HOUR * self::A_NIGHT[0], self::HOUR * self::A_NIGHT[0], self::HOUR * self::A_NIGHT[1]), $i] : self::time($tokens, $numbers, $i);
            if ($time === null) {
                continue;
            }
            [$minutes, $last] = $time;
            $from = $tokens[$i]->offset;
            $all[] = new self($minutes, $from, substr($clean, $from, $tokens[$last]->offset + $tokens[$last]->length - $from), mb_strtolower(substr($clean, max(0, $from - self::BEFORE), min(self::BEFORE, $from))));
            $i = $last;
        }

        return $all;
    }

    /**
     * "Another twenty", "10 more at 150": minutes, where no unit is told.
     *
     * @param  list<Token>  $tokens
     * @return array{Range, int}|null minutes, and the index of the last token
     */
    private static function more(array $tokens, NumberReader $numbers, int $i): ?array
    {
        $isAnother = $tokens[$i]->is('another');
        $number = $numbers->at($isAnother ? $i + 1 : $i);
        if ($number === null || $number[0]->best < 1) {
            return null;
        }
        [$range, $k] = $number;
        $next = $tokens[$k] ?? null;
        $isMore = $next?->is('more', 'longer') === true;
        $after = $isMore ? $tokens[$k + 1] ?? null : $next;
        $ends = $after === null || $after->is('.', ',', ';', ')', 'at', 'until', 'till', 'to', 'or', 'and', 'then', 'if', '@');

        return $ends && ($isMore || $isAnother) ? [$range, $isMore ? $k : $k - 1] : null;
    }

    /**
     * "Every hour", "every half hour", "every quarter of an hour".
     *
     * @param  list<Token>  $tokens
     * @return array{Range, int}|null minutes, and the index of the last token
     */
    private static function everyOne(array $tokens, int $i): ?array
    {
        $share = ['half' => 0.5, 'quarter' => 0.25][$tokens[$i + 1]->text ?? ''] ?? null;
        for ($k = $i + ($share === null ? 1 : 2); isset($tokens[$k]) && $share !== null && $tokens[$k]->is('of', 'an', '-'); $k++);
        $unit = isset($tokens[$k]) ? self::UNITS[$tokens[$k]->text] ?? null : null;

        return $unit === null ? null : [Range::exact(($share ?? 1.0) * $unit), $k];
    }

    /**
     * @param  list<Token>  $tokens
     * @return array{Range, int}|null minutes, and the index of the last token
     */
    private static function time(array $tokens, NumberReader $numbers, int $i): ?array
    {
        $number = $numbers->at($i);
        if ($number === null) {
            return null;
        }
        [$range, $k] = $number;
        $k += ($tokens[$k] ?? null)?->is('-') === true ? 1 : 0;
        $unit = isset($tokens[$k]) ? self::UNITS[$tokens[$k]->text] ?? null : null;
        if ($unit === null) {
            return null;
        }
        $minutes = $range->times($unit);

        return $unit === self::HOUR ? self::andMore($tokens, $numbers, $minutes, $k) : [$minutes, $k];
    }

    /**
     * "An hour and a quarter", "1 hour 20 minutes".
     *
     * @param  list<Token>  $tokens
     * @return array{Range, int}
     */
    private static function andMore(array $tokens, NumberReader $numbers, Range $minutes, int $k): array
    {
        $isAnd = ($tokens[$k + 1] ?? null)?->is('and', '&') === true;
        $next = $k + ($isAnd ? 2 : 1);
        $more = $numbers->at($next);
        if ($more !== null && (self::UNITS[$tokens[$more[1]]->text ?? ''] ?? null) === 1.0) {
            return [$minutes->plus($more[0]), $more[1]];
        }
        $part = $isAnd ? $numbers->part($next) : null;

        return $part === null ? [$minutes, $k] : [$minutes->plus(Range::exact(self::HOUR * $part[0])), $part[1] - 1];
    }

    /** Whether it stands at the front of the text. */
    public function isNear(int $letters): bool
    {
        return $this->at <= $letters;
    }

    /** "every five minutes" */
    public function isEvery(): bool
    {
        return preg_match('/\bevery\s*$/u', $this->before) === 1;
    }

    /** "after ten minutes" */
    public function isAfter(): bool
    {
        return preg_match('/\bafter\s+(?:about\s+)?$/u', $this->before) === 1;
    }

    /** "keeps for up to two hours": of no step */
    public function isOfKeeping(): bool
    {
        return preg_match('/\b(?:up to|within|keeps?(?: for)?)\s*$/u', $this->before) === 1;
    }
}
