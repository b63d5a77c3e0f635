<?php

declare(strict_types=1);

namespace MildBowl\Core\Measuring;

use MildBowl\Core\Data\Unit;

/** An amount as a kitchen measures it: nearest eighth of a cup, quarter of a teaspoon; never a decimal of a cup. */
final class KitchenMeasure
{
    private const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];

    private const QUARTERS = ['', '¼', '½', '¾'];

    public static function of(float $ml, string $units): string
    {
        $cup = Unit::millilitres($units, 'cup');
        if ($ml >= $cup * 3 / 16) {
            return self::parts((int) round($ml / $cup * 8), 8, self::EIGHTHS).' cup'.($ml / $cup > 1.06 ? 's' : '');
        }
        $tbsp = Unit::millilitres($units, 'tbsp');
        if ($ml >= $tbsp * 0.9) {
            return self::parts((int) round($ml / $tbsp * 2), 2, ['', '½']).' tbsp';
        }
        $quarters = (int) round($ml / Unit::millilitres($units, 'tsp') * 4);

        return $quarters === 0 ? 'a pinch' : self::parts($quarters, 4, self::QUARTERS).' tsp';
    }

    /** @param  list<string>  $signs */
    private static function parts(int $count, int $in, array $signs): string
    {
        $whole = intdiv($count, $in);

        return trim(($whole === 0 ? '' : (string) $whole).' '.$signs[$count % $in]);
    }
}
