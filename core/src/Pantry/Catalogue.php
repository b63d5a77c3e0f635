<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data\Compiled;

/**
 * All foods by id: those of the reference data, and those a kitchen added from labels. It never changes; `with()` gives another one.
 * Objects are built only for the foods asked for, and remembered.
 */
final class Catalogue
{
    /** @var array<string, Ingredient> what was asked for, remembered */
    private array $built = [];

    /** @param  array<string, OwnFood>  $own  by id */
    private function __construct(private readonly array $own, public readonly Lexicon $lexicon) {}

    public static function shipped(): self
    {
        return new self([], Lexicon::shipped());
    }

    /**
     * The same catalogue with a kitchen's own foods and its own words for foods; a word of its own wins over a food's own name.
     *
     * @param  list<OwnFood>  $foods
     * @param  array<string, string>  $names  ingredient id by the words for it
     */
    public function with(array $foods, array $names): self
    {
        if ($foods === [] && $names === []) {
            return $this;
        }
        $own = $this->own;
        $called = [];
        foreach ($foods as $food) {
            $own[$food->ingredient->id] = $food;
            foreach ($food->names as $name) {
                $called[$name] = $food->ingredient->id;
            }
        }

        return new self($own, $this->lexicon->with($names + $called));
    }

    public function has(string $id): bool
    {
        return isset(Compiled::tables()['entries'][$id]) || isset($this->own[$id]);
    }

    /** @throws UnknownIngredient */
    public function get(string $id): Ingredient
    {
        return $this->built[$id] ??= isset($this->own[$id]) ? $this->own[$id]->ingredient : Ingredient::shipped($id);
    }

    /** A food or a group of foods by its name; what nobody knows stands as it was written. */
    public function called(string $id): string
    {
        return $this->has($id) ? $this->get($id)->name : Groups::label($id);
    }

    /** The kitchen's own food of this id; null when it is one of ours. */
    public function own(string $id): ?OwnFood
    {
        return $this->own[$id] ?? null;
    }

    /** @return array<string, OwnFood> by id */
    public function ownFoods(): array
    {
        return $this->own;
    }

    /** @return list<string> of the reference data */
    public static function ids(): array
    {
        return array_keys(Compiled::tables()['entries']);
    }

    /** What a food becomes in a stated form ("cooked", "tinned"); itself when nothing else. */
    public static function inForm(string $id, string $form): string
    {
        return Compiled::tables()['forms'][$id][$form] ?? $id;
    }

    private const COOKED = ['cooked' => true, 'boiled' => true, 'steamed' => true, 'poached' => true, 'roasted' => true, 'baked' => true, 'fried' => true, 'mashed' => true];

    /**
     * What a food becomes by each form: how it was cooked first, for a cooked mince is no raw one; "cooked" says less than "boiled", "mashed" least.
     *
     * @return array<string, string>
     */
    public static function formsOf(string $id): array
    {
        $forms = Compiled::tables()['forms'][$id] ?? [];
        $cooked = array_intersect_key($forms, self::COOKED);
        $plain = array_intersect_key(['cooked' => '', 'mashed' => ''], $cooked);
        $plain = array_replace($plain, array_intersect_key($cooked, $plain));

        return array_diff_key($cooked, $plain) + $plain + array_diff_key($forms, $cooked);
    }

    /**
     * Whether a food of the reference data is in any of these groups; a kitchen's own food is in none of them.
     *
     * @param  list<string>  $groups
     */
    public static function isInGroup(string $id, array $groups): bool
    {
        $own = Compiled::tables()['entries'][$id]['groups'] ?? [];
        foreach ($groups as $group) {
            if (isset($own[$group])) {
                return true;
            }
        }

        return false;
    }

    /**
     * The group or ingredient an allergy or allow-list entry names: a group id, one of its other names, an ingredient id
     * or an ingredient's name. null when it names nothing known.
     */
    public function resolveGroupOrId(string $text): ?string
    {
        $slug = str_replace([' ', '_'], '-', mb_strtolower(trim($text)));

        return Groups::named($slug) ?? ($this->has($slug) ? $slug : $this->lexicon->idOf($text));
    }
}
