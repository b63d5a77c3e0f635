<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data;
use MildBowl\Core\Kitchen\Tokenizer;

/** All foods by id. Objects are built only for the foods asked for. */
final class Catalogue
{
    /** @var array<string, Ingredient> */
    private static array $built = [];

    public static function has(string $id): bool
    {
        return isset(Data::tables()['entries'][$id]) || OwnPantry::food($id) !== null;
    }

    public static function get(string $id): Ingredient
    {
        return OwnPantry::food($id) ?? self::$built[$id] ??= self::build($id);
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(Data::tables()['entries']);
    }

    /** The id a name stands for, read as in a recipe; null when nobody knows it. */
    public static function idOfName(string $name): ?string
    {
        $id = Data::tables()['lexicon']['phrases'][Tokenizer::key($name)][0] ?? '';

        return $id === '' ? null : $id;
    }

    /** What a food becomes in a stated form ("cooked", "tinned"); itself when nothing else. */
    public static function inForm(string $id, string $form): string
    {
        return Data::tables()['forms'][$id][$form] ?? $id;
    }

    /**
     * The group or ingredient an allergy or allow-list entry names: a group id, one of its other names, an ingredient id
     * or an ingredient's name. null when it names nothing known.
     */
    public static function resolveGroupOrId(string $text): ?string
    {
        $slug = str_replace([' ', '_'], '-', mb_strtolower(trim($text)));
        $groups = Data::tables()['groups'];

        return match (true) {
            isset($groups['labels'][$slug]) => $slug,
            isset($groups['aliases'][$slug]) => $groups['aliases'][$slug],
            self::has($slug) => $slug,
            default => self::idOfName($text),
        };
    }

    private static function build(string $id): Ingredient
    {
        $entry = Data::tables()['entries'][$id] ?? throw UnknownIngredient::named($id);

        return new Ingredient(
            $id,
            $entry['name'],
            $entry['groups'],
            $entry['jobs'],
            $entry['composition'] === null ? null : Composition::fromList($entry['composition']),
            $entry['source'],
            $entry['confidence'],
        );
    }
}
