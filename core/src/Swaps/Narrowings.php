<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Pantry\Ingredient;

/** One animal only, or meat first: what no sum over the lines can tell, told as narrower searches. */
final class Narrowings
{
    private const ANIMALS = ['chicken', 'turkey', 'duck', 'beef', 'lamb', 'pork', 'venison', 'rabbit', 'bison', 'kangaroo', 'horse', 'goat', 'fish', 'shellfish', 'egg', 'dairy', 'insect'];

    /**
     * The goals that no sum can tell (one animal, meat first) as narrower searches: the best of all of them is the best there is.
     *
     * @param  list<list<Option>>  $options  by line
     * @return list<(callable(int, Option): bool)>|null null where there is no such goal
     */
    public static function of(Goals $goals, array $options): ?array
    {
        if (! $goals->has('single-protein') && ! $goals->has('meat-first')) {
            return null;
        }
        $animals = [];
        $meats = [];
        foreach ($options as $line => $ofLine) {
            foreach ($ofLine as $option) {
                foreach ($option->portions as $portion) {
                    $animals += self::animalsIn($portion->ingredient);
                    if (Bowl::isMeat($portion)) {
                        $meats[] = [$line, $option, $portion->grams->best];
                    }
                }
            }
        }
        $byAnimal = static fn (?string $only): callable => static function (int $line, Option $option) use ($only): bool {
            foreach ($option->portions as $portion) {
                if (array_diff(array_keys(self::animalsIn($portion->ingredient)), [$only]) !== []) {
                    return false;
                }
            }

            return true;
        };
        $byMeat = static fn (int $of, Option $meat, float $grams): callable => static function (int $line, Option $option) use ($of, $meat, $grams): bool {
            if ($line === $of) {
                return $option === $meat;
            }
            foreach ($option->portions as $portion) {
                if ($portion->ingredient->id !== 'water' && $portion->grams->best > $grams) {
                    return false;
                }
            }

            return true;
        };
        $one = $goals->has('single-protein') ? array_map($byAnimal, [null, ...array_keys($animals)]) : [static fn (int $line, Option $option): bool => true];
        if (! $goals->has('meat-first')) {
            return $one;
        }
        $narrowings = [];
        foreach ($meats as [$line, $option, $grams]) {
            $first = $byMeat($line, $option, $grams);
            foreach ($one as $animal) {
                $narrowings[] = static fn (int $at, Option $candidate): bool => $first($at, $candidate) && $animal($at, $candidate);
            }
        }

        return $narrowings;
    }

    /** @return array<string, true> the animals a food is of */
    public static function animalsIn(Ingredient $food): array
    {
        $animals = [];
        foreach (self::ANIMALS as $animal) {
            if ($food->inGroup($animal)) {
                $animals[$animal] = true;
            }
        }

        return $animals;
    }
}
