<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Lexicon;
use MildBowl\Core\Reading\Said;
use MildBowl\Core\Values\Level;

/**
 * A row of rules.csv. It fires when the food is in one of its groups, the line says one of its words (if it has any) and none of its
 * `unless` words, and every `when` holds.
 *
 * @phpstan-import-type RuleRow from Compiled
 */
final readonly class Rule
{
    /**
     * @param  list<string>  $groups  `*` for any food
     * @param  list<string>  $words
     * @param  list<string>  $unless
     */
    private function __construct(
        public string $id,
        public string $code,
        public Level $level,
        public bool $emergency,
        public array $groups,
        public array $words,
        public array $unless,
        public When $when,
        public string $message,
        public string $advice,
        public ?string $figure,
        public string $source,
        public string $example,
    ) {}

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(self::row(...), Compiled::tables()['rules']);
    }

    /**
     * What the rules say of one food in its line, in the order they are looked at.
     *
     * @return list<Finding>
     */
    public static function findings(Ingredient $food, Said $said, Circumstances $circumstances): array
    {
        $findings = [];
        foreach (self::about($food) as $row) {
            if (($row['words'] !== [] && ! $said->says($row['words'])) || ($row['unless'] !== [] && $said->settles($row['unless']))) {
                continue;
            }
            $dogs = $row['when'] === [] ? null : (new When($row['when']))->dogs($food, $circumstances);
            if ($dogs === []) {
                continue;
            }
            $rule = self::row($row);
            foreach ($dogs ?? [null] as $dog) {
                $findings[] = $rule->finding($food, $dog);
            }
        }

        return $findings;
    }

    /** @return array<int, RuleRow> rows that speak of a food, by their numbers */
    private static function about(Ingredient $food): array
    {
        $tables = Compiled::tables();
        $numbers = $tables['rulesByFood'][$food->id] ?? self::numbers($food);
        $rows = [];
        foreach ($numbers as $number) {
            $rows[$number] = $tables['rules'][$number];
        }

        return $rows;
    }

    /** @return list<int> for a food that the build step did not know */
    private static function numbers(Ingredient $food): array
    {
        $numbers = [];
        foreach (['*' => true] + $food->groups as $group => $_) {
            foreach (Compiled::tables()['rulesByGroup'][$group] ?? [] as $number) {
                $numbers[$number] = $number;
            }
        }

        return array_values($numbers);
    }

    /** Whether words name something that is never allowed: no kitchen may give that name to another food. */
    public static function forbidNaming(string $words, Lexicon $lexicon): bool
    {
        $id = $lexicon->idOf($words);

        return $id !== null && isset(Compiled::tables()['entries'][$id]) && self::never(Ingredient::shipped($id)) !== [];
    }

    /** Whether a food may never go in whatever else its line says. */
    public static function forbid(Ingredient $food): bool
    {
        return array_filter(self::never($food), static fn (array $rule): bool => $rule['words'] === []) !== [];
    }

    /** @return array<int, RuleRow> rows by which a food may never go in, for itself and not for its form */
    private static function never(Ingredient $food): array
    {
        return array_filter(self::about($food), static fn (array $rule): bool => $rule['level'] === Level::Never->value && $rule['groups'] !== ['*']);
    }

    private function finding(Ingredient $food, ?Dog $dog): Finding
    {
        $fill = ['{food}' => $food->capitalised(), '{dog}' => $dog === null ? 'a dog' : $dog->name, '{refusal}' => $dog?->garlicRefusal() ?? ''];
        $message = strtr($this->message, str_starts_with($this->message, '{food}') ? $fill : ['{food}' => $food->name] + $fill);

        return new Finding($dog, $this->level, $this->code, $message, strtr($this->advice, $fill), $this->figure, $this->emergency, Sources::name($this->source));
    }

    /** @param  RuleRow  $row */
    private static function row(array $row): self
    {
        return new self(
            $row['id'], $row['code'], Level::from($row['level']), $row['emergency'], $row['groups'], $row['words'], $row['unless'], new When($row['when']),
            $row['message'], $row['advice'], $row['figure'] === '' ? null : $row['figure'], $row['source'], $row['example'],
        );
    }
}
