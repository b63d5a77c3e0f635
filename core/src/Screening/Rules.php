<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;

/**
 * The rows of rules.csv applied to one food in its line. A row fires when the food is in one of its groups, the line
 * says one of its words (if it has any) and none of its `unless` words, and every `when` holds.
 *
 * @phpstan-import-type Rule from Data
 */
final class Rules
{
    /** @var array<string, list<int>>|null row numbers by group */
    private static ?array $byGroup = null;

    /**
     * @param  callable(list<string>): bool  $says  whether the line says one of these phrases
     * @return list<Finding>
     */
    public static function apply(Ingredient $food, callable $says, Circumstances $circumstances): array
    {
        $rules = Data::tables()['rules'];
        $rows = [];
        foreach (self::byGroup()['*'] ?? [] as $row) {
            $rows[$row] = true;
        }
        foreach ($food->groups as $group => $_) {
            foreach (self::byGroup()[$group] ?? [] as $row) {
                $rows[$row] = true;
            }
        }
        $findings = [];
        foreach ($rows as $row => $_) {
            $rule = $rules[$row];
            if (($rule['words'] !== [] && ! $says($rule['words'])) || ($rule['unless'] !== [] && $says($rule['unless']))) {
                continue;
            }
            $dogs = self::dogs($rule['when'], $food, $circumstances);
            if ($dogs === null) {
                $findings[] = self::finding($rule, null, $food);
            }
            foreach ($dogs ?? [] as $dog) {
                $findings[] = self::finding($rule, $dog, $food);
            }
        }

        return $findings;
    }

    /**
     * @param  array<string, list<string>>  $when
     * @return list<Dog>|null the dogs it holds for; null for every dog; an empty list for none
     */
    private static function dogs(array $when, Ingredient $food, Circumstances $circumstances): ?array
    {
        $dogs = null;
        foreach ($when as $kind => $values) {
            $holds = match ($kind) {
                'heat' => ($values === ['yes']) === $circumstances->heated,
                'garlic' => in_array($circumstances->garlic, $values, true),
                'raw' => $food->inGroup('raw-'.$values[0]),
                'not' => array_filter($values, $food->inGroup(...)) === [],
                'texture' => in_array($circumstances->texture, $values, true),
                default => null,
            };
            if ($holds === false) {
                return [];
            }
            if ($holds === null) {
                $dogs = array_values(array_filter($dogs ?? $circumstances->dogs, static fn (Dog $dog): bool => match ($kind) {
                    'stage' => in_array($dog->lifeStage()->value, $values, true),
                    'growing-large' => $dog->isGrowingLarge(),
                    'condition' => array_intersect($values, $dog->conditions) !== [],
                    'medicine' => array_intersect($values, $dog->medicines) !== [],
                    'teeth' => in_array($dog->teeth, $values, true),
                    'eating' => in_array($dog->eating, $values, true),
                    'garlic-refused' => $dog->garlicRefusal() !== null,
                    default => throw new \LogicException("rules.csv: nobody knows the condition \"$kind\"."),
                }));
            }
        }

        return $dogs;
    }

    /** @param  Rule  $rule */
    private static function finding(array $rule, ?Dog $dog, Ingredient $food): Finding
    {
        $name = mb_strtoupper(mb_substr($food->name, 0, 1)).mb_substr($food->name, 1);
        $fill = ['{food}' => $name, '{dog}' => $dog === null ? 'a dog' : $dog->name, '{refusal}' => $dog?->garlicRefusal() ?? ''];
        $message = strtr($rule['message'], $fill);
        if (! str_starts_with($rule['message'], '{food}')) {
            $message = strtr($rule['message'], ['{food}' => $food->name] + $fill);
        }

        return new Finding(
            $dog?->name, Level::from($rule['level']), $rule['code'], $message, strtr($rule['advice'], $fill),
            $rule['figure'] === '' ? null : $rule['figure'], $rule['emergency'], Sources::name($rule['source']),
        );
    }

    /** @return array<string, list<int>> */
    private static function byGroup(): array
    {
        if (self::$byGroup === null) {
            self::$byGroup = [];
            foreach (Data::tables()['rules'] as $row => $rule) {
                foreach ($rule['groups'] as $group) {
                    self::$byGroup[$group][] = $row;
                }
            }
        }

        return self::$byGroup;
    }
}
