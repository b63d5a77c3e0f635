<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;

/** No food that is new to one dog. */
final readonly class NothingNew implements Goal
{
    public const PREFIX = 'nothing-new';

    public function __construct(private Dog $dog) {}

    public function id(): string
    {
        return self::PREFIX.':'.$this->dog->name;
    }

    public function forbids(Ingredient $food, Policy $policy): bool
    {
        return false;
    }

    public function forbidsFor(Dog $dog, Ingredient $food): bool
    {
        return $dog->key() === $this->dog->key() && $dog->isNewTo($food);
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
        return true;
    }

    public function narrowings(array $options): null
    {
        return null;
    }
}
