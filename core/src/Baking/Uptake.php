<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;

/** How much water a flour takes up, by uptake.csv, and what fat takes away from that. */
final class Uptake
{
    /** However much fat: never under half. */
    private const LEAST = 0.5;

    /** From this on it is a gum or a fibre, not a flour that one would add more of. */
    private const NO_FLOUR = 2.0;

    /** g of water that a g of this food takes up; 0 for what takes up none. */
    public static function of(Ingredient $food): float
    {
        $table = Compiled::doughs()['uptake'];

        return $table[$food->id][0] ?? ($food->like === null ? 0.0 : $table[$food->like][0] ?? 0.0);
    }

    public static function isFlour(Ingredient $food): bool
    {
        $uptake = self::of($food);

        return $uptake > 0 && $uptake < self::NO_FLOUR;
    }

    /** Share of the uptake that is left with so much fat on so much flour. */
    public static function shortened(float $fatGrams, float $flourGrams): float
    {
        return $flourGrams <= 0.0 ? self::LEAST : max(self::LEAST, 1 - Compiled::doughs()['parameters']['shortens'] * $fatGrams / $flourGrams);
    }
}
