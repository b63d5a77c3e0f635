<?php

declare(strict_types=1);

namespace MildBowl\Core\Telling;

use MildBowl\Core\Baking\Heat;

/**
 * Sentences in the units that a kitchen reads. Core speaks in kg, mm and °C; what a person wrote in other units is turned the same way. Of
 * what is measured per kg (doses), per 100 g, in mg or in kcal nothing is turned: these are the units they are known in.
 */
final readonly class HouseUnits
{
    public const KG_A_POUND = 0.45359237;

    public const MM_AN_INCH = 25.4;

    /** Below this an oven is no oven: a temperature at the core, which is said to the degree and has no gas mark. */
    private const OVEN_FROM_C = 105.0;

    private const NUMBER = '(\d+(?:[.,]\d+)?)';

    private const UPTO = '(?:\s?(?:–|-|to)\s?(\d+(?:[.,]\d+)?))?';

    private const SIXTEENTHS = ['', '1/16', '⅛', '3/16', '¼', '5/16', '⅜', '7/16', '½', '9/16', '⅝', '11/16', '¾', '13/16', '⅞', '15/16'];

    /**
     * @param  bool  $pounds  a dog's weight in lb
     * @param  bool  $inches  sizes in inches
     * @param  string  $heat  C, F or gas
     */
    public function __construct(private bool $pounds, private bool $inches, private string $heat) {}

    /** Whether they are core's own, so that nothing has to be turned. */
    public function areCores(): bool
    {
        return ! $this->pounds && ! $this->inches && $this->heat === 'C';
    }

    /** A sentence of core's own, in kg, mm and °C. */
    public function sentence(string $sentence): string
    {
        if ($this->pounds) {
            $sentence = (string) preg_replace('/\bbetween (\d+(?:[.,]\d+)?) and (?=\d+(?:[.,]\d+)?\s?kg\b)/u', 'between $1 kg and ', $sentence);
            $sentence = self::each('/(?<!per )(?<![\/\d.,])'.self::NUMBER.self::UPTO.'\s?kg\b(?!\s*\()/u', $sentence, fn (float $kg): string => self::pounds($kg), 'lb');
        }

        return $this->turned($sentence);
    }

    /** A person's own words, whichever unit they are in: only temperatures and sizes, for a dough is weighed as it is written. */
    public function method(string $words): string
    {
        if (! $this->inches) {
            $words = (string) preg_replace_callback('/(?<![\d\/.,])(\d+(?:[.,]\d+)?|\d+\s\d+\/\d+|\d+\/\d+|\d*[¼½¾⅛⅜⅝⅞⅓⅔])[\s-]?(?:inch(?:es)?\b|in\b(?=\s+(?:thick|wide|across|long|rounds?|squares?|pieces?|cubes?))|″|")/u', static fn (array $found): string => self::mm(self::number($found[1]) * self::MM_AN_INCH), $words);
        }
        if ($this->heat !== 'F') {
            $words = (string) preg_replace_callback('/(?<![\d.,])(\d{2,3})\s?(?:°\s?F\b|º\s?F\b|F\b|degrees?\s(?:F\b|Fahrenheit))/u', fn (array $found): string => $this->heat((float) $found[1] * 5 / 9 - 160 / 9), $words);
        }
        if ($this->heat !== 'gas') {
            $words = (string) preg_replace_callback('/\bgas(?:\smark)?\s(\d|[¼½])\b/iu', function (array $found): string {
                $celsius = Heat::ofGasMark(self::number($found[1]));

                return $celsius === null ? $found[0] : $this->heat($celsius);
            }, $words);
        }

        return $this->turned($words);
    }

    /** What is in mm, cm and °C. */
    private function turned(string $sentence): string
    {
        if ($this->inches) {
            $sentence = (string) preg_replace_callback('/(?<![\d.,])((?:\d+(?:[.,]\d+)?\s?[×x]\s?)+)(\d+(?:[.,]\d+)?)\s?(mm|cm)\b/u', static function (array $found): string {
                $scale = $found[3] === 'cm' ? 10.0 : 1.0;
                $sizes = preg_split('/\s?[×x]\s?/u', $found[1].$found[2]) ?: [];

                return implode(' × ', array_map(static fn (string $size): string => self::sixteenths(self::number($size) * $scale), $sizes)).' in';
            }, $sentence);
            foreach (['mm' => 1.0, 'cm' => 10.0] as $unit => $scale) {
                // what nothing may be over is never told as more than it is
                $sentence = (string) preg_replace_callback('/(\b(?:bite(?: of)?|at most|than|over|under|below|up to|within)\s)'.self::NUMBER."\s?$unit\\b|(?<![\d.,])".self::NUMBER."\s?$unit(?= or (?:thinner|less|smaller|shorter))/iu",
                    static fn (array $found): string => $found[1].self::sixteenths(self::number($found[2] === '' ? $found[3] : $found[2]) * $scale, floor(...)).' in', $sentence);
                $sentence = self::each('/(?<![\d.,])'.self::NUMBER.self::UPTO."\s?$unit\\b/u", $sentence, static fn (float $size): string => self::sixteenths($size * $scale), 'in');
            }
        }
        if ($this->heat !== 'C') {
            $sentence = (string) preg_replace_callback('/(?<![\d.,])'.self::NUMBER.self::UPTO.'\s?(?:°\s?C\b|º\s?C\b|C\b(?=[\s.,;)]|$)|degrees?\s(?:C\b|Celsius))/u', function (array $found): string {
                $low = $this->heat(self::number($found[1]));

                return ($found[2] ?? '') === '' ? $low : preg_replace('/\s?(?:°[CF])$/u', '', $low).'–'.$this->heat(self::number($found[2]));
            }, $sentence);
        }

        return $sentence;
    }

    /** @param  callable(float): string  $said */
    private static function each(string $pattern, string $sentence, callable $said, string $unit): string
    {
        return (string) preg_replace_callback($pattern, static fn (array $found): string => $said(self::number($found[1])).(($found[2] ?? '') === '' ? '' : '–'.$said(self::number($found[2])))." $unit", $sentence);
    }

    private function heat(float $celsius): string
    {
        $isOven = $celsius >= self::OVEN_FROM_C;
        if ($this->heat === 'gas' && $isOven) {
            return 'gas '.Heat::gasMark($celsius);
        }
        if ($this->heat === 'F') {

            return ($isOven ? Heat::fahrenheit($celsius) : (int) round($celsius * 9 / 5 + 32)).' °F';
        }

        return ($isOven ? (int) (5 * round($celsius / 5)) : (int) round($celsius)).' °C';
    }

    private static function pounds(float $kg): string
    {
        $pounds = $kg / self::KG_A_POUND;

        return (string) ($pounds < 20 ? round($pounds, 1) : round($pounds));
    }

    private static function mm(float $mm): string
    {
        return round($mm).' mm';
    }

    /**
     * Inches as a ruler has them.
     *
     * @param  (callable(float): float)|null  $round  to whole sixteenths; the nearest where none is given
     */
    private static function sixteenths(float $mm, ?callable $round = null): string
    {
        $sixteenths = max(1, (int) ($round ?? round(...))(round($mm / self::MM_AN_INCH * 16, 6)));
        $part = self::SIXTEENTHS[$sixteenths % 16];
        $whole = intdiv($sixteenths, 16);

        return $whole === 0 ? $part : $whole.($part === '' ? '' : (str_contains($part, '/') ? " $part" : $part));
    }

    private static function number(string $said): float
    {
        if (preg_match('/^(?:(\d+)\s)?(\d+)\/(\d+)$/', $said, $found) === 1) {
            return (float) $found[1] + (float) $found[2] / max(1.0, (float) $found[3]);
        }
        $vulgar = ['¼' => 0.25, '½' => 0.5, '¾' => 0.75, '⅛' => 0.125, '⅜' => 0.375, '⅝' => 0.625, '⅞' => 0.875, '⅓' => 1 / 3, '⅔' => 2 / 3];
        foreach ($vulgar as $sign => $share) {
            if (str_ends_with($said, $sign)) {
                return (float) substr($said, 0, -strlen($sign)) + $share;
            }
        }

        return (float) str_replace(',', '.', $said);
    }
}
