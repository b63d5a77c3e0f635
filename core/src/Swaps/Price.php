<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Goals\Chosen;

/** What a choice of options costs beyond its lines, and the least that a choice begun can still cost: the sum that the search makes small. */
final class Price
{
    /** Figures of a piece's energy at which the cost of its cut is worked out beforehand. */
    private const STEPS = 60;

    /** Share of what the flours took up below which nothing holds it together. */
    private const LEAST_FLOUR = 0.4;

    /** @var array<int, list<array{int, float, float}>> by the dogs that are served */
    private array $hurting = [];

    private readonly Table $table;

    private readonly Cuts $cuts;

    private readonly Mending $mending;

    /** @var array<string, float> */
    private readonly array $weights;

    /** @var list<float> */
    private readonly array $before;

    private readonly float $density;

    private readonly int $jobsBefore;

    public function __construct(private readonly Rescue $rescue)
    {
        $this->table = $rescue->table;
        $this->cuts = $rescue->cuts;
        $this->mending = $rescue->mending;
        $this->weights = $rescue->weights;
        $this->before = $rescue->before;
        $this->density = $rescue->density;
        $this->jobsBefore = $rescue->jobsBefore;
    }

    /**
     * Dogs for whom some choice would leave less than a quarter piece: only these are looked at on the way down.
     *
     * @return list<int>
     */
    public function tight(int $serves): array
    {
        $worst = $best = array_fill(0, $this->rescue->goalAt, 0.0);
        foreach ($this->rescue->bowls as $options) {
            foreach ($worst as $n => $sum) {
                $column = [0.0, ...array_column($options, $n)];
                $worst[$n] = $sum + max($column);
                $best[$n] += min($column);
            }
        }
        $worst[Sums::MASS] = $best[Sums::MASS];
        $tight = [];
        foreach (array_keys($this->rescue->dogs) as $n) {
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n) && $this->table->finest * $this->table->pieces($n, $worst, $this->density) < Ration::QUARTER) {
                $tight[] = $n;
            }
        }

        return $tight;
    }

    /**
     * What some choice could hurt a dog with: only this is looked at on the way down.
     *
     * @return list<array{int, float, float}>
     */
    public function hurt(int $serves): array
    {
        if (isset($this->hurting[$serves])) {
            return $this->hurting[$serves];
        }
        $most = array_fill(0, $this->rescue->goalAt, 0.0);
        $kcal = 0.0;
        foreach ($this->rescue->bowls as $options) {
            foreach (array_keys($most) as $n) {
                $most[$n] += max([0.0, ...array_column($options, $n)]);
            }
            $kcal += min([INF, ...array_column($options, Sums::KCAL)]);
        }
        $hurt = [];
        foreach (array_keys($this->rescue->dogs) as $n) {
            foreach (($serves >> $n & 1) === 1 && $this->table->hasRation($n) ? $this->table->hurting($n, $this->weights) : [] as [$column, $allows, $weight]) {
                // rows of density allow every dog the same
                $key = sprintf('%d %.9e', $column, $allows);
                if ($most[$column] > $allows * $kcal) {
                    $hurt[$key] = [$column, $allows, $weight + ($hurt[$key][2] ?? 0.0)];
                }
            }
        }

        return $this->hurting[$serves] = array_values($hurt);
    }

    /**
     * What the cut costs at least, and pieces of which there are few, by the energy of a piece: the figure from which on, and the cost.
     *
     * @return list<array{float, float}> by energy, from the most
     */
    public function cutCosts(int $serves): array
    {
        $budgets = [];
        foreach (array_keys($this->rescue->dogs) as $n) {
            if (($serves >> $n & 1) === 1 && $this->table->budget($n) !== null) {
                $budgets[] = $this->table->budget($n);
            }
        }
        $most = 0.0;
        foreach ($this->rescue->bowls as $options) {
            $most += max([0.0, ...array_column($options, Sums::KCAL)]);
        }
        $most = $this->table->leastPieceKcal($most, 0.5 * $this->before[Sums::MASS], $this->density);
        $costs = [];
        for ($step = self::STEPS; $step > 0 && $budgets !== []; $step--) {
            $kcal = $most * $step / self::STEPS;
            $best = $kcal <= 0.0 ? null : $this->cuts->cheapest(array_map(static fn (float $budget): float => $budget / $kcal, $budgets));
            $cost = $best === null ? ($kcal <= 0.0 ? 0.0 : INF) : $best['cost'];
            if ($cost > 0.0) {
                $costs[] = [$kcal, $cost];
            }
        }

        return $costs;
    }

    /** @param  list<array{float, float}>  $costs */
    private static function atLeast(array $costs, float $kcal): float
    {
        foreach ($costs as [$from, $cost]) {
            if ($kcal >= $from) {
                return $cost;
            }
        }

        return 0.0;
    }

    /**
     * What the whole bowl adds to the cost of one choice, never less than nothing; null when the choice cannot be: a dog that is to be
     * served would get less than a quarter piece, a goal is missed, or nothing is left to hold it together.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums  of the choice
     * @param  float  $limit  more than this is of no use to the asker
     */
    public function rest(array $choice, array $sums, int $serves, float $limit = INF): ?float
    {
        if ($sums[Sums::MASS] <= 0.0 || $sums[Sums::UPTAKE] < self::LEAST_FLOUR * $this->before[Sums::UPTAKE]) {
            return null;
        }
        $cost = $this->mending->cost($sums);
        foreach ($this->slopes() as [$column, $each]) {
            $cost += $column === Sums::BALANCE ? 0.0 : $each * max(0.0, $sums[$column]);
        }
        foreach ($this->hurt($serves) as [$column, $allows, $weight]) {
            $cost += $sums[$column] > $allows * $sums[Sums::KCAL] ? $weight * (1 - $allows * $sums[Sums::KCAL] / $sums[$column]) : 0.0;
        }
        if ($cost >= $limit) {
            return null;
        }
        $newFor = [];
        $jobs = 0;
        foreach ($choice as $line => $index) {
            $option = $this->rescue->options[$line][$index];
            $jobs |= $option->jobs;
            if ($option->newTo !== [] && $option->action !== Option::KEEP) {
                foreach ($option->newTo as $dog) {
                    $newFor[$dog->key()] = ($newFor[$dog->key()] ?? 0) + 1;
                }
            }
        }
        $missing = $this->jobsBefore & ~$jobs;
        for ($n = 0; $n < count(Jobs::NEEDED); $n++) {
            $cost += ($missing >> $n & 1) * $this->weights['job-lost'];
        }
        if ($this->rescue->meatFirst && ! Sums::isMeatFirst($this->weighed($choice))) {
            $cost += $this->weights['meat-lost'];
        }
        if ($cost >= $limit) {
            return null;
        }
        $most = Rescue::MOST_CHANGE * $this->before[Sums::MASS];
        if (abs($sums[Sums::MASS] - $sums[Sums::BALANCE] - $this->before[Sums::MASS]) > $most || ($this->mayOutgrow($sums) && abs($sums[Sums::MASS] + $this->mending->change($choice, $sums) - $this->before[Sums::MASS]) > $most)) {
            $cost += $this->weights['batch'];
        }
        if ($cost >= $limit) {
            return null;
        }
        foreach ($this->rescue->dogs as $n => $dog) {
            // never two foods new to a sensitive dog
            if (($serves >> $n & 1) === 1 && ($newFor[$dog->key()] ?? 0) > 1 && $dog->has('sensitive-stomach')) {
                return null;
            }
        }
        $cut = $this->cuts->cheapest($this->pieces($choice, $sums, $serves));
        if ($cut === null) {
            return null;
        }
        $cost += $cut['cost'];

        return $this->rescue->goals->all === [] || $this->rescue->goals->areMet(new Chosen($choice, $sums, $this->weighed($choice), $this->rescue->target, $this->mending)) ? $cost : null;
    }

    /**
     * Whether a batch could grow or shrink by more than a quarter once it is mended.
     *
     * @param  list<float>  $sums
     */
    private function mayOutgrow(array $sums): bool
    {
        return abs($sums[Sums::MASS] - $this->before[Sums::MASS]) + $this->mending->most($sums) > Rescue::MOST_CHANGE * $this->before[Sums::MASS];
    }

    /**
     * The least that the whole bowl can add, whatever is still chosen.
     *
     * @param  array<int, float>  $sums  of what is chosen
     * @param  list<float>  $least  that is to come
     * @param  list<float>  $most
     * @param  int  $jobs  done, or still possible
     * @param  list<int>  $tight  dogs that might be left with less than a quarter piece
     * @param  list<array{int, float, float}>  $hurt  what might hurt a dog
     * @param  list<array{float, float}>  $pieces  of cutCosts()
     * @return float infinite where no completion can be
     */
    public function bound(array $sums, array $least, array $most, int $jobs, array $tight = [], array $hurt = [], array $pieces = []): float
    {
        foreach ($tight as $n) {
            if (! $this->table->mayStillServe($n, $sums, $least, $sums[Sums::MASS] + $most[Sums::MASS], $this->density)) {
                return INF;
            }
        }
        if (self::LEAST_FLOUR * $this->before[Sums::UPTAKE] > $sums[Sums::UPTAKE] + $most[Sums::UPTAKE]) {
            return INF;
        }
        $cost = $pieces === [] ? 0.0 : self::atLeast($pieces, $this->table->leastPieceKcal($sums[Sums::KCAL] + $least[Sums::KCAL], $sums[Sums::MASS] + $most[Sums::MASS], $this->density));
        if ($sums[Sums::MASS] + $most[Sums::MASS] - $sums[Sums::BALANCE] - $least[Sums::BALANCE] < (1 - Rescue::MOST_CHANGE) * $this->before[Sums::MASS]
            || $sums[Sums::MASS] + $least[Sums::MASS] - $sums[Sums::BALANCE] - $most[Sums::BALANCE] > (1 + Rescue::MOST_CHANGE) * $this->before[Sums::MASS]) {
            $cost += $this->weights['batch'];
        }
        $kcal = $sums[Sums::KCAL] + $most[Sums::KCAL];
        foreach ($hurt as [$column, $allows, $weight]) {
            $brings = $sums[$column] + $least[$column];
            $cost += $brings > $allows * $kcal ? $weight * (1 - $allows * $kcal / $brings) : 0.0;
        }
        $missing = $this->jobsBefore & ~$jobs;
        if ($missing !== 0) {
            for ($n = 0; $n < count(Jobs::NEEDED); $n++) {
                $cost += ($missing >> $n & 1) * $this->weights['job-lost'];
            }
        }

        return $cost;
    }

    /**
     * What costs in proportion to a sum over the bowl, as the search bounds it: the column, what a unit costs, the units that cost nothing,
     * and whether a sum under nothing costs as much.
     *
     * @return list<array{int, float, float, bool}>
     */
    public function slopes(): array
    {
        $energy = max(1.0, $this->before[Sums::KCAL]);

        return [
            [Sums::BALANCE, ...$this->mending->slope(), true],
            [Sums::RICHER, $this->before[Sums::KCAL] > 0 ? $this->weights['richer-kcal'] / $energy : 0.0, 0.0, false],
            [Sums::FATTER, $this->weights['richer-fat'] * 100 / $energy, 0.0, false],
        ];
    }

    /** @param  list<int>  $choice */
    private function shareOfNew(array $choice, Dog $dog): float
    {
        return $dog->hasNew() ? Ramp::today($dog, array_map(static fn (Weighed $one): Ingredient => $one->ingredient, $this->weighed($choice))) : 1.0;
    }

    /**
     * @param  list<int>  $choice
     * @return list<Weighed> all that a choice puts in the bowl
     */
    private function weighed(array $choice): array
    {
        $weighed = [];
        foreach ($choice as $line => $index) {
            array_push($weighed, ...$this->rescue->options[$line][$index]->portions);
        }

        return $weighed;
    }

    /**
     * Pieces a day of a choice for the dogs that are to be served and have a ration, slowly begun where something is new to them.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     * @return list<float>
     */
    public function pieces(array $choice, array $sums, int $serves): array
    {
        $pieces = [];
        foreach ($this->rescue->dogs as $n => $dog) {
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n)) {
                $pieces[] = $this->table->pieces($n, $sums, $this->density) * $this->shareOfNew($choice, $dog);
            }
        }

        return $pieces;
    }
}
