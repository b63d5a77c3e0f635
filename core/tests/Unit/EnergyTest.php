<?php

declare(strict_types=1);

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Kitchen\Policy;

/** @return array<string, mixed> */
function rationOf(array $dog, array $policy = []): array
{
    return answer("2 cups oat flour\n1 egg\n1/4 cup water", ['dogs' => [dog('Rex', $dog)], 'policy' => $policy])['rations'][0];
}

it('gives the worked examples of the reference to half a percent', function (array $dog, string $school, float $daily): void {
    expect(rationOf($dog, ['energySchool' => $school])['dailyKcal']['best'])->toEqualWithDelta($daily, 0.005 * $daily);
})->with([
    'neutered adult of 10 kg' => [[], 'clinic', 630],
    'the same, research, inactive' => [['activity' => 'inactive'], 'nrc', 534],
    'the same, research, active' => [['activity' => 'active'], 'nrc', 731],
    'puppy of 5 months, clinic' => [['weightKg' => 8, 'ageMonths' => 5, 'expectedAdultWeightKg' => 20], 'clinic', 666],
    'puppy of 3 months, clinic' => [['weightKg' => 8, 'ageMonths' => 3, 'expectedAdultWeightKg' => 20], 'clinic', 999],
    'puppy, research' => [['weightKg' => 8, 'ageMonths' => 5, 'expectedAdultWeightKg' => 20], 'nrc', 1199],
    'intact adult' => [['neutered' => false], 'clinic', 708.6],
    'senior' => [['ageMonths' => 130], 'clinic', 551.2],
    'heavy work' => [['activity' => 'working-heavy'], 'clinic', 2362],
    'inactive senior takes the lower' => [['ageMonths' => 130, 'activity' => 'inactive'], 'clinic', 472.4],
    'terrier, active, research' => [['breed' => 'border terrier', 'activity' => 'active'], 'nrc', 1012.3],
    'Newfoundland, active, research' => [['breed' => 'Newfoundland', 'activity' => 'active'], 'nrc', 590.5],
    'weight loss at the ideal weight' => [['weightKg' => 36, 'bodyCondition' => 7, 'conditions' => ['weight-loss']], 'clinic', 897.3],
]);

it('gives resting energy and ideal weight', function (): void {
    $ration = rationOf(['weightKg' => 36, 'bodyCondition' => 7]);

    expect(rationOf([])['restingKcal'])
        ->toEqualWithDelta(394, 0.5)
        ->and($ration['idealWeightKg'])
        ->toEqualWithDelta(30, 1e-9)
        ->and($ration['treatBudgetKcal'])
        ->toEqualWithDelta((70 * 30 ** 0.75 * 1.6) / 10, 0.1)
        ->and($ration['dailyKcal']['best'])
        ->toEqualWithDelta(70 * 36 ** 0.75 * 1.6, 0.1);
});

it('halves the budget for growth, a plan or a condition, and never raises it', function (array $dog, array $policy, float $percent): void {
    $ration = rationOf($dog, $policy);
    expect(($ration['treatBudgetKcal'] / $ration['dailyKcal']['best']) * 100)->toEqualWithDelta($percent, 1e-6);
})->with([
    [[], [], 10],
    [['ageMonths' => 6], [], 5],
    [['conditions' => ['heart']], [], 5],
    [['allergies' => ['beef']], [], 10],
    [['conditions' => ['weight-loss']], [], 5],
    [[], ['budgetPercent' => 4], 4],
    [['conditions' => ['heart']], ['budgetPercent' => 8], 5],
]);

it('takes life stage from age and grown weight', function (array $dog, string $stage): void {
    expect(rationOf($dog)['stage'])->toBe($stage);
})->with([
    [['ageMonths' => 11.9], 'puppy'],
    [['ageMonths' => 12], 'adult'],
    [['weightKg' => 30, 'ageMonths' => 17.9], 'puppy'],
    [['weightKg' => 30, 'ageMonths' => 18], 'adult'],
    [['weightKg' => 50, 'ageMonths' => 23.9], 'puppy'],
    [['weightKg' => 50, 'ageMonths' => 72], 'senior'],
    [['weightKg' => 10, 'ageMonths' => 119], 'adult'],
    [['weightKg' => 10, 'ageMonths' => 120], 'senior'],
    [['weightKg' => 12.5, 'ageMonths' => 108], 'senior'],
    [['weightKg' => 36, 'bodyCondition' => 7, 'ageMonths' => 95], 'adult'],
    [['weightKg' => 17, 'expectedAdultWeightKg' => 48, 'ageMonths' => 20], 'puppy'],
    [['stage' => 'senior'], 'senior'],
]);

it('gives no number to a pregnant dog, no treats under 8 weeks, and no ration without a weight', function (): void {
    $pregnant = rationOf(['conditions' => ['pregnant']]);
    $young = rationOf(['ageMonths' => 1.5, 'weightKg' => 2]);
    $unweighed = answer('100 g oat flour', ['dogs' => [['name' => 'Rex']]]);

    expect($pregnant['dailyKcal'])
        ->toBeNull()
        ->and($pregnant['treatBudgetKcal'])
        ->toBeNull()
        ->and($pregnant['piecesPerDay'])
        ->toEqual(0)
        ->and($young['ifCleared'])
        ->toEqual(0)
        ->and(array_column($young['limits'], 'code'))
        ->toContain('age')
        ->and($unweighed['rations'][0]['piecesPerDay'])
        ->toEqual(0)
        ->and(array_column($unweighed['assumptions'], 'code'))
        ->toContain('weight-missing');
});

it('takes what was given today off the budget', function (): void {
    $text = "2 cups oat flour\n1 egg";
    $before = answer($text, ['dogs' => [dog()]])['rations'][0]['limits'][0]['piecesPerDay'];
    $after = answer($text, ['dogs' => [dog('Rex', ['alreadyToday' => ['kcal' => 31.5]])]])['rations'][0]['limits'][0]['piecesPerDay'];

    expect($after)->toEqualWithDelta($before / 2, 0.02 * $before);
});

it('ramps a new food to a quarter', function (): void {
    $text = "2 cups oat flour\n1 egg";
    $known = answer($text, ['dogs' => [dog()]])['rations'][0];
    $new = answer($text, ['dogs' => [dog('Rex', ['newIngredients' => ['oat-flour']])]])['rations'][0];

    expect($new['heldBy'])
        ->toBe('new-ingredient')
        ->and($new['piecesPerDay'])
        ->toBeLessThanOrEqual($known['piecesPerDay'] / 4);
});

it('holds each dose at its cap', function (string $code, string $text, array $dog, float $capADay, string $nutrient): void {
    $answer = answer($text, ['dogs' => [dog('Rex', $dog)], 'cut' => ['shape' => 'pieces', 'count' => 100]]);
    $limits = array_column($answer['rations'][0]['limits'], 'piecesPerDay', 'code');

    expect($limits)
        ->toHaveKey($code)
        ->and($limits[$code] * $answer['piece']['nutrients'][$nutrient])
        ->toEqualWithDelta($capADay, 0.01 * $capADay);
})->with([
    // budgets of the 10 kg neutered adult: 630 kcal a day, 63.0 of treats; with a condition 31.5
    'sodium' => ['sodium', "2 cups oat flour\n1/2 tsp salt", [], (200 * 62.98) / 100, 'sodiumMg'],
    'sodium, heart' => ['sodium', "2 cups oat flour\n1/2 tsp salt", ['conditions' => ['heart']], (80 * 31.49) / 100, 'sodiumMg'],
    'sodium, advanced' => ['sodium', "2 cups oat flour\n1/2 tsp salt", ['conditions' => ['heart-advanced']], (60 * 31.49) / 100, 'sodiumMg'],
    'fat' => ['fat', "1 cup oat flour\n1/2 cup olive oil", [], (8 * 62.98) / 100, 'fatG'],
    'fat, pancreatitis' => ['fat', "1 cup oat flour\n1 tbsp olive oil", ['conditions' => ['pancreatitis']], (2.5 * 31.49) / 100, 'fatG'],
    'added sugar' => ['added-sugar', "1 cup oat flour\n1/4 cup honey", [], 6.298, 'addedSugarG'],
    'coumarin' => ['coumarin', "1 cup oat flour\n1 tbsp cinnamon", [], 1.0, 'coumarinMg'],
    'vitamin A' => ['vitamin-a', "1 cup oat flour\n200 g beef liver", [], 375 * 6.298, 'retinolUg'],
    'vitamin D' => ['vitamin-d', "1 cup oat flour\n1 tbsp cod liver oil", [], 0.5 * 6.298, 'vitaminDUg'],
    'kelp' => ['kelp', "1 cup oat flour\n1 tsp kelp powder", [], 0.1, 'kelpG'],
]);

it('says why the budget is what it is: a choice of the kitchen only where it is lower', function (
    float $chosen,
    array $conditions,
    float $percent,
    string $reason
): void {
    $dog = new Dog('Rex', 10.0, 48.0, conditions: $conditions);
    $budget = TreatBudget::for($dog, new Policy(budgetPercent: $chosen));
    expect($budget->percent)->toBe($percent)->and($budget->reason)->toBe($reason);
})->with([
    [10.0, [], 10.0, 'a tenth of the day'],
    [9.99, [], 9.99, 'as this kitchen chose'],
    [5.0, ['kidney'], 5.0, 'half of that with a condition'],
    [4.99, ['kidney'], 4.99, 'as this kitchen chose'],
    [5.0, ['weight-loss'], 5.0, 'half of that on a weight-loss plan'],
]);
