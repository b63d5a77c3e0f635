<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Kitchen\Learned;

/** What the last bakes of a class say: the middle of them, and how far they went. Nothing follows from it until a person accepts it. */
final readonly class Lesson
{
    /** The newest so many bakes count, and two at least. */
    private const NEWEST = 5;

    private const LEAST = 2;

    private function __construct(public string $class, public string $of, public ?float $factor, public int $from, public float $low, public float $high, public string $says) {}

    /** @param  non-empty-list<float>  $factors  of the bakes of one class, the newest last */
    public static function of(string $class, string $of, array $factors): self
    {
        $used = array_slice($factors, -self::NEWEST);
        sort($used);
        $from = count($used);
        $middle = ($used[intdiv($from - 1, 2)] + $used[intdiv($from, 2)]) / 2;
        $factor = $from < self::LEAST ? null : $middle;
        $says = $factor === null
            ? "your one $class bake: ".Learned::inWords($of, $middle).'; from two on it can be reckoned with'
            : "your last $from $class bakes: ".Learned::inWords($of, $factor);

        return new self($class, $of, $factor, $from, $used[0], $used[$from - 1], $says);
    }
}
