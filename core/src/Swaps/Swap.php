<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\OwnSwap;
use MildBowl\Core\Pantry\Ingredient;

/** What may stand in for a food, weight for weight: a row of the swaps as the compiler spread them out, or a kitchen's own. */
final readonly class Swap
{
    /**
     * @param  array<string, float>  $in  grams of each food put in for a gram taken out; empty: leave it out
     * @param  float  $rank  0 for the best for its job, more the further from it
     */
    private function __construct(public array $in, public string $job, public float $rank, public string $note, public string $source) {}

    /**
     * The known good swaps for a food, and what this kitchen thinks of them.
     *
     * @param  list<OwnSwap>  $own
     * @param  ?string  $state  what it is on the plate and must stay; null where nothing is asked
     * @return list<self> the best first
     */
    public static function for(Ingredient $food, array $own = [], ?string $state = null): array
    {
        $swaps = [];
        foreach ([$food->id, ...array_map(static fn (string $group): string => "group:$group", array_keys($food->groups))] as $key) {
            foreach (Compiled::tables()['swaps'][$key] ?? [] as $row) {
                if (in_array($food->id, $row['except'], true) || isset($row['in'][$food->id]) || ($row['state'] !== '' && $row['state'] !== $state)) {
                    continue;
                }
                if ($state !== null && $row['state'] === '' && ! self::stays($state, array_keys($row['in']))) {
                    continue;
                }
                $id = implode('+', array_keys($row['in']));
                if (! isset($swaps[$id]) || $swaps[$id]->rank > $row['rank']) {
                    $swaps[$id] = new self($row['in'], $row['job'], $row['rank'], $row['note'], $row['source']);
                }
            }
        }
        foreach ($own as $one) {
            if ($one->out === $food->id) {
                $known = $swaps[$one->in] ?? null;
                // where nobody said how much for how much, what is known of it is better than one for one
                $in = $known === null || $one->ratio !== 1.0 ? [$one->in => $one->ratio] : $known->in;
                $swaps[$one->in] = new self($in, $known->job ?? 'flavour', $one->rank(), $one->note !== '' ? $one->note : ($known->note ?? 'this kitchen\'s own'), $known->source ?? 'LABEL');
            }
        }
        $swaps = array_values($swaps);
        usort($swaps, static fn (self $a, self $b): int => $a->rank <=> $b->rank ?: array_keys($a->in) <=> array_keys($b->in));

        return $swaps;
    }

    /**
     * Whether what is put in stays what the line is on the plate; leaving it out always does.
     *
     * @param  list<string>  $in
     */
    private static function stays(string $state, array $in): bool
    {
        return $in === [] || Plate::allows($state, Ingredient::shipped($in[0]));
    }
}
