<?php

declare(strict_types=1);

namespace MildBowl\Core\Telling;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Screening\When;
use MildBowl\Core\Values\Figure;

/** What a dog's body asks of every treat, in plain sentences: how soft, how small, how lean, and when the vet decides. */
final class Cares
{
    private const MONTHS_SOFT = '12 weeks';

    /** Limits that are told beforehand, with their unit a day. */
    private const TOLD = ['fat' => 'g', 'sodium' => 'mg'];

    /** @return list<string> */
    public static function of(Dog $dog, Policy $policy, ?TreatBudget $budget): array
    {
        return array_values(array_filter([
            $dog->isBreeding() ? 'Pregnant or nursing: no number of pieces is told here, your vet decides; no garlic, and liver only as the vet says.' : null,
            TreatBudget::isTooYoung($dog) ? 'Under 8 weeks: no treats.' : null,
            ! TreatBudget::isTooYoung($dog) && When::isVeryYoung($dog) ? 'Until '.self::MONTHS_SOFT.': only soft pieces, from a pea to a fingertip; nothing hard, chewy or frozen.' : null,
            $dog->isGrowing() ? 'While it grows: nothing raw, no garlic, no added salt.' : null,
            match ($dog->teeth) {
                'few' => 'Few teeth: bake it soft, or soak it in water first.',
                'none' => 'No teeth: soft only, or soaked in water; no biscuit as it is.',
                default => null,
            },
            $dog->has('dental') ? 'Sore teeth or gums: bake it soft.' : null,
            $dog->eating === 'gulps' ? 'Gulps: pieces broken up small and fed by hand, nothing hard that fits whole in the throat.' : null,
            $dog->has('megaoesophagus') ? 'Megaoesophagus (the gullet does not carry food down): soft or soaked, nothing dry that crumbles; fed upright, as your vet shows you.' : null,
            ...self::limits($dog, $policy, $budget),
        ]));
    }

    /** @return list<string> */
    private static function limits(Dog $dog, Policy $policy, ?TreatBudget $budget): array
    {
        $said = [];
        foreach (Doses::all()->for($dog, $policy->garlic) as $dose) {
            $unit = self::TOLD[$dose->code] ?? null;
            if ($unit === null || $dose->limit === null || ($dose->code === 'sodium' && ! $dose->isOfIllness())) {
                continue;
            }
            $aDay = $dose->capPerDay($dog, $budget?->kcal, null);
            $said[] = ucfirst($dose->code).": at most {$dose->limit} {$dose->unit}".($aDay === null ? '' : ', which is '.Figure::roughAtMost($aDay)." $unit a day").'.';
        }

        return $said;
    }
}
