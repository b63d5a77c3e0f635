<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\RequestRefused;
use MildBowl\Core\Pantry\Ingredient;

/** What a recipe is to become beyond being cleared. */
final readonly class Goals
{
    public const FREE = ['gluten-free' => 'gluten', 'grain-free' => 'grain', 'egg-free' => 'egg', 'dairy-free' => 'dairy'];

    private const PLAIN = ['gluten-free', 'grain-free', 'egg-free', 'dairy-free', 'single-protein', 'low-fat', 'low-sodium', 'meat-first', 'allow-list'];

    public const LOW_FAT_PER_100_KCAL = 2.5;

    public const LOW_SODIUM_PER_100_KCAL = 80.0;

    /**
     * @param  list<string>  $ids
     * @param  list<string>  $free  allergen groups to be kept out
     * @param  list<string>  $nothingNewFor
     */
    private function __construct(public array $ids, public array $free, public ?float $fewerCalories, public array $nothingNewFor) {}

    /**
     * @param  list<Dog>  $dogs
     *
     * @throws RequestRefused
     */
    public static function from(?Node $node, array $dogs): self
    {
        $ids = $free = $new = [];
        $fewer = null;
        $names = array_map(static fn (Dog $dog): string => $dog->name, $dogs);
        foreach ($node?->list(20) ?? [] as $one) {
            $goal = $one->filled(80);
            [$kind, $value] = [...explode(':', $goal, 2), ''];
            if ($kind === 'fewer-calories' && is_numeric($value) && (float) $value > 0 && (float) $value < 90) {
                $fewer = max($fewer ?? 0.0, (float) $value);
            } elseif ($kind === 'nothing-new' && in_array($value, $names, true)) {
                $new[] = $value;
            } elseif ($kind === 'nothing-new') {
                throw RequestRefused::outOfRange($one->path, 'No dog at the table is called "'.$value.'".');
            } elseif ($kind === 'fewer-calories') {
                throw RequestRefused::outOfRange($one->path, 'Write fewer-calories:N with N from 1 to 89 percent.');
            } elseif (! in_array($goal, self::PLAIN, true)) {
                throw RequestRefused::outOfRange($one->path, 'This must be one of: '.implode(', ', self::PLAIN).', fewer-calories:N, nothing-new:NAME.');
            } elseif (isset(self::FREE[$goal])) {
                $free[] = self::FREE[$goal];
            }
            $ids[] = $goal;
        }

        return new self(array_values(array_unique($ids)), array_values(array_unique($free)), $fewer, array_values(array_unique($new)));
    }

    public function has(string $id): bool
    {
        return in_array($id, $this->ids, true);
    }

    public function forbids(Ingredient $food, bool $pseudoGrainsAreGrain): bool
    {
        foreach ($this->free as $group) {
            if ($food->isCoveredBy($group) || ($group === 'grain' && $pseudoGrainsAreGrain && $food->inGroup('pseudo-grain')) || ($group === 'gluten' && $food->inGroup('gluten'))) {
                return true;
            }
        }

        return false;
    }
}
