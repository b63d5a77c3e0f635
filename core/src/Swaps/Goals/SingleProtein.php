<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Option;

/** One animal only. */
final readonly class SingleProtein implements Goal
{
    private const ANIMALS = ['chicken', 'turkey', 'duck', 'beef', 'lamb', 'pork', 'venison', 'rabbit', 'bison', 'kangaroo', 'horse', 'goat', 'fish', 'shellfish', 'egg', 'dairy', 'insect'];

    public function id(): string
    {
        return 'single-protein';
    }

    public function forbids(Ingredient $food, Policy $policy): bool
    {
        return false;
    }

    public function forbidsFor(Dog $dog, Ingredient $food): bool
    {
        return false;
    }

    public function wants(Dog $dog): bool
    {
        return false;
    }

    public function over(array $sums, Target $target): array
    {
        return [];
    }

    public function isMet(Chosen $chosen): bool
    {
        $animals = [];
        foreach ($chosen->weighed as $one) {
            $animals += self::animalsIn($one->ingredient);
        }

        return count($animals) <= 1;
    }

    public function narrowings(array $options): array
    {
        $animals = [];
        foreach (array_merge([], ...$options) as $option) {
            foreach ($option->portions as $one) {
                $animals += self::animalsIn($one->ingredient);
            }
        }

        return array_map(static fn (?string $only): \Closure => static function (int $line, Option $option) use ($only): bool {
            foreach ($option->portions as $one) {
                if (array_diff(array_keys(self::animalsIn($one->ingredient)), [$only]) !== []) {
                    return false;
                }
            }

            return true;
        }, [null, ...array_map(strval(...), array_keys($animals))]);
    }

    /** @return array<string, true> the animals a food is of */
    private static function animalsIn(Ingredient $food): array
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
