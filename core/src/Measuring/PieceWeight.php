<?php

declare(strict_types=1);

namespace MildBowl\Core\Measuring;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Range;

/** What one of a counted food weighs ("an egg", "a stalk"), by pieces.csv. */
final class PieceWeight
{
    /** Grams of one; null when nobody weighed it. */
    public static function of(Ingredient $food, string $unit, ?string $size): ?Range
    {
        $tables = Compiled::tables();
        $found = self::row($tables['pieces'][$food->id] ?? ($food->like === null ? null : $tables['pieces'][$food->like] ?? null), $unit, $size);
        foreach ($found === null ? $tables['groupsWith']['pieces'] : [] as $group) {
            if ($food->inGroup($group)) {
                $found = self::row($tables['pieces']["group:$group"], $unit, $size);
                if ($found !== null) {
                    break;
                }
            }
        }

        return $found;
    }

    /** An egg, its yolk or its white: counted or weighed, and measured in cups by nobody. */
    public static function isOfTheShell(Ingredient $food): bool
    {
        return $food->inGroup('egg') && ! $food->inGroup('added-calcium') && self::of($food, 'each', null) !== null;
    }

    /** @param  array<string, array{float, float, float}>|null  $rows */
    private static function row(?array $rows, string $unit, ?string $size): ?Range
    {
        $row = $rows["$unit:$size"] ?? $rows["$unit:"] ?? null;

        return $row === null ? null : Range::of(...$row);
    }
}
