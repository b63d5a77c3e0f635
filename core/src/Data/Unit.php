<?php

declare(strict_types=1);

namespace MildBowl\Core\Data;

use MildBowl\Core\Values\Range;

/** A unit of units.csv in one system, or a measure of measures.csv ("a pinch"): what one of it comes to, in g or ml. */
final readonly class Unit
{
    /** The systems a kitchen may cook by. */
    public const SYSTEMS = ['us', 'metric', 'imperial', 'australian'];

    private function __construct(public bool $isMass, public Range $size) {}

    /** A unit of mass or volume with a fixed size; null when it is none. */
    public static function in(string $system, string $id): ?self
    {
        $row = Compiled::tables()['units']['sizes'][$system][$id] ?? null;

        return $row === null ? null : new self($row[0] === 'g', Range::exact($row[1]));
    }

    /** A measure of the hand or the spoon drawer, known within bounds; null when it is none. */
    public static function measure(string $id): ?self
    {
        $row = Compiled::tables()['measures']['sizes'][$id] ?? null;

        return $row === null ? null : new self($row[0] === 'g', Range::of($row[1], $row[2], $row[3]));
    }

    public static function isMass(string $system, string $id): bool
    {
        return (Compiled::tables()['units']['sizes'][$system][$id][0] ?? '') === 'g';
    }

    /** Millilitres of a cup, a spoon or another measure of volume; 0 for what is none. */
    public static function millilitres(string $system, string $id): float
    {
        $row = Compiled::tables()['units']['sizes'][$system][$id] ?? null;

        return $row === null || $row[0] === 'g' ? 0.0 : $row[1];
    }

    /** The id of the unit that a word stands for (by its stem; two words divided by a blank); null when none is called so. */
    public static function named(string $stem): ?string
    {
        return Compiled::tables()['units']['names'][$stem] ?? null;
    }

    public static function measureNamed(string $stem): ?string
    {
        return Compiled::tables()['measures']['names'][$stem] ?? null;
    }

    /** Whether a word names a unit or a measure, and so no food. */
    public static function isNamed(string $stem): bool
    {
        return isset(Compiled::tables()['units']['names'][$stem]) || isset(Compiled::tables()['measures']['names'][$stem]);
    }
}
