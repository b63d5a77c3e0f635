<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Lot;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;

/** One dough divided: what the whole cut makes of it, or its portions and the rest. */
final readonly class Lots
{
    /** @var non-empty-list<Lot> portions in the order they were asked for, the rest last */
    public array $all;

    public function __construct(Request $request, Dough $dough)
    {
        $this->all = self::cut($request, $dough);
    }

    /** The lot that is not named, or the first. */
    public function main(): Lot
    {
        $last = $this->all[count($this->all) - 1];

        return $last->name === null ? $last : $this->all[0];
    }

    /** The lot a dog eats from. */
    public function of(Dog $dog): Lot
    {
        foreach ($this->all as $lot) {
            if (in_array($dog->name, $lot->dogs, true)) {
                return $lot;
            }
        }

        return $this->all[count($this->all) - 1];
    }

    /**
     * Shares that were not given are set by what the dogs of each portion may eat in a day.
     *
     * @return non-empty-list<Lot>
     */
    private static function cut(Request $request, Dough $dough): array
    {
        $names = array_map(static fn (Dog $dog): string => $dog->name, $request->dogs);
        if ($request->portions === []) {
            return [new Lot(null, $names, 1.0, $request->cutOrCount(), $request->texture(), new Batch($dough, $request->cutOrCount(), $request->texture(), $request->measured))];
        }
        $needs = [];
        foreach ($request->dogs as $dog) {
            $energy = Energy::of($dog, $request->policy->energySchool);
            $needs[$dog->name] = TreatBudget::of($dog, $energy, $request->policy->energySchool, $request->policy->budgetPercent)->kcal ?? 0.0;
        }
        $left = 1.0;
        $open = 0.0;
        $others = $names;
        foreach ($request->portions as $portion) {
            $left -= $portion->share ?? 0.0;
            $open += $portion->share === null ? self::need($needs, $portion->dogs) : 0.0;
            $others = array_values(array_diff($others, $portion->dogs));
        }
        $left = max(0.0, $left);
        $open += $others === [] ? 0.0 : self::need($needs, $others);
        $lots = [];
        foreach ($request->portions as $portion) {
            $share = $portion->share ?? ($open > 0 ? $left * self::need($needs, $portion->dogs) / $open : 0.0);
            $cut = $portion->cut ?? $request->cutOrCount();
            $texture = $portion->texture ?? $request->texture();
            $lots[] = new Lot($portion->name, $portion->dogs, $share, $cut, $texture, new Batch($dough->part($share), $cut, $texture, $portion->measured));
        }
        $rest = 1.0 - array_sum(array_map(static fn (Lot $lot): float => $lot->share, $lots));
        if ($rest > 1e-6 || $others !== []) {
            $cut = $request->cutOrCount();
            $lots[] = new Lot(null, $others, max(0.0, $rest), $cut, $request->texture(), new Batch($dough->part(max(0.0, $rest)), $cut, $request->texture(), $request->measured));
        }

        return $lots;
    }

    /**
     * @param  array<string, float>  $needs  kcal of treats a day, by name
     * @param  list<string>  $dogs
     */
    private static function need(array $needs, array $dogs): float
    {
        return max(0.001, array_sum(array_intersect_key($needs, array_flip($dogs))));
    }
}
