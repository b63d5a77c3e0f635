<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Values\Range;

/** How a batch leaves the kitchen: its final moisture, and whether heat killed what was raw. */
final readonly class Texture
{
    private function __construct(
        public string $id,
        public string $name,
        public ?Range $moisture,
        public bool $isHeated,
        private bool $hard,
    ) {}

    /** Taken where nobody said. */
    public static function assumed(): self
    {
        return self::of('biscuit');
    }

    /** @return list<string> */
    public static function ids(): array
    {
        return array_keys(Compiled::tables()['textures']);
    }

    public static function of(string $id): self
    {
        $row = Compiled::tables()['textures'][$id] ?? throw new \OutOfBoundsException("There is no texture \"$id\".");
        $moisture = $row['moistureBest'] === null ? null : Range::of(($row['moistureLow'] ?? 0.0) / 100, $row['moistureBest'] / 100, ($row['moistureHigh'] ?? 100.0) / 100);

        return new self($id, $row['name'], $moisture, $row['heated'], $row['hard']);
    }

    /** Hard or sticky to chew. */
    public function isHard(): bool
    {
        return $this->hard;
    }

    /** Grams after the oven: the solids stay, the water leaves; never more than went in. */
    public function bakedGrams(Range $dough, Range $solids): Range
    {
        if ($this->moisture === null) {
            return $dough;
        }

        return Range::of(
            min($dough->low, $solids->low / (1 - $this->moisture->low)),
            min($dough->best, $solids->best / (1 - $this->moisture->best)),
            min($dough->high, $solids->high / (1 - $this->moisture->high)),
        );
    }
}
