<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;

/** What one dog reacts to, what its conditions exclude, and what is not on its allow-list. */
final class Allergies
{
    /**
     * @param  callable(list<string>): bool  $says
     * @return list<Finding>
     */
    public static function apply(Ingredient $food, Dog $dog, callable $says, Circumstances $circumstances): array
    {
        $findings = [];
        foreach ($dog->allergies as $allergy) {
            array_push($findings, ...self::allergy($food, $dog, $allergy, $says, $circumstances));
        }
        foreach ($dog->conditions as $condition) {
            foreach (Data::tables()['exclusions'][$condition] ?? [] as $row) {
                if (array_filter($row['groups'], $food->inGroup(...)) !== [] && ! ($row['unless'] !== [] && $says($row['unless']))) {
                    $findings[] = new Finding($dog->name, Level::Allergen, "excluded-$condition", self::fill($row['message'], $food, $dog), $row['advice'], source: Sources::name($row['source']));
                    break;
                }
            }
        }
        if ($dog->allowList !== null && ! $food->inGroup('liquid') && array_filter($dog->allowList, $food->isCoveredBy(...)) === []) {
            $findings[] = new Finding($dog->name, Level::Allergen, 'not-on-list', self::fill('{food} is not on {dog}\'s allow-list.', $food, $dog), 'Use a food from the list.', source: 'the allow-list of this dog');
        }

        return $findings;
    }

    /**
     * @param  callable(list<string>): bool  $says
     * @return list<Finding>
     */
    private static function allergy(Ingredient $food, Dog $dog, string $allergy, callable $says, Circumstances $circumstances): array
    {
        $covered = $food->isCoveredBy($allergy) || ($allergy === 'grain' && $circumstances->pseudoGrainsAreGrain && $food->inGroup('pseudo-grain'));
        if ($covered) {
            $label = Data::tables()['groups']['labels'][$allergy] ?? str_replace('-', ' ', $allergy);

            return [new Finding($dog->name, Level::Allergen, "allergy-$allergy", self::fill("{food}: {dog} reacts to $label.", $food, $dog), 'Swap it for something this dog may have.', source: Sources::name('MUELLER'))];
        }
        $findings = [];
        foreach (Data::tables()['cross'][$allergy] ?? [] as $row) {
            if ($food->inGroup($row['group']) && ! ($row['unless'] !== [] && $says($row['unless']))) {
                $findings[] = new Finding($dog->name, Level::from($row['level']), "cross-$allergy", self::fill($row['message'], $food, $dog), $row['advice'], source: Sources::name('MUELLER'));
                break;
            }
        }

        return $findings;
    }

    private static function fill(string $message, Ingredient $food, Dog $dog): string
    {
        return strtr($message, ['{food}' => mb_strtoupper(mb_substr($food->name, 0, 1)).mb_substr($food->name, 1), '{dog}' => $dog->name]);
    }
}
