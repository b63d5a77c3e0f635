<?php

declare(strict_types=1);

use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\Weight;

it('reads weights as people say them', function (string $text, ?float $low, ?float $high, bool $pounds = false): void {
    $range = Weight::read($text, $pounds);
    expect($range?->best === null ? null : round($range->best, 2))
        ->toBe($low)
        ->and($range === null ? null : round($range->high, 2))
        ->toBe($high);
})->with([
    ['17', 17.0, 17.0],
    ['17 kg', 17.0, 17.0],
    ['17,5', 17.5, 17.5],
    ['38 lb', 17.24, 17.24],
    ['50 to 60 lb', 22.68, 27.22],
    ['20-25 kg', 20.0, 25.0],
    ['38', 17.24, 17.24, true],
    ['38 kg', 38.0, 38.0, true],
    ['about 9 kilos', 9.0, 9.0],
    ['heavy', null, null],
    ['', null, null],
]);

it('shows both schools with the reference\'s own figures', function (): void {
    $answer = profile(['weightKg' => 8, 'ageMonths' => 5, 'expectedAdultWeightKg' => 20]);
    [$clinic, $research] = $answer['schools'];
    expect($clinic['dailyKcal']['best'])
        ->toEqualWithDelta(666, 1)
        ->and($research['dailyKcal']['best'])
        ->toEqualWithDelta(1199, 1)
        ->and($clinic['chosen'])
        ->toBeTrue()
        ->and($answer['difference'])
        ->toContain('80 % higher')
        ->toContain('growth');
    expect(profile(['weightKg' => 8, 'ageMonths' => 3, 'expectedAdultWeightKg' => 20])['schools'][0]['dailyKcal']['best'])->toEqualWithDelta(999, 1);
    $grown = profile(['weightKg' => 10, 'ageMonths' => 40, 'neutered' => true, 'activity' => 'inactive']);
    expect($grown['restingKcal'])
        ->toEqualWithDelta(394, 0.5)
        ->and($grown['schools'][1]['dailyKcal']['best'])
        ->toEqualWithDelta(534, 1);
});

it('says why it is of its stage, what it should weigh, and what one meal is', function (): void {
    $answer = profile(['weightKg' => 36, 'ageMonths' => 72, 'bodyCondition' => 7, 'neutered' => true, 'foodKcalPer100g' => 360], ['meals' => 2]);
    expect($answer['stage'])
        ->toBe('adult')
        ->and($answer['stageWhy'])
        ->toContain('senior from 8 years')
        ->and($answer['idealWeightKg'])
        ->toEqualWithDelta(30, 0.01)
        ->and($answer['idealSays'])
        ->toContain('rough')
        ->and($answer['meals']['perMealGrams'])
        ->toEqualWithDelta($answer['meals']['foodGrams'] / 2, 0.001)
        ->and($answer['meals']['treatShareGrams'])
        ->toEqualWithDelta($answer['budget']['kcal'] / 3.6, 0.001);
    expect(profile(['weightKg' => 36, 'ageMonths' => 72, 'stage' => 'senior'])['stageWhy'])->toContain('by age it would be adult');
});

it('questions what looks like a slip and names what is missing', function (array $dog, string $part, string $says): void {
    expect(implode(' ', profile($dog)[$part]))->toContain($says);
})->with([
    'a chihuahua of 120 kg' => [['weightKg' => 120, 'ageMonths' => 40, 'breed' => 'chihuahua'], 'questions', '120 kg for a chihuahua?'],
    'grown under present' => [['weightKg' => 20, 'ageMonths' => 5, 'expectedAdultWeightKg' => 15], 'questions', 'under the present'],
    'nought months' => [['weightKg' => 1, 'ageMonths' => 0], 'questions', 'Nought months'],
    'nothing known' => [[], 'assumed', 'No weight yet'],
    'no grown weight' => [['weightKg' => 5, 'ageMonths' => 4], 'assumed', 'No grown weight'],
    'no food' => [['weightKg' => 5], 'assumed', 'no energy written down'],
]);

it('does not question a cross or an ordinary dog', function (array $dog): void {
    expect(profile($dog)['questions'])->toBe([]);
})->with([
    [['weightKg' => 17, 'ageMonths' => 5, 'expectedAdultWeightKg' => 48, 'breed' => 'Newfoundland cross']],
    [['weightKg' => 12.5, 'ageMonths' => 146, 'breed' => 'whippet']],
    [['weightKg' => 9, 'ageMonths' => 48, 'breed' => 'chihuahua cross']],
]);

it('runs the energy of growth from what was weighed to grown', function (): void {
    $answer = profile(
        ['weightKg' => 17, 'ageMonths' => 5, 'expectedAdultWeightKg' => 48],
        ['weighings' => [['ageMonths' => 3, 'kg' => 9], ['ageMonths' => 5, 'kg' => 17]]]
    );
    $curve = $answer['growth']['curve'];
    expect($curve[0]['kg'])
        ->toEqualWithDelta(9.0, 0.01)
        ->and(end($curve)['kg'])
        ->toEqualWithDelta(48, 0.01)
        ->and(end($curve)['kcal'])
        ->toEqualWithDelta(Energy::growing(48, 48), 0.01)
        ->and($answer['growth']['adultFromMonths'])
        ->toBe(24)
        ->and(profile(['weightKg' => 10, 'ageMonths' => 40])['growth'])
        ->toBeNull();
});

it('says what is not known of a dog, and only that', function (array $dog, array $says): void {
    $known = ['weightKg' => 10, 'ageMonths' => 40, 'neutered' => true, 'bodyCondition' => 5, 'foodKcalPer100g' => 350];
    $assumed = implode(' ', profile(array_filter($dog + $known, static fn (mixed $value): bool => $value !== null))['assumed']);
    foreach (['No weight yet', 'No age', 'unknown age', 'Not known whether neutered', 'No body condition', 'No grown weight', 'no energy written down'] as $one) {
        expect(str_contains($assumed, $one))->toBe(in_array($one, $says, true), "$one: $assumed");
    }
})->with([
    [[], []],
    [['weightKg' => null], ['No weight yet']],
    [['ageMonths' => null], ['No age']],
    [['ageMonths' => null, 'stage' => 'adult'], []],
    [['ageMonths' => null, 'stage' => 'puppy', 'expectedAdultWeightKg' => 20], ['unknown age']],
    [['ageMonths' => 5, 'stage' => 'puppy', 'expectedAdultWeightKg' => 20], []],
    [['ageMonths' => 5], ['No grown weight']],
    [['neutered' => null], ['Not known whether neutered']],
    [['bodyCondition' => null], ['No body condition']],
    [['foodKcalPer100g' => null], ['no energy written down']],
]);
