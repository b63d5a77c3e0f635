<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Data\Compiled;

/**
 * A condition of conditions.csv or a medicine of medicines.csv: what is said of it, and whether a vet must agree first.
 *
 * @phpstan-import-type ConditionRow from Compiled
 * @phpstan-import-type MedicineRow from Compiled
 */
final readonly class Condition
{
    private function __construct(public string $id, public string $label, public bool $asksVet, public bool $oneAtATime, public string $message, public string $advice, public string $source) {}

    /** @return list<string> every condition */
    public static function ids(): array
    {
        return array_keys(Compiled::tables()['conditions']);
    }

    /** @return list<string> every medicine */
    public static function medicineIds(): array
    {
        return array_keys(Compiled::tables()['medicines']);
    }

    /** @return list<self> what a vet must agree to first for this dog, in the order of the files */
    public static function askingVetFor(Dog $dog): array
    {
        $asking = [];
        foreach ($dog->conditions === [] ? [] : array_intersect_key(Compiled::tables()['conditions'], array_flip($dog->conditions)) as $row) {
            if ($row['vet']) {
                $asking[] = self::condition($row);
            }
        }
        foreach ($dog->medicines === [] ? [] : array_intersect_key(Compiled::tables()['medicines'], array_flip($dog->medicines)) as $row) {
            if ($row['message'] !== '') {
                $asking[] = self::medicine($row);
            }
        }

        return $asking;
    }

    /** @return array<string, self> by id, in the order of the file */
    public static function all(): array
    {
        return array_map(self::condition(...), Compiled::tables()['conditions']);
    }

    /** @return array<string, self> by id; one that has a message asks for the vet */
    public static function medicines(): array
    {
        return array_map(self::medicine(...), Compiled::tables()['medicines']);
    }

    /** @param  ConditionRow  $row */
    private static function condition(array $row): self
    {
        return new self($row['condition'], $row['label'], $row['vet'], $row['oneAtATime'], $row['message'], $row['advice'], $row['source']);
    }

    /** @param  MedicineRow  $row */
    private static function medicine(array $row): self
    {
        return new self($row['medicine'], $row['label'], $row['message'] !== '', false, $row['message'], $row['advice'], $row['source']);
    }
}
