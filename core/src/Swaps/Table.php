<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Kitchen\Policy;

/**
 * The dogs at the table with what each may have in a day, worked out once so that the search can ask a million times.
 */
final readonly class Table
{
    /** @var list<string> */
    public array $substances;

    /** @var list<array{budget: float, caps: list<array{int, float}>, ramp: list<string>}|null> null: no ration in any recipe */
    private array $rations;

    /** @param  list<Dog>  $dogs */
    public function __construct(public array $dogs, private Policy $policy, private Cut $cut)
    {
        $substances = [];
        $rations = [];
        $doses = Doses::all();
        foreach ($dogs as $dog) {
            $energy = Energy::of($dog, $policy->energySchool);
            $budget = TreatBudget::of($dog, $energy, $policy);
            if ($dog->weightKg === null || $dog->isBreeding() || $budget->kcal === null || TreatBudget::isTooYoung($dog)) {
                $rations[] = null;

                continue;
            }
            $caps = [];
            foreach ($doses->for($dog, $policy->garlic) as $dose) {
                $left = $dose->leftPerDay($dog, $budget->kcal, $energy->dailyKcal?->best);
                if ($left !== null) {
                    $substances[$dose->counted()] ??= count($substances);
                    $caps[] = [$substances[$dose->counted()], $left];
                }
            }
            $rations[] = ['budget' => $budget->left($dog) ?? 0.0, 'caps' => $caps, 'ramp' => $dog->newIngredients];
        }
        $this->substances = array_map(strval(...), array_keys($substances));
        $this->rations = $rations;
    }

    public function hasRation(int $dog): bool
    {
        return $this->rations[$dog] !== null;
    }

    /**
     * Whether a bowl that is still being chosen could leave a dog a quarter piece: with the least that is to come, in the greatest mass.
     *
     * @param  array<int, float>  $sums
     * @param  list<float>  $least
     */
    public function mayStillServe(int $dog, array $sums, array $least, float $mass, float $density): bool
    {
        $ration = $this->rations[$dog];
        if ($ration === null) {
            return false;
        }
        $quarters = 4 * ($this->cut->count() ?? $mass * $this->cut->used() / ((float) $this->cut->pieceMl() * $density));
        if ($sums[Sums::KCAL] + $least[Sums::KCAL] > $ration['budget'] * $quarters) {
            return false;
        }
        foreach ($ration['caps'] as [$substance, $cap]) {
            if ($cap * $quarters < $sums[Sums::FIRST_DOSE + $substance] + $least[Sums::FIRST_DOSE + $substance]) {
                return false;
            }
        }

        return true;
    }

    /**
     * Pieces a day of a bowl, before the ramp for something new.
     *
     * @param  list<float>  $bowl
     */
    public function pieces(int $dog, array $bowl, float $density): float
    {
        $ration = $this->rations[$dog];
        $mass = $bowl[Sums::MASS];
        if ($ration === null || $mass <= 0.0) {
            return 0.0;
        }
        $count = $this->cut->count() ?? max(1e-9, $mass * $this->cut->used() / ((float) $this->cut->pieceMl() * $density));
        $pieces = $bowl[Sums::KCAL] > 0 ? $ration['budget'] * $count / $bowl[Sums::KCAL] : INF;
        foreach ($ration['caps'] as [$substance, $cap]) {
            $held = $bowl[Sums::FIRST_DOSE + $substance];
            if ($held > 0.0) {
                $pieces = min($pieces, $cap * $count / $held);
            }
        }

        return $pieces;
    }
}
