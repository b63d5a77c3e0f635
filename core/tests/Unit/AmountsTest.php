<?php

declare(strict_types=1);

/** @return array{low: float, best: float, high: float}|null */
function gramsOf(string $line, string $units = 'us'): ?array
{
    return answer($line, ['policy' => ['units' => $units]])['lines'][0]['grams'] ?? null;
}

it('weighs every measure of the reference', function (string $line, float $grams): void {
    expect(gramsOf($line)['best'] ?? null)->toEqualWithDelta($grams, max(0.3, 0.02 * $grams), $line);
})->with([
    ['1 tsp water', 4.93],
    ['1 tbsp water', 14.79],
    ['1 fl oz water', 29.57],
    ['1 cup water', 236.6],
    ['1 pint water', 473],
    ['1 quart water', 946],
    ['1 ml water', 1.0],
    ['250 ml water', 250],
    ['2 dl water', 200],
    ['5 cl water', 50],
    ['1.5 l water', 1500],
    ['1 oz oat flour', 28.35],
    ['1 lb minced turkey', 453.6],
    ['1/2 kg minced turkey', 500],
    ['1 stick butter, unsalted', 113],
    ['half a stick of unsalted butter', 56.5],
    ['1 large egg', 50],
    ['2 large eggs', 100],
    ['1 medium banana', 118],
    ['1 medium carrot', 61],
    ['2 medium apples, cored', 364],
    ['1 medium sweet potato', 130],
    ['1 cup grated carrot', 110],
    ['1 cup mashed banana', 225],
    ['1 cup brown rice flour', 158],
    ['1 cup whole wheat flour', 120],
    ['1 cup rolled oats', 90],
    ['1 cup plain pumpkin purée', 245],
    ['1 cup unsalted peanut butter', 258],
    ['1 cup honey', 340],
    ['1 cup olive oil', 218],
    ['1 cup chopped parsley', 60],
    ['1 cup chia seeds', 160],
    ['1 cup ground flaxseed', 112],
    ['1 pinch of ground ginger', 0.3],
    ['1 dozen large eggs', 600],
]);

it('sees a range where a measure is loose', function (string $line, float $low, float $high): void {
    $grams = gramsOf($line);
    expect($grams['low'] ?? null)
        ->toEqualWithDelta($low, 0.06 * $low, $line)
        ->and($grams['high'] ?? null)
        ->toEqualWithDelta($high, 0.06 * $high, $line)
        ->and($grams['best'])
        ->toBeGreaterThanOrEqual($grams['low'])
        ->toBeLessThanOrEqual($grams['high']);
})->with([
    'a splash' => ['a splash of water', 5, 10],
    'a handful of leaves' => ['a handful of parsley', 15, 45],
    'two to three' => ['2 to 3 cups water', 473.2, 709.8],
    'with a dash' => ['2–3 tbsp water', 29.58, 44.37],
    'a tin in liquid, not drained' => ['1 (15 oz) can of chickpeas', 233, 425],
]);

it('takes a tin as it is said: its size, and whether it was drained', function (): void {
    expect(gramsOf('one 15 oz can of plain pumpkin')['best'])
        ->toEqualWithDelta(425, 2)
        ->and(gramsOf('1 (15 oz) can of chickpeas, drained')['best'])
        ->toEqualWithDelta(255, 20)
        ->and(gramsOf('2 tins (each 400 g) of plain pumpkin')['best'] ?? 0)
        ->toBeGreaterThan(390);
});

it('lets words about the measure count', function (string $line, float $grams): void {
    expect(gramsOf($line)['best'] ?? null)->toEqualWithDelta($grams, 0.03 * $grams, $line);
})->with([
    'heaped' => ['1 heaped tbsp water', 1.25 * 14.79],
    'one and a half' => ['one and a half cups water', 354.9],
    'summed' => ['1/2 cup + 2 tbsp water', 118.3 + 29.58],
    'joined by a word' => ['1/2 cup plus 1 tbsp water', 118.3 + 14.79],
    'the weighed figure counts' => ['1 cup (100 g) oat flour', 100],
    'an ounce beside it' => ['120 g (4 oz) oat flour', 120],
]);

it('measures with the kitchen\'s own spoons and cups', function (string $units, string $line, float $grams): void {
    expect(gramsOf($line, $units)['best'])->toEqualWithDelta($grams, 0.003 * $grams);
})->with([
    ['us', '1 tbsp water', 14.79],
    ['australian', '1 tbsp water', 20],
    ['metric', '1 cup water', 250],
    ['imperial', '1 cup water', 284],
    ['imperial', '1 pint water', 568],
    ['imperial', '1 fl oz water', 28.4],
    ['us', '1 pint water', 473],
]);

it('reads the same amount from every writing of it', function (string ...$writings): void {
    $first = gramsOf(array_shift($writings));
    foreach ($writings as $writing) {
        expect(gramsOf($writing))->toEqual($first, $writing);
    }
})->with([
    'one and a half' => [
        '1 1/2 cups oat flour',
        '1½ cups oat flour',
        '1.5 cups oat flour',
        '1,5 cups oat flour',
        'one and a half cups oat flour',
        '1 1⁄2 cups oat flour',
        '1½ c oat flour',
        '1 1/2 cups of oat flour',
    ],
    'tablespoons' => [
        '2 tbsp olive oil',
        '2 tablespoons olive oil',
        '2 Tbsp. olive oil',
        '2 tbs olive oil',
        'two tablespoons of olive oil',
        '2 T olive oil',
    ],
    'teaspoons' => ['1 tsp olive oil', '1 teaspoon olive oil', '1 t olive oil', 'one teaspoon of olive oil'],
    'grams' => [
        '200 g oat flour',
        '200g oat flour',
        '200 grams oat flour',
        '200 gr oat flour',
        '- 200 g oat flour',
        '• 200 g oat flour',
        '1) 200 g oat flour',
    ],
    'a half' => ['1/2 cup water', '½ cup water', 'half a cup of water', '0.5 cup water', 'a half cup water'],
]);

it('never mistakes heat, time or length for an amount', function (string $line): void {
    $lines = answer("1 cup oat flour\n$line")['lines'];
    expect($lines)->toHaveCount(1);
})->with([
    ['Bake at 180 °C for 25 minutes'],
    ['Roll out to 6 mm and cut'],
    ['Preheat the oven to 350F'],
    ['Chill for 30 minutes, then slice'],
    ['Bake 20 minutes at gas mark 4'],
]);
