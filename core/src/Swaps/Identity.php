<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Pantry\Ingredient;

/** What a treat is known by: its first foods by mass and the food in its name. A rescue changes them last. */
final class Identity
{
    private const FIRST = 3;

    /** Share of the bowl below which nobody knows a treat by it. */
    private const KNOWN_BY = 0.05;

    /** Groups within which one food is much like another. */
    private const KINDRED = ['flour', 'oil', 'nut-butter', 'meat', 'fish', 'liquid'];

    /** @var array<int, true> lines of the first foods by mass, water aside */
    private array $first = [];

    /** @var array<int, true> lines of the food in the name */
    private array $named = [];

    /**
     * @param  list<Weighed>  $weighed
     * @param  list<Ingredient>  $inTitle
     * @param  array<string, float>  $weights
     */
    public function __construct(array $weighed, array $inTitle, private readonly array $weights)
    {
        $mass = array_sum(array_map(static fn (Weighed $one): float => $one->grams->best, $weighed));
        $solid = array_values(array_filter($weighed, static fn (Weighed $one): bool => ! $one->ingredient->inGroup('liquid') && $one->grams->best >= self::KNOWN_BY * $mass));
        usort($solid, static fn (Weighed $a, Weighed $b): int => $b->grams->best <=> $a->grams->best ?: $a->line <=> $b->line);
        foreach (array_slice($solid, 0, self::FIRST) as $one) {
            $this->first[$one->line] = true;
        }
        foreach ($weighed as $one) {
            foreach ($inTitle as $food) {
                if ($one->ingredient->id === $food->id || $one->ingredient->isKindOf($food) || $one->ingredient->isCoveredBy($food->id)) {
                    $this->named[$one->line] = true;
                }
            }
        }
    }

    /**
     * What it costs that a line becomes something else.
     *
     * @param  list<Weighed>  $in  what is put in its place
     */
    public function cost(Weighed $out, array $in): float
    {
        $cost = isset($this->named[$out->line]) ? $this->weights['named'] : 0.0;
        if (! isset($this->first[$out->line])) {
            return $cost;
        }
        $to = $in[0]->ingredient ?? null;
        foreach ($to === null ? [] : self::KINDRED as $group) {
            if ($to?->inGroup($group) === true && $out->ingredient->inGroup($group)) {
                return $cost + $this->weights['identity'] / 2;
            }
        }

        return $cost + $this->weights['identity'];
    }
}
