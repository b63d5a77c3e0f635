<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Data;

/**
 * Every rule the tool judges by, row by row, for whoever wants to audit it.
 *
 * @phpstan-type Row array{id: string, kind: string, code: string, level: string, emergency: bool, trigger: string, threshold: ?string, message: string, advice: string, source: string, example: ?string}
 */
final class RuleBook
{
    private const HEAT = ['yes' => 'when it is baked', 'no' => 'when nothing is heated'];

    /**
     * @return array{version: string, rules: list<Row>}
     */
    public static function all(): array
    {
        return ['version' => Data::tables()['version'], 'rules' => [...self::rules(), ...self::doses(), ...self::exclusions(), ...self::allergies(), ...self::dogs()]];
    }

    /** @return Row */
    private static function row(string $id, string $kind, string $code, string $level, string $trigger, string $message, string $advice, string $source, ?string $threshold = null, ?string $example = null, bool $emergency = false): array
    {
        return ['id' => $id, 'kind' => $kind, 'code' => $code, 'level' => $level, 'emergency' => $emergency, 'trigger' => $trigger, 'threshold' => $threshold === '' ? null : $threshold, 'message' => $message, 'advice' => $advice, 'source' => Sources::name($source), 'example' => $example];
    }

    /** @return list<Row> */
    private static function rules(): array
    {
        $rows = [];
        foreach (Data::tables()['rules'] as $rule) {
            $trigger = $rule['groups'] === ['*'] ? 'any food' : implode(', ', self::foods($rule['groups']));
            $trigger .= $rule['words'] === [] ? '' : '; the line says '.self::quoted($rule['words']);
            $trigger .= $rule['unless'] === [] ? '' : '; not when it says '.self::quoted($rule['unless']);
            foreach ($rule['when'] as $kind => $values) {
                $trigger .= '; '.match ($kind) {
                    'heat' => self::HEAT[$values[0] ?? 'yes'] ?? '',
                    'garlic' => 'policy: garlic '.implode(' or ', $values),
                    'raw' => "raw {$values[0]}",
                    'not' => 'not for '.implode(', ', $values),
                    'growing-large' => 'a growing dog of a large breed',
                    'garlic-refused' => 'a dog that may have no garlic',
                    default => str_replace('-', ' ', $kind).': '.implode(' or ', $values),
                };
            }
            $rows[] = self::row($rule['id'], 'food', $rule['code'], $rule['level'], $trigger, str_replace('{food}', '(the food)', $rule['message']), $rule['advice'], $rule['source'], $rule['figure'], $rule['example'], $rule['emergency']);
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function doses(): array
    {
        $rows = [];
        foreach (Data::tables()['doses'] as $index => $dose) {
            $who = $dose['who'] === '' ? 'every dog' : str_replace('|', ', ', $dose['who']);
            foreach (['limit' => $dose['limit'], 'caution' => $dose['caution']] as $level => $threshold) {
                if ($threshold !== '') {
                    $rows[] = self::row("dose-{$dose['code']}-".($index + 1)."-$level", 'dose', $dose['code'], $level, "the ration of $who", str_replace('{value}', '(the dose)', $dose['message']), $dose['advice'], $dose['source'], "$threshold {$dose['unit']}");
                }
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function exclusions(): array
    {
        $rows = [];
        foreach (Data::tables()['exclusions'] as $condition => $list) {
            foreach ($list as $index => $row) {
                $rows[] = self::row("excluded-$condition-".($index + 1), 'condition', "excluded-$condition", 'allergen', str_replace('-', ' ', $condition).': '.implode(', ', self::foods($row['groups'])), str_replace('{food}', '(the food)', $row['message']), $row['advice'], $row['source']);
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function allergies(): array
    {
        $labels = Data::tables()['groups']['labels'];
        $rows = [self::row('allergy', 'allergy', 'allergy-…', 'allergen', 'a food in a group the dog reacts to: '.implode(', ', $labels), '(the food): (the dog) reacts to it.', 'Swap it for something this dog may have.', 'MUELLER'),
            self::row('not-on-list', 'allergy', 'not-on-list', 'allergen', 'a food that is not on the dog\'s allow-list', '(the food) is not on the allow-list.', 'Use a food from the list.', 'KITCHEN')];
        foreach (Data::tables()['cross'] as $allergy => $list) {
            foreach ($list as $index => $row) {
                $rows[] = self::row("cross-$allergy-".($index + 1), 'allergy', "cross-$allergy", $row['level'], "reacts to $allergy, and the food is ".($labels[$row['group']] ?? str_replace('-', ' ', $row['group'])), str_replace('{food}', '(the food)', $row['message']), $row['advice'], 'MUELLER');
            }
        }

        return $rows;
    }

    /** @return list<Row> */
    private static function dogs(): array
    {
        $rows = [];
        $tables = Data::tables();
        foreach (['conditions' => 'condition', 'medicines' => 'medicine'] as $table => $kind) {
            foreach ($tables[$table] as $id => $row) {
                if ($row['message'] !== '') {
                    $rows[] = self::row("$kind-$id", 'dog', 'ask-vet', 'ask-vet', "$kind: {$row['label']}", str_replace('{dog}', '(the dog)', $row['message']), $row['advice'], $row['source']);
                }
            }
        }
        foreach (array_column($tables['breeds'], null, 'breed') as $breed => $row) {
            if ($row['note'] !== '') {
                $rows[] = self::row('breed-'.str_replace(' ', '-', (string) $breed), 'dog', 'breed-note', 'caution', "breed: $breed; ".implode(', ', self::foods($row['groups'])), $row['note'], 'Ask your vet if you have seen signs.', $row['source']);
            }
        }

        return $rows;
    }

    /**
     * Names of a few foods in these groups, so that a person knows what is meant.
     *
     * @param  list<string>  $groups
     * @return list<string>
     */
    private static function foods(array $groups): array
    {
        $names = [];
        foreach ($groups as $group) {
            $foods = [];
            foreach (Data::tables()['entries'] as $entry) {
                if (isset($entry['groups'][$group])) {
                    $foods[] = $entry['name'];
                }
            }
            $label = Data::tables()['groups']['labels'][$group] ?? null;
            $some = implode(', ', array_slice($foods, 0, 12)).(count($foods) > 12 ? ' …' : '');
            $names[] = $label !== null && count($foods) > 12 ? "$label ($some)" : $some;
        }

        return array_values(array_filter($names));
    }

    /** @param  list<string>  $phrases */
    private static function quoted(array $phrases): string
    {
        return implode(', ', array_map(static fn (string $phrase): string => '"'.str_replace('+', ' … ', $phrase).'"', $phrases));
    }
}
