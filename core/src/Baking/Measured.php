<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** What was counted and weighed after cooling; it overrules the estimate. null where nobody measured. */
final readonly class Measured
{
    public function __construct(public ?float $count = null, public ?float $bakedGrams = null, public ?float $wasteGrams = null) {}

    /** Share of the batch that is kept when waste is thrown away, with its energy. */
    public function keptOf(float $bakedGrams): float
    {
        return $this->wasteGrams === null || $bakedGrams <= 0 ? 1.0
            : max(0.0, 1 - $this->wasteGrams / ($bakedGrams + ($this->bakedGrams === null ? 0.0 : $this->wasteGrams)));
    }
}
