<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Stage;

/** A dog's profile worked out. */
final readonly class ProfileAnswer
{
    /**
     * @param  list<ProfileSchool>  $schools
     * @param  array{kcal: float, percent: float, reason: string}|null  $budget
     * @param  array{foodGrams: float, treatShareGrams: float, perMealGrams: ?float}|null  $meals
     * @param  list<string>  $assumed
     * @param  list<string>  $questions
     * @param  list<string>  $cares  what its body asks of every treat
     */
    public function __construct(
        public Stage $stage,
        public string $stageWhy,
        public ?float $idealWeightKg,
        public ?string $idealSays,
        public ?float $restingKcal,
        public array $schools,
        public ?string $difference,
        public ?array $budget,
        public ?float $safeBiteMm,
        public ?string $breedNote,
        public ?array $meals,
        public array $assumed,
        public array $questions,
        public ?Growth $growth,
        public array $cares,
    ) {}
}
