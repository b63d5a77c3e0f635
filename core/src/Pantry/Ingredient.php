<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Values\Range;

/** A food the catalogue knows. Without composition it is known by name and danger only. */
final readonly class Ingredient
{
    /** Kinds that a bare word may name: "flour", "oil", "cheese". */
    private const KINDS = ['flour', 'oil', 'meat', 'fish', 'fruit', 'vegetable', 'berry', 'cheese', 'seed', 'herb', 'organ', 'legume'];

    /** @var array<string, float> what 100 g bring of each substance that is shown or dosed */
    public array $contents;

    /**
     * @param  array<string, true>  $groups  closed: a group stands here with all its parents
     * @param  list<string>  $jobs  what it can do in a dough
     * @param  string  $confidence  A checked against a second table, B from a table, C an estimate shown as a range
     * @param  ?Range  $gramsPerCup  of a kitchen's own food; the catalogue's stand in densities.csv
     * @param  ?Range  $gramsEach  of a kitchen's own food; the catalogue's stand in pieces.csv
     * @param  ?string  $like  the food whose composition and weights it shares
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
        public ?string $like = null,
    ) {
        $this->contents = Contents::of($this);
    }

    /** @throws UnknownIngredient when the reference data hold no such food */
    public static function shipped(string $id): self
    {
        $entry = Compiled::tables()['entries'][$id] ?? throw UnknownIngredient::named($id);

        return new self(
            $id, $entry['name'], $entry['groups'], $entry['jobs'],
            $entry['composition'] === null ? null : Composition::fromList($entry['composition']),
            $entry['source'], $entry['confidence'], like: ($entry['like'] ?? '') === '' ? null : $entry['like'],
        );
    }

    public function inGroup(string $group): bool
    {
        return isset($this->groups[$group]);
    }

    /**
     * Whether it is in any of these groups.
     *
     * @param  list<string>  $groups
     */
    public function inAny(array $groups): bool
    {
        foreach ($groups as $group) {
            if (isset($this->groups[$group])) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether any of these allergens or foods (group or ingredient ids) covers it.
     *
     * @param  list<string>  $groupsOrIds
     */
    public function isCoveredByAny(array $groupsOrIds): bool
    {
        foreach ($groupsOrIds as $one) {
            if ($this->isCoveredBy($one)) {
                return true;
            }
        }

        return false;
    }

    /** Its name as a sentence begins with it. */
    public function capitalised(): string
    {
        return mb_strtoupper(mb_substr($this->name, 0, 1)).mb_substr($this->name, 1);
    }

    /** Whether an allergen or allow-list entry (group or ingredient id) covers this food. */
    public function isCoveredBy(string $groupOrId): bool
    {
        return isset($this->groups[$groupOrId]) || $this->id === $groupOrId || str_starts_with($this->id, $groupOrId.'-');
    }

    /** Whether this food is one of those another stands for: haddock is a white fish. */
    public function isKindOf(self $other): bool
    {
        return count($this->groups) > count($other->groups) && array_diff_key($other->groups, $this->groups) === [];
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
