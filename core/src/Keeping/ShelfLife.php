<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Data\Compiled;

/** How many days a class of treat keeps, and where, by keeping.csv. */
final readonly class ShelfLife
{
    /** @param  string  $meaning  what belongs to the class, in words */
    private function __construct(public string $class, public int $jarDays, public int $fridgeDays, public int $freezerDays, public string $meaning) {}

    /** @throws \OutOfBoundsException when there is no such class */
    public static function of(string $class): self
    {
        $row = Compiled::tables()['keeping'][$class] ?? throw new \OutOfBoundsException("keeping.csv has no class \"$class\".");

        return new self($class, (int) $row['jarDays'], (int) $row['fridgeDays'], (int) $row['freezerDays'], $row['meaning']);
    }

    /** @param  'jar'|'fridge'|'freezer'  $place */
    public function days(string $place): int
    {
        return match ($place) {
            'jar' => $this->jarDays,
            'fridge' => $this->fridgeDays,
            'freezer' => $this->freezerDays,
        };
    }
}
