<?php

declare(strict_types=1);

namespace MildBowl\Core\Measuring;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Range;

/** What a millilitre of a food weighs, by densities.csv: grams in an American cup, by form. */
final class Density
{
    /**
     * Grams in a millilitre of this food in the first of the forms that has a row; null when no density is known. The food's own row
     * comes first, then that of the food it is like, then its narrowest group's, so that peanut oil weighs like an oil and not like a legume.
     *
     * @param  list<string>  $forms
     */
    public static function of(Ingredient $food, array $forms): ?Range
    {
        $tables = Compiled::tables();
        $found = self::row($tables['densities'][$food->id] ?? null, $forms) ?? ($food->like === null ? null : self::row($tables['densities'][$food->like] ?? null, $forms));
        foreach ($found === null ? $tables['groupsWith']['densities'] : [] as $group) {
            if (isset($food->groups[$group])) {
                $found = self::row($tables['densities']["group:$group"], $forms);
                if ($found !== null) {
                    break;
                }
            }
        }

        return $found;
    }

    /**
     * @param  array<string, array{float, float, float}>|null  $rows  by form
     * @param  list<string>  $forms
     */
    private static function row(?array $rows, array $forms): ?Range
    {
        foreach ($rows === null ? [] : $forms as $form) {
            if (isset($rows[$form])) {
                return Range::of(...$rows[$form])->times(1 / Unit::millilitres('us', 'cup'));
            }
        }

        return isset($rows['']) ? Range::of(...$rows[''])->times(1 / Unit::millilitres('us', 'cup')) : null;
    }
}
