<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;

/**
 * How much of a food wets a flour like a liquid: water bound in it does not, a syrup does with its whole mass, fat and nut butter soften.
 * Rows of free-water.csv, their shares in dough-parameters.csv.
 */
final class FreeWater
{
    /** Share of water from which a food nobody told us of is a liquid. */
    private const LIQUID = 85.0;

    /**
     * g in a g of the food, by the form it goes in: mashed, grated, as purée.
     *
     * @param  list<string>  $forms
     */
    public static function of(Ingredient $food, array $forms = []): float
    {
        $table = Compiled::doughs()['free'];
        $row = $table[$food->id] ?? ($food->like === null ? null : $table[$food->like] ?? null);
        if ($row === null) {
            return self::ofUnknown($food);
        }
        foreach ($forms as $form) {
            if (isset($row['forms'][$form])) {
                return $row['forms'][$form];
            }
        }

        return $row['plain'];
    }

    private static function ofUnknown(Ingredient $food): float
    {
        $water = $food->composition->waterG ?? 0.0;

        return $water / 100 * ($water >= self::LIQUID ? 1.0 : Compiled::doughs()['parameters']['free-bound']);
    }
}
