<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Feeding\Ration;

/** The cut as a variable of a rescue, and the cheapest: the one that is there, and smaller ones of the same shape. */
final readonly class Cuts
{
    /** How many times smaller a piece may be made. */
    private const TIMES = [1.5, 2.0, 3.0, 4.0, 6.0, 8.0, 12.0, 16.0];

    /** From so many times on a cut is smaller in the sense of the goal. */
    private const SMALLER = 1.9;

    /** @var non-empty-list<array{cut: ?Cut, times: float, cost: float}> the present one first, then the nearest first */
    public array $all;

    /**
     * @param  array<string, float>  $weights
     * @param  bool  $mustBeSmaller  where somebody wants smaller pieces
     */
    public function __construct(Cut $cut, private array $weights, bool $mustBeSmaller)
    {
        $all = $mustBeSmaller ? [] : [['cut' => null, 'times' => 1.0, 'cost' => 0.0]];
        foreach (self::TIMES as $times) {
            $smaller = $cut->smaller($times);
            if ($smaller !== null && (! $mustBeSmaller || $smaller->timesSmallerThan($cut) >= self::SMALLER)) {
                $all[] = ['cut' => $smaller, 'times' => $smaller->timesSmallerThan($cut), 'cost' => $weights['cut'] + $weights['cut-step'] * log($times, 2)];
            }
        }
        $this->all = $all === [] ? [['cut' => null, 'times' => 1.0, 'cost' => 0.0]] : $all;
    }

    public function finest(): float
    {
        return max(array_column($this->all, 'times'));
    }

    /**
     * The cheapest cut that leaves every dog a quarter piece.
     *
     * @param  list<float>  $pieces  a day at the present cut, by dog
     * @return array{cut: ?Cut, times: float, cost: float}|null the cost with that of dogs that get less than a piece; null where none is small enough
     */
    public function cheapest(array $pieces): ?array
    {
        $least = $pieces === [] ? INF : min($pieces);
        $best = null;
        foreach ($this->all as $one) {
            if ($least * $one['times'] < Ration::QUARTER + 1e-9 || ($best !== null && $one['cost'] >= $best['cost'])) {
                continue;
            }
            $cost = $one['cost'];
            foreach ($pieces as $each) {
                $cost += $each * $one['times'] < 1.0 ? $this->weights['fewer-pieces'] * (1 - $each * $one['times']) : 0.0;
            }
            if ($best === null || $cost < $best['cost']) {
                $best = ['cost' => $cost] + $one;
            }
        }

        return $best;
    }
}
