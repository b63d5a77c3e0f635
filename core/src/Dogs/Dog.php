<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Data;

/**
 * One dog as the kitchen knows it. Weights in kg, age in months. Whatever is null is unknown and
 * is taken at the end that protects the dog.
 */
final readonly class Dog
{
    /**
     * @param  list<string>  $allergies  resolved group or ingredient ids
     * @param  list<string>|null  $allowList  resolved; null when the dog may eat anything
     * @param  list<string>  $conditions
     * @param  list<string>  $medicines
     * @param  list<string>  $newIngredients
     * @param  array<string, float>  $alreadyToday  kcal, sodiumMg, … of other treats given today
     */
    public function __construct(
        public string $name,
        public ?float $weightKg,
        public ?float $ageMonths = null,
        public ?string $sex = null,
        public ?bool $neutered = null,
        public ?int $bodyCondition = null,
        public string $activity = 'normal',
        public ?string $breed = null,
        public ?float $expectedAdultWeightKg = null,
        public ?Stage $stage = null,
        public string $teeth = 'full',
        public string $eating = 'normal',
        public array $allergies = [],
        public ?array $allowList = null,
        public array $conditions = [],
        public array $medicines = [],
        public ?float $foodKcalPer100g = null,
        public array $alreadyToday = [],
        public array $newIngredients = [],
        public ?float $budgetPercent = null,
    ) {}

    public function has(string $condition): bool
    {
        return in_array($condition, $this->conditions, true);
    }

    public function takes(string $medicine): bool
    {
        return in_array($medicine, $this->medicines, true);
    }

    /**
     * Ideal weight from the nine-point body condition: a tenth of the weight a score away from 5; 4 and 5 are ideal.
     * An estimate, and a rough one.
     */
    public function idealWeightKg(): ?float
    {
        if ($this->weightKg === null) {
            return null;
        }
        $score = $this->bodyCondition ?? 5;

        return $score === 4 ? $this->weightKg : $this->weightKg / (1 + 0.10 * ($score - 5));
    }

    public function isOverweight(): bool
    {
        return ($this->bodyCondition ?? 5) >= 6;
    }

    /** The weight this dog has or will have when grown: expected, else ideal. */
    public function adultWeightKg(): ?float
    {
        return $this->expectedAdultWeightKg ?? $this->idealWeightKg();
    }

    public function lifeStage(): Stage
    {
        return $this->stage ?? Stage::at($this->ageMonths, $this->adultWeightKg());
    }

    public function isGrowing(): bool
    {
        return $this->lifeStage() === Stage::Puppy;
    }

    /** Growing towards more than 25 kg: added calcium harms its bones. Unknown adult weight counts by the ideal weight. */
    public function isGrowingLarge(): bool
    {
        return $this->isGrowing() && ($this->adultWeightKg() ?? 0.0) > 25;
    }

    public function isBreeding(): bool
    {
        return $this->has('pregnant') || $this->has('nursing');
    }

    /**
     * The breed's row, found also inside a longer description ("whippet cross").
     *
     * @return array{breed: string, terrier: bool, research: ?float, fragile: bool, note: string, groups: list<string>, kgLow: ?float, kgHigh: ?float, source: string}|null
     */
    public function breedRow(): ?array
    {
        if ($this->breed === null) {
            return null;
        }
        $breeds = Data::tables()['breeds'];
        $name = mb_strtolower(trim($this->breed));
        if (isset($breeds[$name])) {
            return $breeds[$name];
        }
        foreach ($breeds as $known => $row) {
            if (preg_match('/\b'.preg_quote($known, '/').'\b/', $name) === 1) {
                return $row;
            }
        }
        if (str_contains($name, 'terrier')) {
            return ['breed' => $name, 'terrier' => true, 'research' => null, 'fragile' => false, 'note' => '', 'groups' => [], 'kgLow' => null, 'kgHigh' => null, 'source' => 'NRC'];
        }

        return null;
    }

    /** Largest piece it may swallow whole, in mm. */
    public function safeBiteMm(): ?float
    {
        foreach (Data::tables()['bites'] as $row) {
            if ($this->weightKg !== null && $this->weightKg <= (float) $row['upToKg']) {
                return (float) $row['biteMm'];
            }
        }

        return null;
    }

    /** Why no garlic in any amount, under a kitchen's "measured garlic" policy; null when it may have some. */
    public function garlicRefusal(): ?string
    {
        return match (true) {
            $this->isGrowing() => 'a puppy',
            $this->isBreeding() => 'pregnant or nursing',
            $this->has('anaemia') => 'anaemic',
            $this->has('liver') || $this->has('shunt') || $this->has('copper-storage') => 'a dog with a liver condition',
            $this->takes('surgery-planned') => 'to have surgery',
            $this->takes('anticoagulant') => 'on an anticoagulant',
            ($this->breedRow()['fragile'] ?? false) => 'of a breed with fragile red cells',
            default => null,
        };
    }
}
