<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

use MildBowl\Core\Data\Unit;

/** What a kitchen decided once for all its recipes. */
final readonly class Policy
{
    /** What may be chosen of each; the first is what is taken where nobody chose. */
    public const CHOICES = [
        'energySchool' => ['clinic', 'nrc'],
        'calorieConvention' => ['4-9-4', 'modified'],
        'garlic' => ['avoid', 'measured'],
        'units' => Unit::SYSTEMS,
        'pseudoGrains' => ['not-grain', 'grain'],
    ];

    /** @param  ?float  $budgetPercent  a lower share of the day for treats than ours; null where the kitchen has none */
    public function __construct(
        public string $energySchool = 'clinic',
        public string $calorieConvention = '4-9-4',
        public string $garlic = 'avoid',
        public string $units = 'us',
        public string $pseudoGrains = 'not-grain',
        public ?float $budgetPercent = null,
    ) {}

    public function countsPseudoGrains(): bool
    {
        return $this->pseudoGrains === 'grain';
    }
}
