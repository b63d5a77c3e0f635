<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Range;

/** A food the catalogue knows. Without composition it is known by name and danger only. */
final readonly class Ingredient
{
    /** Kinds that a bare word may name: "flour", "oil", "cheese". */
    private const KINDS = ['flour', 'oil', 'meat', 'fish', 'fruit', 'vegetable', 'berry', 'cheese', 'seed', 'herb', 'organ', 'legume'];

    /**
     * @param  array<string, true>  $groups  closed: a group stands here with all its parents
     * @param  list<string>  $jobs  what it can do in a dough
     * @param  string  $confidence  A checked against a second table, B from a table, C an estimate shown as a range
     * @param  ?Range  $gramsPerCup  of a kitchen's own food; the catalogue's stand in densities.csv
     * @param  ?Range  $gramsEach  of a kitchen's own food; the catalogue's stand in pieces.csv
     */
    public function __construct(
        public string $id,
        public string $name,
        public array $groups,
        public array $jobs,
        public ?Composition $composition,
        public string $source,
        public string $confidence,
        public ?Range $gramsPerCup = null,
        public ?Range $gramsEach = null,
    ) {}

    public function inGroup(string $group): bool
    {
        return isset($this->groups[$group]);
    }

    /** Whether an allergen or allow-list entry (group or ingredient id) covers this food. */
    public function isCoveredBy(string $groupOrId): bool
    {
        return isset($this->groups[$groupOrId]) || $this->id === $groupOrId || str_starts_with($this->id, $groupOrId.'-');
    }

    /** Whether a bare word ("flour") can mean this food (oat flour). */
    public function isNamedBy(self $category): bool
    {
        if (! $category->inGroup('category-word') || $this->inGroup('category-word')) {
            return false;
        }
        foreach (self::KINDS as $kind) {
            if ($category->inGroup($kind) && $this->inGroup($kind)) {
                return true;
            }
        }

        return false;
    }
}
