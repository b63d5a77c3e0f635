<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Formulate\Policy;

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
        foreach ($dogs as $dog) {
            $energy = Energy::of($dog, $policy->energySchool);
            $budget = TreatBudget::of($dog, $energy, $policy->energySchool, $policy->budgetPercent);
            if ($dog->weightKg === null || $dog->isBreeding() || $budget->kcal === null || TreatBudget::isTooYoung($dog)) {
                $rations[] = null;

                continue;
            }
            $caps = [];
            foreach (Doses::for($dog, $policy->garlic) as $row) {
                $cap = $row['limit'] === '' ? null : Doses::perDay($row, (float) $row['limit'], $dog, $budget->kcal, $energy->dailyKcal?->best);
                if ($cap !== null) {
                    $substances[$row['substance']] ??= count($substances);
                    $caps[] = [$substances[$row['substance']], max(0.0, $cap - ($dog->alreadyToday[$row['substance']] ?? 0.0))];
                }
            }
            $rations[] = ['budget' => max(0.0, $budget->kcal - ($dog->alreadyToday['kcal'] ?? 0.0)), 'caps' => $caps, 'ramp' => $dog->newIngredients];
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
        if ($sums[Bowl::KCAL] + $least[Bowl::KCAL] > $ration['budget'] * $quarters) {
            return false;
        }
        foreach ($ration['caps'] as [$substance, $cap]) {
            if ($cap * $quarters < $sums[Bowl::FIRST_DOSE + $substance] + $least[Bowl::FIRST_DOSE + $substance]) {
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
        $mass = $bowl[Bowl::MASS];
        if ($ration === null || $mass <= 0.0) {
            return 0.0;
        }
        $count = $this->cut->count() ?? max(1e-9, $mass * $this->cut->used() / ((float) $this->cut->pieceMl() * $density));
        $pieces = $bowl[Bowl::KCAL] > 0 ? $ration['budget'] * $count / $bowl[Bowl::KCAL] : INF;
        foreach ($ration['caps'] as [$substance, $cap]) {
            $held = $bowl[Bowl::FIRST_DOSE + $substance];
            if ($held > 0.0) {
                $pieces = min($pieces, $cap * $count / $held);
            }
        }

        return $pieces;
    }
}
