<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;

it('holds an occasion to seven days even where a piece has less than a calorie', function (): void {
    $dogs = [dog('Rex', ['weightKg' => 2, 'foodKcalPer100g' => 350])];
    $cut = ['shape' => 'pieces', 'count' => 1000];
    $text = "200 g white rice flour\n50 g chicken breast\n80 g water";
    $day = answer($text, ['dogs' => $dogs, 'cut' => $cut]);
    $kcal = $day['piece']['kcal']['best'];
    expect($kcal)->toBeLessThan(1.0)->toBeGreaterThan(0.1);
    $answer = asked('occasion', ['dogs' => $dogs, 'cut' => $cut, 'occasion' => ['dog' => 'Rex', 'pieces' => 1000]], $text);
    expect($answer['possible'])->toBeFalse()->and($answer['mostPieces'] * $kcal)->toBeLessThanOrEqual(8 * $day['rations'][0]['treatBudgetKcal'] + 0.01);
});

it('lets an occasion borrow from the days after, but no dose', function (): void {
    $dogs = [dog('Rex', ['weightKg' => 20, 'foodKcalPer100g' => 350])];
    $cut = ['shape' => 'round', 'diameterMm' => 40, 'thicknessMm' => 8];
    $budget = answer(ROUNDS, ['dogs' => $dogs, 'cut' => $cut]);
    $pieces = floor((2.2 * $budget['rations'][0]['treatBudgetKcal']) / $budget['piece']['kcal']['best']);
    $answer = asked('occasion', ['dogs' => $dogs, 'cut' => $cut, 'occasion' => ['dog' => 'Rex', 'pieces' => $pieces]]);
    expect($answer['possible'])
        ->toBeTrue()
        ->and($answer['daysWithout'])
        ->toBe(2)
        ->and($answer['holdBackGrams'])
        ->toBeLessThanOrEqual((0.25 * $budget['rations'][0]['dailyKcal']['best']) / 3.5 + 0.01);
    expect(asked('occasion', ['dogs' => $dogs, 'cut' => $cut, 'occasion' => ['dog' => 'Rex', 'pieces' => 500]])['possible'])->toBeFalse();
    $most = static fn (array $already): float => asked('occasion', [
        'dogs' => [dog('Rex', ['weightKg' => 20, 'foodKcalPer100g' => 350, ...$already])],
        'cut' => $cut,
        'occasion' => ['dog' => 'Rex', 'pieces' => 0.25],
    ], "400 g white rice flour\n100 g chicken breast\n100 g water")['mostPieces'];
    // today's budget and seven days more, in whole quarters of a piece
    $lean = answer("400 g white rice flour\n100 g chicken breast\n100 g water", ['dogs' => $dogs, 'cut' => $cut]);
    $kcal = $lean['piece']['kcal']['best'];
    $all = 8 * $budget['rations'][0]['treatBudgetKcal'];
    expect($most([]))->toEqualWithDelta(floor((4 * $all) / $kcal) / 4, 0.001);
    expect($most(['alreadyToday' => ['kcal' => 30]]))->toEqualWithDelta(floor((4 * ($all - 30)) / $kcal) / 4, 0.001);
    $salty = asked('occasion', ['dogs' => $dogs, 'cut' => $cut, 'occasion' => ['dog' => 'Rex', 'pieces' => $pieces]], ROUNDS."\n1 tsp salt");
    expect($salty['possible'])->toBeFalse()->and($salty['why'])->toContain('sodium')->and($salty['mostPieces'])->toBeLessThan($pieces);
    expect(asked('occasion', ['dogs' => $dogs, 'occasion' => ['dog' => 'Rex', 'pieces' => 0.25]])['daysWithout'])->toBe(0);
});

it('shares one day among several treats and counts their doses together', function (): void {
    $treat = static fn (string $name, string $text, float $share): array => [
        'name' => $name,
        'share' => $share,
        'recipe' => ['text' => $text],
        'cut' => ['shape' => 'round', 'diameterMm' => 12, 'thicknessMm' => 5],
    ];
    $dogs = [dog('Rex', ['weightKg' => 25, 'foodKcalPer100g' => 350]), dog('Ada', ['weightKg' => 25, 'allergies' => ['egg']])];
    $body = [
        'version' => 1,
        'dogs' => $dogs,
        'from' => '2026-02-27',
        'treats' => [$treat('rounds', ROUNDS, 3), $treat('coins', "200 g oat flour\n100 g water", 1)],
    ];
    $answer = Asking::json('week', (json_encode($body, JSON_THROW_ON_ERROR)));
    expect(schemaErrors($answer, 'week-answer'))
        ->toBe('')
        ->and(schemaErrors(json_decode((string) json_encode($body)), 'week-request'))
        ->toBe('');
    [$rex, $ada] = $answer['dogs'];
    expect($rex['kcal'])
        ->toBeLessThanOrEqual($rex['budgetKcal'])
        ->and($rex['kcal'])
        ->toBeGreaterThan(0.9 * $rex['budgetKcal'])
        ->and($rex['treats'][0]['kcal'] / $rex['treats'][1]['kcal'])
        ->toEqualWithDelta(3.0, 0.3)
        ->and($rex['holdBackGrams'])
        ->toEqualWithDelta($rex['kcal'] / 3.5, 0.01)
        ->and($ada['treats'][0]['why'])
        ->toContain('not cleared')
        ->and($ada['treats'][0]['piecesPerDay'])
        ->toBe(0.0)
        ->and($ada['treats'][1]['kcal'])
        ->toBeGreaterThan(0.8 * $ada['budgetKcal']);
    $rounds = $answer['treats'][0];
    expect($rounds['daysItLasts'])
        ->toBe(floor($rounds['pieces'] / $rounds['piecesPerDay']))
        ->and($rounds['until'])
        ->toBe(date('Y-m-d', (int) strtotime('2026-02-27 +'.((int) $rounds['daysItLasts'] - 1).' days')));
    $body['treats'][1]['recipe']['text'] = "200 g oat flour\n100 g water\n4 tsp salt";
    $salty = Asking::json('week', (json_encode($body, JSON_THROW_ON_ERROR)))['dogs'][0];
    expect($salty['heldBy'])->toBe('sodium')->and($salty['kcal'])->toBeLessThan($rex['kcal']);
    expect(refusalOf('week', ['recipe' => null, 'treats' => [['name' => 'x', 'recipe' => ['text' => '']]]])->path)->toBe('/recipe');
});

it('says until when a treat lasts by the portion that runs out first', function (): void {
    $body = [
        'version' => 1,
        'dogs' => [dog('Big', ['weightKg' => 30]), dog('Small', ['weightKg' => 5])],
        'treats' => [
            [
                'name' => 'two lots',
                'recipe' => ['text' => ROUNDS],
                'cut' => ['shape' => 'round', 'diameterMm' => 15, 'thicknessMm' => 5],
                'portions' => [['name' => 'small', 'dogs' => ['Small'], 'share' => 0.02]],
            ],
        ],
    ];
    $answer = Asking::json('week', (json_encode($body, JSON_THROW_ON_ERROR)));
    $lots = answer(ROUNDS, ['dogs' => $body['dogs'], 'cut' => $body['treats'][0]['cut'], 'portions' => $body['treats'][0]['portions']])['portions'];
    expect($answer['treats'][0]['daysItLasts'])
        ->toBe(floor($lots[0]['piece']['count']['best'] / $answer['dogs'][1]['treats'][0]['piecesPerDay']))
        ->and($answer['treats'][0]['pieces'])
        ->toBe(floor($lots[0]['piece']['count']['best']) + floor($lots[1]['piece']['count']['best']));
});

it('tells pieces a day by body weight for giving away', function (): void {
    $answer = asked('give-away', ['cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6]]);
    $pieces = array_column($answer['rows'], 'piecesPerDay');
    $sorted = $pieces;
    sort($sorted);
    expect($pieces)
        ->toBe($sorted)
        ->and($answer['stops'])
        ->toBeNull()
        ->and($answer['rows'][0]['breakFirst'])
        ->toBeTrue()
        ->and($answer['rows'][10]['breakFirst'])
        ->toBeFalse();
    expect(asked('give-away', [], ROUNDS."\n1/4 cup raisins")['stops'])->not->toBeNull();
});

it('takes of a treat of the week what it takes of a recipe, confirmations too', function (): void {
    $treat = ['name' => 'x', 'share' => 1, 'recipe' => ['text' => "200 g oat flour\n1 tbsp peanut butter\n60 g water", 'steps' => '']];
    $more = [
        'cut' => ['shape' => 'pieces', 'count' => 60],
        'bake' => ['texture' => 'biscuit'],
        'labels' => [['name' => 'x', 'ingredients' => 'oats']],
        'confirmed' => [['code' => 'xylitol', 'line' => '1 tbsp peanut butter', 'dog' => null]],
        'measured' => ['count' => 60, 'bakedGrams' => 200],
        'portions' => [],
    ];
    foreach ($more as $key => $value) {
        $body = json_encode(['version' => 1, 'dogs' => [['name' => 'Rex', 'weightKg' => 10]], 'treats' => [$treat + [$key => $value]]], JSON_THROW_ON_ERROR);
        expect(Asking::json('week', ($body)))->toHaveKey('version');
    }
});
