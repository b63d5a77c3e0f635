<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** One nutrient of a panel. */
final readonly class PanelRow
{
    /**
     * @param  float  $piece  in one piece
     * @param  ?float  $per100g  as it is; null where nothing is left to weigh
     */
    public function __construct(
        public string $name,
        public string $unit,
        public float $piece,
        public float $batch,
        public ?float $per100g,
        public ?float $dryMatterPer100g,
        public ?float $per1000kcal,
    ) {}
}
