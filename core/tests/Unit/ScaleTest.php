<?php

declare(strict_types=1);

it('scales in amounts a kitchen can measure', function (array $by, float $factor, array $lines): void {
    $answer = asked(
        'scale',
        ['by' => $by, 'dogs' => [dog()], 'cut' => ['shape' => 'pieces', 'count' => 40]],
        "1 1/2 cups oat flour\n1 large egg\n120 g homemade pumpkin puree, warm\n1 tsp cinnamon, Ceylon\na pinch of parsley"
    );
    expect($answer['factor'])->toEqualWithDelta($factor, 0.001);
    foreach ($lines as $line) {
        expect($answer['recipeText'])->toContain($line);
    }
})->with([
    'double' => [['factor' => 2], 2.0, ['3 cups oat flour', '2 large egg', '240 g homemade pumpkin puree, warm', '2 tsp cinnamon']],
    'half' => [['factor' => 0.5], 0.5, ['¾ cup oat flour', '25 g beaten egg', '60 g homemade', '½ tsp cinnamon']],
    'one and a half' => [['factor' => 1.5], 1.5, ['2 ¼ cups oat flour', '75 g beaten egg', '180 g']],
    'by pieces' => [['pieces' => 60], 1.5, ['180 g homemade']],
    'by what is at hand' => [['atHand' => ['line' => 2, 'grams' => 240]], 2.0, ['2 large egg']],
]);

it('weighs what it wrote: every scaled line is its factor of the old one', function (float $factor): void {
    $text =
        "2 cups rolled oats\n1 cup grated carrot\n3 tbsp peanut butter\n1/2 cup + 2 tbsp water\n2 to 3 apples, cored and diced\n1 (15 oz) tin of plain pumpkin\n2 sprigs parsley\n1 lb minced turkey\n1 1/4 tsp baking powder\n2 ripe bananas\nflour for dusting";
    $before = answer($text);
    $after = answer(asked('scale', ['by' => ['factor' => $factor]], $text)['recipeText']);
    foreach ($before['lines'] as $n => $line) {
        if ($line['grams'] !== null && ! str_contains($line['text'], 'dusting')) {
            $wanted = $line['grams']['best'] * $factor;
            expect($after['lines'][$n]['grams']['best'])->toEqualWithDelta(
                $wanted,
                max(0.3, 0.045 * $wanted),
                $line['text'].' → '.$after['lines'][$n]['text']
            );
        }
    }
})->with([0.33, 0.5, 0.75, 1.5, 2.0, 3.7]);

it('counts no part of an egg, and no part of what is small', function (string $line, float $factor, string $to): void {
    expect(asked('scale', ['by' => ['factor' => $factor]], "100 g oat flour\n$line")['recipeText'])->toContain("\n$to");
})->with([
    ['1 large egg', 0.5, '25 g beaten egg'], ['3 eggs', 0.5, '75 g beaten egg'], ['2 egg yolks', 0.5, '1 egg yolk'], ['1 egg yolk', 0.5, '8.5 g egg yolk'], ['3 egg whites', 0.5, '50 g egg whites'],
    ['2 egg whites', 1.5, '3 egg whites'], ['3 quail eggs', 0.5, '14 g quail eggs'], ['6 mussels', 0.37, '18 g mussels'], ['6 mussels', 0.5, '3 mussels'], ['1 apple, cored', 0.5, '½ apple, cored'], ['1 cup beaten egg', 0.5, '½ cup beaten egg'],
]);

it('goes to the next whole egg and says the difference', function (): void {
    $answer = asked('scale', ['by' => ['factor' => 1.4]]);
    expect($answer['wholeEggs']['factor'])
        ->toBe(2.0)
        ->and($answer['wholeEggs']['recipeText'])
        ->toContain('2 large egg')
        ->toContain('3 cups oat flour')
        ->and($answer['wholeEggs']['says'])
        ->toContain('more dough');
    expect(asked('scale', ['by' => ['factor' => 2]])['wholeEggs'])->toBeNull();
});

it('rounds no egg that is measured rather than counted', function (string $amount): void {
    expect(asked('scale', ['by' => ['factor' => 1.4]], "2 cups oat flour\n$amount egg")['wholeEggs'])->toBeNull();
})->with(['50 g', '0.1 kg', '40 ml', '1 cup', '3 tbsp', '5 tsp', '2 oz', '1 lb']);

it('scales to days for these dogs, and to a tin; it warns of leaven and depth', function (): void {
    $dogs = [dog(), dog('Ada', ['allergies' => ['egg']])];
    $more = ['dogs' => $dogs, 'cut' => ['shape' => 'round', 'diameterMm' => 15, 'thicknessMm' => 5]];
    $factor = asked('scale', $more + ['by' => ['days' => 10]])['factor'];
    $forward = answer(ROUNDS, $more);
    expect($factor * $forward['piece']['count']['best'])->toEqualWithDelta(10 * $forward['rations'][0]['piecesPerDay'], 0.01);
    $tin = asked('scale', ['by' => ['tin' => ['widthMm' => 200, 'lengthMm' => 200, 'depthMm' => 10]]]);
    expect($tin['factor'])->toEqualWithDelta(400 * answer(ROUNDS)['batch']['doughGrams']['best'] ** -1 * 1.10, 0.001);
    expect(
        implode(
            ' ',
            asked('scale', ['by' => ['factor' => 3], 'cut' => ['shape' => 'slices', 'count' => 8]], ROUNDS."\n1 tsp baking powder")['warnings']
        )
    )
        ->toContain('Leaven')
        ->toContain('deep');
});

it('refuses to scale by nothing, by two things or out of all measure', function (array $by, string $path): void {
    expect(refusalOf('scale', ['by' => (object) $by, 'dogs' => [dog('Ada', ['allergies' => ['egg']])]])->path)->toBe($path);
})->with([
    [[], '/by'],
    [['factor' => 2, 'pieces' => 3], '/by'],
    [['factor' => 0], '/by/factor'],
    [['days' => 3], '/by/days'],
    [['atHand' => ['line' => 9, 'grams' => 5]], '/by/atHand/line'],
    [['pieces' => 90000], '/by/pieces'],
    [['tin' => ['depthMm' => 10]], '/by/tin/widthMm'],
]);

it('keeps a number and its food in agreement', function (string $line, float $factor, string $to): void {
    $answer = asked('scale', ['by' => ['factor' => $factor]], "200 g oat flour\n$line\n100 g water");
    expect($answer['recipeText'])->toContain($to);
})->with([
    ['2 eggs', 0.5, "\n1 egg\n"],
    ['2 large eggs, beaten', 0.5, '1 large egg, beaten'],
    ['1 egg', 2.0, '2 eggs'],
    ['1 ripe banana, mashed', 2.0, '2 ripe bananas, mashed'],
    ['2 ripe bananas, mashed', 0.5, '1 ripe banana, mashed'],
    ['1 egg yolk', 2.0, '2 egg yolks'],
    ['1 avocado', 3.0, '3 avocados'],
    ['1 tomato', 2.0, '2 tomatoes'],
    ['1 sweet potato, cooked', 2.0, '2 sweet potatoes, cooked'],
    ['1 lb minced beef', 2.0, ' minced beef'],
    ['1 pinch salt', 3.0, '3 pinches salt'],
    ['2 pinches salt', 0.5, '1 pinch salt'],
    ['1 bunch of parsley', 3.0, '3 bunches of parsley'],
    ['1 slice of bread', 2.0, '2 slices of bread'],
    ['1 clove garlic', 3.0, '3 cloves garlic'],
    ['2 cloves of garlic', 0.5, '1 clove of garlic'],
    ['1/2 tsp baking powder', 0.8, '⅜ tsp baking powder'],
    ['1/2 tsp baking powder', 0.25, '⅛ tsp baking powder'],
    ['1 large egg', 3.0, '3 large eggs'],
    ['2 medium carrots, grated', 0.5, '1 medium carrot, grated'],
    ['1 medium carrot, grated', 2.0, '2 medium carrots, grated'],
    ['1 egg', 0.5, '25 g beaten egg'],
    ['3 eggs', 0.5, '75 g beaten egg'],
]);

it('makes the pieces that were asked for, or says what it makes', function (float $pieces): void {
    $cut = ['shape' => 'round', 'diameterMm' => 30, 'thicknessMm' => 6];
    $text = "2 cups oat flour\n1 large egg\n1/3 cup water\n1 tbsp rapeseed oil";
    $answer = asked('scale', ['by' => ['pieces' => $pieces], 'cut' => $cut], $text);
    $count = floor(answer($answer['recipeText'], ['cut' => $cut])['piece']['count']['best'] + 1e-6);
    expect($count === $pieces || str_contains(implode(' ', $answer['warnings']), 'It makes about '.(int) round($count).' pieces') || str_contains(implode(' ', $answer['warnings']), 'pieces, not'))->toBeTrue("$count for $pieces");
    expect($count)->toBeGreaterThanOrEqual(0.95 * $pieces)->toBeLessThanOrEqual(1.05 * $pieces);
})->with([24.0, 60.0, 100.0, 120.0, 33.0]);

it('leaves a leavened batter room to rise, and speaks of the tin that was given', function (): void {
    $tin = static fn (string $more): array => asked('scale', ['by' => ['tin' => ['diameterMm' => 200, 'depthMm' => 50]], 'cut' => ['shape' => 'slices', 'count' => 8], 'bake' => ['texture' => 'cake']], "200 g plain flour\n300 g mashed banana\n2 eggs$more");
    $ml = M_PI / 4 * 20 ** 2 * 5;
    [$flat, $risen] = [$tin(''), $tin("\n2 tsp baking powder")];
    $volume = static fn (array $answer): float => answer($answer['recipeText'])['batch']['doughGrams']['best'] / 1.05;
    expect($volume($flat))->toEqualWithDelta($ml, 0.08 * $ml)
        ->and($volume($risen))->toEqualWithDelta(0.7 * $ml, 0.08 * $ml)
        ->and(implode(' ', $risen['warnings']))->toContain('Fills your tin to about 70 %')->not->toContain('times the area');
});
