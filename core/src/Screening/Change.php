<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Level;

/** What a word of form does to a food that has no figures for that form: it never passes as the plain food. Rows of changes.csv. */
final class Change
{
    /**
     * @param  list<string>  $forms  that picked no row of their own
     * @return list<Finding>
     */
    public static function of(Ingredient $food, array $forms): array
    {
        $findings = [];
        foreach ($forms as $form) {
            $row = Compiled::tables()['changes'][$form] ?? null;
            if ($row === null || str_contains($food->name, $form) || isset($row['exempt'][$food->id]) || (! isset($row['applies']['*']) && array_intersect_key($row['applies'], $food->groups) === []) || array_intersect_key($row['exempt'], $food->groups) !== []) {
                continue;
            }
            $fill = ['{form}' => str_replace('-', ' ', $form), '{food}' => $food->name, '{Food}' => $food->capitalised()];
            $findings[] = new Finding(null, Level::from($row['level']), $row['code'], strtr($row['message'], $fill), $row['advice'], null, false, Sources::name($row['source']));
        }

        return $findings;
    }
}
