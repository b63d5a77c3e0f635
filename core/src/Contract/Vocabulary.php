<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Screening\Rule;

/**
 * The words a recipe is written with, to be offered while somebody writes: every name of every food, units and forms. A food that may
 * never go in is read wherever it stands, but nobody is led to it.
 */
final class Vocabulary
{
    /** @return array<string, mixed> as schemas/vocabulary.json says */
    public static function all(): array
    {
        $tables = Compiled::tables();
        $foods = [];
        foreach ($tables['names'] as $id => $names) {
            if (! isset($tables['entries'][$id]['groups']['category-word']) && ! Rule::forbid(Ingredient::shipped($id))) {
                foreach ($names as $name) {
                    $foods[] = ['name' => $name, 'ingredient' => $id];
                }
            }
        }
        $forms = array_unique(array_merge(...array_values($tables['formWords']['phrases'])));
        $plain = static fn (int|string $id): string => str_replace('-', ' ', (string) $id);

        return [
            'foods' => $foods,
            'units' => array_map($plain, array_keys($tables['units']['sizes'][Unit::SYSTEMS[0]] + $tables['measures']['sizes'])),
            'forms' => array_map($plain, array_values($forms)),
            'dataVersion' => Compiled::version(),
        ];
    }
}
