<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Data\Compiled;

/** A constant of energy.csv, with the bounds its source gives it. */
final readonly class EnergyRow
{
    private function __construct(public string $key, public float $low, public float $value, public float $high, public string $unit, public string $meaning) {}

    /** @throws \OutOfBoundsException when there is no such row */
    public static function of(string $key): self
    {
        return self::find($key) ?? throw new \OutOfBoundsException("energy.csv has no row \"$key\".");
    }

    public static function find(string $key): ?self
    {
        $row = Compiled::tables()['energy'][$key] ?? null;

        return $row === null ? null : new self($key, $row['low'], $row['value'], $row['high'], $row['unit'], $row['meaning']);
    }

    /** The figure alone. */
    public static function value(string $key): float
    {
        return Compiled::tables()['energy'][$key]['value'];
    }
}
