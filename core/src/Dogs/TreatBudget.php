<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

/** How many kcal of treats a dog may have in a whole day, and why. */
final readonly class TreatBudget
{
    private function __construct(
        public ?float $kcal,
        public float $percent,
        public string $reason,
        public ?float $ofKcal,
    ) {}

    /**
     * @param  ?float  $policyPercent  a kitchen's own lower share; it may lower the budget, never raise it
     */
    public static function of(Dog $dog, Energy $energy, string $school, ?float $policyPercent): self
    {
        $percent = Energy::constant('budget');
        $reason = 'a tenth of the day';
        if ($dog->isGrowing() || ($dog->ageMonths === null && $dog->stage === null && $dog->expectedAdultWeightKg !== null)) {
            [$percent, $reason] = [Energy::constant('budget-strict'), 'half of that while it grows'];
        } elseif ($dog->has('weight-loss')) {
            [$percent, $reason] = [Energy::constant('budget-strict'), 'half of that on a weight-loss plan'];
        } elseif ($dog->conditions !== []) {
            [$percent, $reason] = [Energy::constant('budget-strict'), 'half of that with a condition'];
        }
        foreach ([$policyPercent, $dog->budgetPercent] as $own) {
            if ($own !== null && $own < $percent) {
                [$percent, $reason] = [$own, 'as this kitchen chose'];
            }
        }
        $daily = $energy->dailyKcal?->best;
        $idealKg = $dog->idealWeightKg();
        if ($daily !== null && $idealKg !== null && $dog->isOverweight() && ! $dog->has('weight-loss') && ! $dog->has('weight-gain')) {
            $daily = Energy::atWeight($dog, $idealKg, $school)->dailyKcal?->best;
        }

        return new self($daily === null ? null : $daily * $percent / 100, $percent, $reason, $daily);
    }

    /** Under 8 weeks: no treats at all. */
    public static function isTooYoung(Dog $dog): bool
    {
        return $dog->ageMonths !== null && $dog->ageMonths < 1.84;
    }
}
