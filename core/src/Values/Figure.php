<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/** A figure as a person reads it. */
final class Figure
{
    /** No false precision: three figures at most, and no decimals where they say nothing. */
    public static function of(float $value): string
    {
        return self::written($value, self::decimals($value));
    }

    /** The same for what may be reached and not gone over: never more than it is. */
    public static function atMost(float $value): string
    {
        return self::floored($value, self::decimals($value));
    }

    /** The same in a sentence: a tenth at the finest, where it comes to one. */
    public static function roughAtMost(float $value): string
    {
        return self::floored($value, $value >= 0.1 ? min(1, self::decimals($value)) : self::decimals($value));
    }

    private static function floored(float $value, int $decimals): string
    {
        return self::written(floor(round($value * 10 ** $decimals, 6)) / 10 ** $decimals, $decimals);
    }

    private static function decimals(float $value): int
    {
        return match (true) {
            $value >= 100, floor($value) === $value => 0,
            $value >= 10 => 1,
            $value >= 0.1 => 2,
            default => 4,
        };
    }

    private static function written(float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    /** What is worked out of other figures and said in a sentence: no finer than it is known. */
    public static function rough(float $value): string
    {
        return self::written($value, $value >= 20 ? 0 : ($value >= 2 ? 1 : self::decimals($value)));
    }

    /** For advice: to five grams from twenty on, to one below. */
    public static function roughGrams(float $grams): string
    {
        return ($grams >= 20 ? 5 * round($grams / 5) : max(1.0, round($grams))).' g';
    }

    public static function grams(float $grams): string
    {
        return self::of($grams).' g';
    }
}
