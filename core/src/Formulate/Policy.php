<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

/** What a kitchen decided once for all its recipes. */
final readonly class Policy
{
    public const CHOICES = [
        'energySchool' => ['clinic', 'nrc'],
        'calorieConvention' => ['4-9-4', 'modified'],
        'garlic' => ['avoid', 'measured'],
        'units' => ['us', 'metric', 'imperial', 'australian'],
        'pseudoGrains' => ['not-grain', 'grain'],
    ];

    public function __construct(
        public string $energySchool = 'clinic',
        public string $calorieConvention = '4-9-4',
        public string $garlic = 'avoid',
        public string $units = 'us',
        public string $pseudoGrains = 'not-grain',
        public ?float $budgetPercent = null,
    ) {}

    /** @throws RequestRefused */
    public static function from(?Node $node): self
    {
        if ($node === null) {
            return new self;
        }
        $node->object([...array_keys(self::CHOICES), 'budgetPercent']);
        $of = static fn (string $key): string => $node->get($key)?->choice(self::CHOICES[$key]) ?? self::CHOICES[$key][0];

        return new self(
            $of('energySchool'), $of('calorieConvention'), $of('garlic'), $of('units'), $of('pseudoGrains'),
            $node->get('budgetPercent')?->number(0, 10, '%'),
        );
    }
}
