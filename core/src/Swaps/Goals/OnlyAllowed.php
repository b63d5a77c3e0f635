<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;

/** From the allow-list of every dog that has one: none of them is left out. What is not on a list is an allergen to its dog already. */
final readonly class OnlyAllowed implements Goal
{
    public function id(): string
    {
        return 'allow-list';
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
        return $dog->allowList !== null;
    }

    public function over(array $sums, Target $target): array
    {
        return [];
    }

    public function isMet(Chosen $chosen): bool
    {
        return true;
    }

    public function narrowings(array $options): null
    {
        return null;
    }
}
