<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Option;
use MildBowl\Core\Swaps\Sums;

/** Meat or fish weighs more than anything else in it. */
final readonly class MeatFirst implements Goal
{
    public function id(): string
    {
        return 'meat-first';
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
        return $chosen->isMeatFirst();
    }

    public function narrowings(array $options): array
    {
        $narrowings = [];
        foreach ($options as $line => $ofLine) {
            foreach ($ofLine as $meat) {
                foreach ($meat->portions as $one) {
                    if (Sums::isMeat($one)) {
                        $narrowings[] = self::heaviest($line, $meat, $one->grams->best);
                    }
                }
            }
        }

        return $narrowings;
    }

    /** @return \Closure(int, Option): bool */
    private static function heaviest(int $of, Option $meat, float $grams): \Closure
    {
        return static function (int $line, Option $option) use ($of, $meat, $grams): bool {
            if ($line === $of) {
                return $option === $meat;
            }
            foreach ($option->portions as $one) {
                if ($one->ingredient->id !== 'water' && $one->grams->best > $grams) {
                    return false;
                }
            }

            return true;
        };
    }
}
