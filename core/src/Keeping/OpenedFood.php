<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Data\Compiled;

/** A row of opened.csv: how long a tin that was opened, or what is left of a food, keeps. */
final readonly class OpenedFood
{
    private function __construct(public string $kind, public string $name, public int $fridgeDays, public int $fridgeAtMost, public int $freezerDays, public string $meaning) {}

    /** @throws \OutOfBoundsException when there is no such kind */
    public static function of(string $kind): self
    {
        $row = Compiled::days()['opened'][$kind] ?? throw new \OutOfBoundsException("opened.csv has no kind \"$kind\".");

        return new self($kind, $row['name'], (int) $row['fridgeDays'], (int) $row['fridgeAtMost'], (int) $row['freezerDays'], $row['meaning']);
    }

    /** @return list<self> in the order of the file */
    public static function all(): array
    {
        return array_map(static fn (string $kind): self => self::of($kind), array_map(strval(...), array_keys(Compiled::days()['opened'])));
    }

    public static function has(string $kind): bool
    {
        return isset(Compiled::days()['opened'][$kind]);
    }
}
