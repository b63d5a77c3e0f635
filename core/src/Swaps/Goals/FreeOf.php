<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;

/** Without any food of a group: "gluten-free". */
final readonly class FreeOf implements Goal
{
    /** What may be kept out by name. */
    public const GROUPS = ['gluten-free' => 'gluten', 'grain-free' => 'grain', 'egg-free' => 'egg', 'dairy-free' => 'dairy'];

    public function __construct(private string $id) {}

    public function id(): string
    {
        return $this->id;
    }

    public function forbids(Ingredient $food, Policy $policy): bool
    {
        $group = self::GROUPS[$this->id];

        return $food->isCoveredBy($group) || ($group === 'grain' && $policy->countsPseudoGrains() && $food->inGroup('pseudo-grain'));
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
        // no option with such a food is ever chosen
        return true;
    }

    public function narrowings(array $options): null
    {
        return null;
    }
}
