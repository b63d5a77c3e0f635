<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Pantry\Ingredient;

/**
 * How a dough of which meat or fish is the body holds together: by the dry binder on its meat, not by its wetness. Bounds of reference
 * page 7, doughs.
 */
final class Binding
{
    /** Share of the mass over which meat or fish is the body. */
    public const BODY = 0.40;

    /** Share of solids from which meat is dried, and binds nothing. */
    public const DRIED = 0.70;

    /** Free liquid on a g of dry binder from which it holds a class less well: more than the binder drinks. */
    private const LOOSENS = 2.0;

    private function __construct() {}

    /**
     * g of dry binder on a g of meat; null where meat is not the body.
     *
     * @param  list<Weighed>  $weighed
     */
    public static function of(array $weighed): ?float
    {
        $mass = $meat = $dry = $free = 0.0;
        foreach ($weighed as $one) {
            $grams = $one->grams->best;
            $mass += $grams;
            if (self::isMeat($one)) {
                $meat += $grams;
            } elseif (Uptake::of($one->ingredient) > 0.0) {
                $dry += $grams;
            } elseif (self::bindsCooked($one->ingredient)) {
                $dry += $grams * $one->solidShare();
            } elseif (! $one->ingredient->inGroup('egg')) {
                $free += $one->freeG;
            }
        }
        if ($meat <= 0.0 || $meat <= self::BODY * $mass) {
            return null;
        }
        $ratio = $dry / $meat;

        return $free > self::LOOSENS * $dry && $free > 0.1 * $meat ? Feel::looserThan($ratio) : $ratio;
    }

    /** Meat, organ or fish in pieces or minced; what is liquidised pours. */
    public static function isMeat(Weighed $one): bool
    {
        return self::isFlesh($one->ingredient) && ! in_array('pureed', $one->forms, true) && $one->solidShare() < self::DRIED;
    }

    public static function isFlesh(Ingredient $food): bool
    {
        return $food->inGroup('meat') || $food->inGroup('organ') || $food->inGroup('shellfish') || ($food->inGroup('fish') && ! $food->inGroup('oil'));
    }

    /** Cooked grain and pulse hold with their dry share. */
    private static function bindsCooked(Ingredient $food): bool
    {
        return $food->inAny(['grain', 'pseudo-grain', 'legume']) && ! $food->inAny(['nut-butter', 'oil', 'liquid']);
    }
}
