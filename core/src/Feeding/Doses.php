<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Dogs\Dog;

/** Rows of doses.csv in the order of the file: all of them, or those a batch bears on, made once for every dog at the table. */
final readonly class Doses
{
    /** @param  list<Dose>  $rows */
    private function __construct(public array $rows) {}

    public static function all(): self
    {
        return new self(array_map(Dose::row(...), Compiled::tables()['doses']));
    }

    /** @param  array<string, float>  $held  amount by substance: only rows of which there is some are looked at */
    public static function in(array $held): self
    {
        $rows = [];
        foreach (Compiled::tables()['doses'] as $row) {
            if (($held[Dose::countedBy($row['substance'])] ?? 0.0) > 0.0) {
                $rows[] = Dose::row($row);
            }
        }

        return new self($rows);
    }

    /** @return list<Dose> the strictest row of each code that concerns a dog, whatever the order of the file */
    public function for(Dog $dog, string $garlicPolicy): array
    {
        $strictest = [];
        foreach ($this->rows as $dose) {
            if ($dose->concerns($dog, $garlicPolicy) && (! isset($strictest[$dose->code]) || $dose->isStricterThan($strictest[$dose->code]))) {
                $strictest[$dose->code] = $dose;
            }
        }

        return array_values($strictest);
    }
}
