<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** An amount as a kitchen measures it: nearest eighth of a cup, quarter of a teaspoon; never a decimal of a cup. */
final class KitchenMeasure
{
    private const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

    private const QUARTERS = ['', '¼', '½', '¾'];

    private const ML_PER_TSP = ['us' => 4.93, 'metric' => 5.0, 'imperial' => 5.0, 'australian' => 5.0];

    private const ML_PER_TBSP = ['us' => 14.79, 'metric' => 15.0, 'imperial' => 15.0, 'australian' => 20.0];

    private const ML_PER_CUP = ['us' => 236.6, 'metric' => 250.0, 'imperial' => 284.0, 'australian' => 250.0];

    public static function of(float $ml, string $units): string
    {
        $cup = self::ML_PER_CUP[$units];
        if ($ml >= $cup * 3 / 16) {
            return self::parts((int) round($ml / $cup * 8), 8, self::EIGHTHS).' cup'.($ml / $cup > 1.06 ? 's' : '');
        }
        if ($ml >= self::ML_PER_TBSP[$units] * 0.9) {
            return self::parts((int) round($ml / self::ML_PER_TBSP[$units] * 2), 2, ['', '½']).' tbsp';
        }
        $quarters = (int) round($ml / self::ML_PER_TSP[$units] * 4);

        return $quarters === 0 ? 'a pinch' : self::parts($quarters, 4, self::QUARTERS).' tsp';
    }

    /** @param  list<string>  $signs */
    private static function parts(int $count, int $in, array $signs): string
    {
        $whole = intdiv($count, $in);

        return trim(($whole === 0 ? '' : (string) $whole).' '.$signs[$count % $in]);
    }
}
