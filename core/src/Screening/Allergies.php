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

        return $findings;
    }

    private static function isCovered(Ingredient $food, string $allergy, Policy $policy): bool
    {
        return $food->isCoveredBy($allergy) || ($allergy === 'grain' && $policy->countsPseudoGrains() && $food->inGroup('pseudo-grain'));
    }
}
