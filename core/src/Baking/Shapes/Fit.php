<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** What the fitting of shapes shares: sizes that a ruler can do, and the smallest that a hand can. */
final class Fit
{
    /** Smaller than this nothing is cut by hand (reference, page 2: training pieces 5–10 mm). */
    public const SMALLEST_MM = 5.0;

    public const SMALLEST_ML = 0.5;

    public const THICK_MM = 6.0;

    /** Share of a rolled sheet that ends in pieces. */
    public const REROLLED = 0.98;

    public static function mm(float $mm): float
    {
        return floor($mm + 1e-6);
    }

    /**
     * The thickness of a rolled piece: what was given, else the usual; null when no dog with that bite could have it.
     *
     * @param  array<string, float>  $given
     */
    public static function thick(array $given, float $biteMm): ?float
    {
        $thick = $given['thicknessMm'] ?? min(self::THICK_MM, $biteMm);

        return $thick > $biteMm || $thick <= 0.0 ? null : $thick;
    }

    /** Volume of the largest ball that passes a bite, in ml, in half millilitres; null when it is too small to be made. */
    public static function halfMl(float $ml, float $biteMm): ?float
    {
        $half = floor(2 * min($ml, M_PI / 6 * ($biteMm / 10) ** 3)) / 2;

        return $half < self::SMALLEST_ML ? null : $half;
    }

    /** Across of a ball of so many ml, in mm. */
    public static function ballMm(float $ml): float
    {
        return 10 * (6 * $ml / M_PI) ** (1 / 3);
    }
}
