<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;

/**
 * What the hand says of a dough, by its wetness: a row of feels.csv; of a dough of meat by what binds it: a row of bindings.csv.
 *
 * @phpstan-import-type FeelRow from Compiled
 */
final readonly class Feel
{
    /**
     * @param  float  $below  wetness, or dry binder on a g of meat, under which a dough feels so
     * @param  string  $word  the feel in one word
     * @param  string  $sign  how it shows under the hand
     * @param  float  $density  g per ml
     * @param  string  $made  what can be made of it
     */
    private function __construct(public string $feel, public string $word, public string $sign, public float $below, public float $density, public string $made) {}

    /** @return non-empty-list<self> of doughs of flour, the driest first */
    public static function all(): array
    {
        $all = array_map(self::row(...), Compiled::tables()['feels']);
        assert($all !== []);

        return $all;
    }

    /** @throws \OutOfBoundsException when no dough feels so */
    public static function named(string $feel): self
    {
        foreach ([...self::all(), ...self::allOfMeat()] as $one) {
            if ($one->feel === $feel) {
                return $one;
            }
        }
        throw new \OutOfBoundsException("No dough feels \"$feel\".");
    }

    /** Wetness from which a dough of flour feels so. */
    public function from(): float
    {
        $from = 0.0;
        foreach (self::all() as $one) {
            if ($one->feel === $this->feel) {
                break;
            }
            $from = $one->below;
        }

        return $from;
    }

    /** @return non-empty-list<self> of doughs of meat or fish, the loosest first */
    public static function allOfMeat(): array
    {
        $all = array_map(self::row(...), Compiled::doughs()['bindings']);
        assert($all !== []);

        return $all;
    }

    /**
     * By its name or its word in one.
     *
     * @return self|null null when no dough feels so
     */
    public static function called(string $feelOrWord): ?self
    {
        foreach ([...self::all(), ...self::allOfMeat()] as $one) {
            if (in_array($feelOrWord, [$one->feel, $one->word], true)) {
                return $one;
            }
        }

        return null;
    }

    /** The wetness in the middle of it; null of a dough of meat, which has none. */
    public function middle(): ?float
    {
        foreach (Compiled::tables()['feels'] as $row) {
            if ($row['feel'] === $this->feel) {
                return $row['middle'] ?? null;
            }
        }

        return null;
    }

    /** Of a dough of meat with so much dry binder on a g of meat. */
    public static function ofMeat(float $binding): self
    {
        $all = self::allOfMeat();
        foreach ($all as $one) {
            if ($binding < $one->below) {
                return $one;
            }
        }

        return $all[count($all) - 1];
    }

    /** A binding in the class below the one of this. */
    public static function looserThan(float $binding): float
    {
        $floor = 0.0;
        foreach (self::allOfMeat() as $one) {
            if ($binding < $one->below) {
                break;
            }
            $floor = $one->below;
        }

        return min($binding, max(0.0, $floor - 1e-9));
    }

    /** Of a dough so wet; null where nothing in it takes water up. */
    public static function at(?float $wetness): ?self
    {
        foreach ($wetness === null ? [] : Compiled::tables()['feels'] as $row) {
            if ($wetness < $row['below']) {
                return self::row($row);
            }
        }

        return null;
    }

    /** @param  FeelRow  $row */
    private static function row(array $row): self
    {
        return new self($row['feel'], $row['word'], $row['sign'], $row['below'], $row['density'], $row['made']);
    }
}
