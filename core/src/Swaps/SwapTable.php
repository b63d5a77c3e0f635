<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Data;
use MildBowl\Core\Pantry\Ingredient;

/** The known good swaps by the food they take out. */
final class SwapTable
{
    /** @return list<Swap> the best first */
    public static function for(Ingredient $food): array
    {
        $swaps = [];
        $rows = Data::tables()['swaps'];
        foreach ([$food->id, ...array_map(static fn (string $group): string => "group:$group", array_keys($food->groups))] as $key) {
            foreach ($rows[$key] ?? [] as $row) {
                if (! in_array($food->id, $row['except'], true) && ! isset($row['in'][$food->id])) {
                    $swap = new Swap($row['in'], $row['job'], $row['rank'], $row['note'], $row['source']);
                    $id = implode('+', array_keys($row['in']));
                    if (! isset($swaps[$id]) || $swaps[$id]->rank > $swap->rank) {
                        $swaps[$id] = $swap;
                    }
                }
            }
        }
        $swaps = array_values($swaps);
        usort($swaps, static fn (Swap $a, Swap $b): int => $a->rank <=> $b->rank ?: array_keys($a->in) <=> array_keys($b->in));

        return $swaps;
    }
}
