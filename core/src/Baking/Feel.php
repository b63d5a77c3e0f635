<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;

/**
 * What the hand says of a dough, by its wetness: a row of feels.csv, the driest first.
 *
 * @phpstan-import-type FeelRow from Compiled
 */
final readonly class Feel
{
    /**
     * @param  float  $below  wetness under which a dough feels so
     * @param  string  $word  the feel in one word
     * @param  string  $sign  how it shows under the hand
     * @param  float  $density  g per ml
     * @param  string  $made  what can be made of it
     */
    private function __construct(public string $feel, public string $word, public string $sign, public float $below, public float $density, public string $made) {}

    /** @return non-empty-list<self> */
    public static function all(): array
    {
        $all = [];
        foreach (Compiled::tables()['feels'] as $row) {
            $all[] = self::row($row);
        }
        assert($all !== []);

        return $all;
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
