<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data;

/** Everything a person can choose from when describing a dog, a cut or a policy, with plain names. */
final class Choices
{
    public const STANDING_WORDS = 'A planning aid, not veterinary advice. A dog with a condition, on medicine, pregnant, very young or unwell: ask the vet first. If it has eaten something on the never list: call a vet or an animal poison line now.';

    /**
     * @return array{
     *     sexes: list<string>, activities: list<string>, stages: list<string>, teeth: list<string>, eating: list<string>,
     *     allergens: list<array{id: string, name: string}>, conditions: list<array{id: string, name: string}>,
     *     medicines: list<array{id: string, name: string}>, breeds: list<string>, foods: list<array{id: string, name: string}>,
     *     shapes: array<string, list<string>>, textures: list<array{id: string, name: string}>,
     *     feels: list<array{feel: string, word: string, below: float}>, policies: array<string, list<string>>, standingWords: string, dataVersion: string
     * }
     */
    public static function all(): array
    {
        $tables = Data::tables();
        $named = static fn (array $rows): array => array_map(
            static fn (string $id, mixed $name): array => ['id' => $id, 'name' => is_string($name) ? $name : ''],
            array_keys($rows), $rows,
        );

        return [
            'sexes' => ['female', 'male'],
            'activities' => DogReader::ACTIVITIES,
            'stages' => DogReader::STAGES,
            'teeth' => DogReader::TEETH,
            'eating' => DogReader::EATING,
            'allergens' => $named($tables['groups']['labels']),
            'conditions' => $named(array_map(static fn (array $row): string => $row['label'], $tables['conditions'])),
            'medicines' => $named(array_map(static fn (array $row): string => $row['label'], $tables['medicines'])),
            'breeds' => array_values(array_unique(array_map(static fn (array $row): string => $row['breed'], $tables['breeds']))),
            'foods' => $named(array_map(static fn (array $entry): string => $entry['name'], array_filter($tables['entries'], static fn (array $entry): bool => $entry['composition'] !== null && ! isset($entry['groups']['category-word'])))),
            'shapes' => Cut::shapes(),
            'textures' => $named(array_combine(Texture::ids(), array_map(static fn (string $id): string => Texture::of($id)->name, Texture::ids()))),
            'feels' => array_map(static fn (array $row): array => ['feel' => $row['feel'], 'word' => $row['word'], 'below' => (float) $row['below']], $tables['feels']),
            'policies' => Policy::CHOICES,
            'standingWords' => self::STANDING_WORDS,
            'dataVersion' => $tables['version'],
        ];
    }
}
