<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Data;
use MildBowl\Core\Pantry\Ingredient;

/** The known good swaps by the food they take out. */
final class SwapTable
{
    /**
     * @param  list<OwnSwap>  $own
     * @return list<Swap> the best first
     */
    public static function for(Ingredient $food, array $own = []): array
    {
        $swaps = $rated = [];
        foreach ($own as $one) {
            if ($one->out === $food->id) {
                $rated[$one->in] = $one;
            }
        }
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
        foreach ($rated as $id => $one) {
            $known = $swaps[$id] ?? null;
            $swaps[$id] = new Swap($known->in ?? [$id => $one->ratio], $known->job ?? 'flavour', $one->rank(), $one->note !== '' ? $one->note : ($known->note ?? 'this kitchen\'s own'), $known->source ?? 'LABEL');
        }
        $swaps = array_values($swaps);
        usort($swaps, static fn (Swap $a, Swap $b): int => $a->rank <=> $b->rank ?: array_keys($a->in) <=> array_keys($b->in));

        return $swaps;
    }
}
