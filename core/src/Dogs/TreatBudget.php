<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Kitchen\Policy;

/** How many kcal of treats a dog may have in a whole day, and why. */
final readonly class TreatBudget
{
    private function __construct(
        public ?float $kcal,
        public float $percent,
        public string $reason,
        public ?float $ofKcal,
    ) {}

    public static function for(Dog $dog, Policy $policy): self
    {
        return self::of($dog, Energy::of($dog, $policy->energySchool), $policy);
    }

    /** A kitchen's own share may lower the budget, never raise it. */
    public static function of(Dog $dog, Energy $energy, Policy $policy): self
    {
        $percent = EnergyRow::value('budget');
        $reason = 'a tenth of the day';
        if ($dog->isGrowing() || ($dog->ageMonths === null && $dog->stage === null && $dog->expectedAdultWeightKg !== null)) {
            [$percent, $reason] = [EnergyRow::value('budget-strict'), 'half of that while it grows'];
        } elseif ($dog->has('weight-loss')) {
            [$percent, $reason] = [EnergyRow::value('budget-strict'), 'half of that on a weight-loss plan'];
        } elseif ($dog->conditions !== []) {
            [$percent, $reason] = [EnergyRow::value('budget-strict'), 'half of that with a condition'];
        }
        foreach ([$policy->budgetPercent, $dog->budgetPercent] as $own) {
            if ($own !== null && $own < $percent) {
                [$percent, $reason] = [$own, 'as this kitchen chose'];
            }
        }
        $daily = $energy->dailyKcal?->best;
        $idealKg = $dog->idealWeightKg();
        if ($daily !== null && $idealKg !== null && $dog->isOverweight() && ! $dog->has('weight-loss') && ! $dog->has('weight-gain')) {
            $daily = Energy::of($dog->atIdeal($idealKg), $policy->energySchool)->dailyKcal?->best;
        }

        return new self($daily === null ? null : $daily * $percent / 100, $percent, $reason, $daily);
    }

    /** kcal that are left today; null without a budget. */
    public function left(Dog $dog): ?float
    {
        return $this->kcal === null ? null : max(0.0, $this->kcal - ($dog->alreadyToday['kcal'] ?? 0.0));
    }

    /** Under 8 weeks: no treats at all. */
    public static function isTooYoung(Dog $dog): bool
    {
        return $dog->ageMonths !== null && $dog->ageMonths < 1.84;
    }
}
