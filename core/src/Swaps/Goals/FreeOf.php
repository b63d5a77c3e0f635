<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;

/** Without any food of some groups: "gluten-free", "vegetarian". A novel protein is none of those that most dogs have met. */
final readonly class FreeOf implements Goal
{
    /** What may be kept out by name. */
    public const GROUPS = [
        'gluten-free' => ['gluten'], 'grain-free' => ['grain'], 'egg-free' => ['egg'], 'dairy-free' => ['dairy'], 'soy-free' => ['soy', 'soy-oil', 'soy-trace'],
        'nut-free' => ['tree-nut', 'peanut'], 'no-added-sugar' => ['added-sugar', 'added-sugar-part', 'honey'],
        'vegetarian' => ['meat', 'organ', 'fish', 'shellfish', 'gelatin', 'animal-fat', 'broth-bought', 'bone-broth', 'insect', 'animal-chew'],
        'low-purine' => ['purine-high'], 'low-oxalate' => ['oxalate-high'], 'low-phosphorus' => ['phosphorus-high', 'bone-broth', 'added-calcium'],
        'novel-protein' => ['chicken', 'beef', 'lamb', 'pork', 'turkey', 'dairy', 'egg', 'fish', 'shellfish', 'soy'],
    ];

    public function __construct(private string $id) {}

    public function id(): string
    {
        return $this->id;
    }

    public function forbids(Ingredient $food, Policy $policy): bool
    {
        $groups = self::GROUPS[$this->id];

        return $food->isCoveredByAny($groups) || (in_array('grain', $groups, true) && $policy->countsPseudoGrains() && $food->inGroup('pseudo-grain'));
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
