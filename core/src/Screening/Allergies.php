<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Groups;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Said;

/** What one dog reacts to, what its conditions exclude, and what is not on its allow-list. */
final class Allergies
{
    /**
     * @return list<Finding>
     */
    public static function findings(Ingredient $food, Dog $dog, Said $said, Policy $policy): array
    {
        $findings = [];
        foreach ($dog->allergies as $allergy) {
            $finding = self::isCovered($food, $allergy, $policy)
                ? Saying::of('allergy', 'food')->finding($dog, ['{Food}' => $food->capitalised(), '{group}' => Groups::label($allergy)], "allergy-$allergy")
                : Exclusion::byAllergy($allergy, $food, $dog, $said);
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }
        foreach ($dog->conditions as $condition) {
            $finding = Exclusion::byCondition($condition, $food, $dog, $said);
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }
        if ($dog->allowList !== null && ! $food->inGroup('liquid') && ! $food->isCoveredByAny($dog->allowList)) {
            $findings[] = Saying::of('not-on-list', 'food')->finding($dog, ['{Food}' => $food->capitalised()]);
        }

        return [...$findings, ...self::byTrial($food, $dog)];
    }

    /** @return list<Finding> of a food that is left out for a while, and of one that went badly when it was tried */
    private static function byTrial(Ingredient $food, Dog $dog): array
    {
        $findings = [];
        foreach ($dog->watched->leftOut as $of => $until) {
            if ($food->isCoveredBy((string) $of)) {
                $findings[] = Saying::of('left-out', 'food')->finding($dog, ['{Food}' => $food->capitalised(), '{until}' => $until->spelled()], "left-out-$of");
            }
        }
        foreach ($dog->watched->wentBadly as $of => $saw) {
            if ($food->isCoveredBy((string) $of)) {
                $findings[] = Saying::of('went-badly', 'food')->finding($dog, ['{Food}' => $food->capitalised(), '{saw}' => $saw], "went-badly-$of");
            }
        }

        return $findings;
    }

    private static function isCovered(Ingredient $food, string $allergy, Policy $policy): bool
    {
        return $food->isCoveredBy($allergy) || ($allergy === 'grain' && $policy->countsPseudoGrains() && $food->inGroup('pseudo-grain'));
    }
}
