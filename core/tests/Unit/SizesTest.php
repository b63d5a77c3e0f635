<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Sizes\OpenCut;
use MildBowl\Core\Tests\Support\Asking;

const ROUNDS = "1 1/2 cups oat flour\n1 large egg\n1/2 cup homemade pumpkin puree";

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function asked(string $question, array $more, string $text = ROUNDS): array
{
    $body = json_encode($more + ['version' => 1, 'recipe' => ['text' => $text]], JSON_THROW_ON_ERROR);
    expect(schemaErrors(json_decode($body), "$question-request"))->toBe('');
    $answer = Asking::json($question, $body);
    expect(schemaErrors($answer, "$question-answer"))->toBe('');

    return $answer;
}

/** @param  array<string, mixed>  $more */
function refusalOf(string $question, array $more): RequestRefused
{
    try {
        $body = json_encode($more + ['version' => 1, 'recipe' => ['text' => ROUNDS]], JSON_THROW_ON_ERROR);
        Asking::json($question, $body);
    } catch (RequestRefused $refused) {
        return $refused;
    }
    throw new LogicException('It was answered.');
}

it('solves sizes and dough together, and forward agrees with backward', function (): void {
    mt_srand(5);
    $shapes = ['round', 'square', 'rectangle', 'bone', 'heart', 'star', 'area', 'strip', 'log', 'ball', 'scoop', 'mould', 'grid', 'pieces', 'slices'];
    $solved = $close = $binding = 0;
    for ($i = 0; $i < 1000; $i++) {
        $shape = $shapes[$i % count($shapes)];
        $dogs = $wishes = [];
        for ($n = 0; $n <= mt_rand(0, 2); $n++) {
            $dogs[] = dog("D$n", [
                'weightKg' => mt_rand(20, 600) / 10,
                'ageMonths' => mt_rand(4, 150),
                'activity' => ['inactive', 'normal', 'active'][mt_rand(0, 2)],
            ]);
            $wishes[] = ['dog' => "D$n", 'piecesPerDay' => mt_rand(1, 24) / 2];
        }
        $days = mt_rand(1, 14);
        $text =
            mt_rand(50, 400).
            " g oat flour\n".
            mt_rand(1, 3).
            " large eggs\n".
            mt_rand(20, 200).
            ' g homemade pumpkin puree'.
            (mt_rand(0, 3) === 0 ? "\n".mt_rand(5, 60).' g olive oil' : '');
        $cut = ['shape' => $shape] + (OpenCut::of(Shapes::named($shape), [])->isRolled() ? ['thicknessMm' => mt_rand(3, 12)] : []);
        $answer = Asking::json('size', (
            json_encode(
                ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => $dogs, 'wishes' => $wishes, 'days' => $days, 'cut' => $cut],
                JSON_THROW_ON_ERROR
            )
        )
        );
        if (! $answer['possible']) {
            expect($answer['why'])->not->toBe('')->and($answer['sizes'])->toBe([]);

            continue;
        }
        $scaled = preg_replace_callback(
            '/^(\d+)(?= g| large)/m',
            static fn (array $m): string => number_format((float) $m[1] * $answer['batchFactor'], 4, '.', ''),
            $text
        );
        $made = 0.0;
        foreach ($answer['sizes'] as $size) {
            $forward = answer((string) $scaled, ['dogs' => $dogs, 'cut' => $size['cut']]);
            $made += ($size['pieces'] * $forward['piece']['doughGrams']['best']) / Shapes::named($shape)->used();
            expect($forward['piece']['kcal']['best'])->toEqualWithDelta($size['kcalPerPiece'], 0.005 * $size['kcalPerPiece'], $shape.' '.$scaled);
            foreach ($forward['rations'] as $n => $ration) {
                if (! in_array($ration['dog'], $size['dogs'], true)) {
                    continue;
                }
                $wish = $wishes[$n]['piecesPerDay'];
                $solved++;
                expect($ration['piecesPerDay'])
                    ->toBeGreaterThanOrEqual($wish, "$shape $text")
                    ->and($wish * $forward['piece']['kcal']['best'])
                    ->toBeLessThanOrEqual($ration['treatBudgetKcal'] * (1 + 1e-9));
                foreach ($forward['verdict']['dogs'][$n]['findings'] as $finding) {
                    expect($finding['code'])->not->toBe('bite');
                }
                // where neither the bite nor the ruler holds it back, the budget is used
                if (in_array($shape, ['pieces', 'slices'], true)) {
                    $binding++;
                    $close += $wish * $forward['piece']['kcal']['best'] >= 0.9 * $ration['treatBudgetKcal'] ? 1 : 0;
                }
            }
        }
        if (! in_array($shape, ['pieces', 'slices'], true)) {
            expect($made)->toEqualWithDelta($answer['batchFactor'] * answer($text)['batch']['doughGrams']['best'], 0.001 * $made);
        }
    }
    expect($solved)->toBeGreaterThan(900)->and($close)->toBeGreaterThan((int) (0.9 * $binding));
});

it('says when a wish is impossible, and what would make it possible', function (array $more, string $why, ?string $remedy): void {
    $answer = asked('size', $more + ['cut' => ['shape' => 'round', 'thicknessMm' => 6], 'days' => 3]);
    expect($answer['possible'])->toBeFalse()->and($answer['why'])->toContain($why)->and($answer['batchFactor'])->toBeNull();
    if ($remedy !== null) {
        expect($answer['remedy'])->toContain($remedy);
    }
})->with([
    'too many' => [
        ['dogs' => [dog('Mite', ['weightKg' => 2])], 'wishes' => [['dog' => 'Mite', 'piecesPerDay' => 80]]],
        'smaller than can be cut',
        'a day',
    ],
    'too thick' => [
        [
            'dogs' => [dog('Mite', ['weightKg' => 4])],
            'cut' => ['shape' => 'round', 'thicknessMm' => 14],
            'wishes' => [['dog' => 'Mite', 'piecesPerDay' => 1]],
        ],
        'swallow whole',
        '10 mm',
    ],
    'not cleared' => [
        ['dogs' => [dog('Ada', ['allergies' => ['egg']])], 'wishes' => [['dog' => 'Ada', 'piecesPerDay' => 1]]],
        'not cleared',
        'rescue',
    ],
    'no weight' => [['dogs' => [['name' => 'Ada']], 'wishes' => [['dog' => 'Ada', 'piecesPerDay' => 1]]], 'without a weight', 'Enter'],
    'too young' => [
        ['bake' => ['texture' => 'soft'], 'dogs' => [dog('Bud', ['ageMonths' => 1, 'expectedAdultWeightKg' => 20])], 'wishes' => [['dog' => 'Bud', 'piecesPerDay' => 1]]],
        'held by its age',
        null,
    ],
    'nothing to count' => [
        ['recipe' => ['text' => '1 cup water'], 'dogs' => [dog('Ada')], 'wishes' => [['dog' => 'Ada', 'piecesPerDay' => 1]]],
        'energy',
        null,
    ],
]);

it('works out what is asked for, whatever was given there, and keeps what was given beside it', function (): void {
    $found = static fn (array $cut): array => asked('size', [
        'dogs' => [dog()],
        'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 2]],
        'days' => 3,
        'cut' => $cut,
    ])['sizes'][0]['cut'] ?? [];
    foreach (
        [
            ['shape' => 'round', 'thicknessMm' => 6, 'diameterMm' => 99],
            ['shape' => 'square', 'thicknessMm' => 6, 'sideMm' => 99],
            ['shape' => 'ball', 'diameterMm' => 99],
            ['shape' => 'scoop', 'ml' => 99],
            ['shape' => 'pieces', 'count' => 3],
        ] as $cut
    ) {
        $asked = array_diff_key($cut, ['shape' => 0, 'thicknessMm' => 0]);
        expect($found($cut))->toBe($found(array_diff_key($cut, $asked)))->and($found($cut)[array_key_first($asked)])->not->toEqual(reset($asked));
    }
    // a log is as thick as it is said to be, or else its slices are
    expect($found(['shape' => 'log', 'diameterMm' => 12])['diameterMm'])
        ->toEqual(12)
        ->and($found(['shape' => 'log', 'sliceMm' => 7])['sliceMm'])
        ->toEqual(7)
        ->and($found(['shape' => 'log', 'sliceMm' => 7, 'diameterMm' => 99]))
        ->toBe($found(['shape' => 'log', 'sliceMm' => 7]));
    expect(fmod(2 * $found(['shape' => 'log', 'diameterMm' => 11])['sliceMm'], 1.0))->toEqual(0);
    $thick = asked('size', [
        'dogs' => [dog()],
        'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 2]],
        'days' => 3,
        'cut' => ['shape' => 'log', 'diameterMm' => 40],
    ]);
    expect($thick['why'])->toContain('40 mm thick')->and($thick['remedy'])->toContain('mm or thinner');
});

it('gives the sizes once the vet agrees, but not before', function (): void {
    $more = ['dogs' => [dog('Quill', ['conditions' => ['heart']])], 'wishes' => [['dog' => 'Quill', 'piecesPerDay' => 2]]];
    $answer = asked('size', $more);
    expect($answer['possible'])
        ->toBeFalse()
        ->and($answer['ifCleared']['sizes'][0]['cut']['diameterMm'])
        ->toBeGreaterThan(5.0);
    expect(asked('size', $more + ['confirmed' => [['code' => 'ask-vet', 'dog' => 'Quill']]])['possible'])->toBeTrue();
});

it('refuses wishes that cannot be meant', function (array $more, string $path): void {
    expect(refusalOf('size', $more)->path)->toBe($path);
})->with([
    [['dogs' => [dog()]], '/wishes'],
    [['dogs' => [dog()], 'wishes' => []], '/wishes'],
    [['dogs' => [dog()], 'wishes' => [['dog' => 'Nobody', 'piecesPerDay' => 1]]], '/wishes/0/dog'],
    [['dogs' => [dog()], 'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 0]]], '/wishes/0/piecesPerDay'],
    [['dogs' => [dog()], 'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 1], ['dog' => 'Rex', 'piecesPerDay' => 2]]], '/wishes/1/dog'],
    [['dogs' => [dog()], 'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 1]], 'days' => 0], '/days'],
    [['dogs' => [dog()], 'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 1]], 'cut' => ['shape' => 'round', 'sideMm' => 3]], '/cut/sideMm'],
]);

it('never makes a piece larger than asked', function (string $shape): void {
    foreach ([0.05, 0.2, 1.0, 4.0, 30.0] as $ml) {
        foreach ([10.0, 25.0, 40.0] as $bite) {
            $cut = Cut::largest(Shapes::named($shape), [], $ml, $bite);
            if ($cut !== null) {
                expect($cut->pieceMl())
                    ->toBeLessThanOrEqual($ml * (1 + 1e-9))
                    ->and($cut->largestMm())
                    ->toBeLessThanOrEqual($bite * (1 + 1e-9));
            }
        }
    }
    expect(Cut::largest(Shapes::named($shape), [], 1.5, 25.0))->not->toBeNull();
})->with(['round', 'square', 'rectangle', 'bone', 'heart', 'star', 'area', 'strip', 'log', 'ball', 'scoop', 'mould', 'grid']);

it('keeps a side that is given, and makes the other as long as goes', function (string $shape, string $given, string $found, float $step): void {
    foreach ([0.5, 1.5, 4.0, 12.0] as $ml) {
        foreach ([8.0, 12.0, 20.0] as $mm) {
            $bite = 30.0;
            $cut = Cut::largest(Shapes::named($shape), [$given => $mm], $ml, $bite);
            if ($cut === null) {
                continue;
            }
            $longer = Cut::of($shape, [$found => $cut->sizes[$found] + $step] + $cut->sizes);
            expect($cut->sizes[$given])
                ->toEqual($mm)
                ->and($cut->pieceMl())
                ->toBeLessThanOrEqual($ml * (1 + 1e-9))
                ->and($cut->largestMm())
                ->toBeLessThanOrEqual($bite)
                ->and($longer->pieceMl() > $ml || $longer->sizes[$found] > ($found === 'widthMm' ? $mm : $bite))
                ->toBeTrue("$shape, $mm mm $given, $ml ml: ".json_encode($cut->sizes));
        }
    }
    expect(Cut::largest(Shapes::named($shape), [$given => 12.0], 1.5, 30.0))->not->toBeNull();
})->with([
    ['rectangle', 'widthMm', 'lengthMm', 1.0],
    ['strip', 'widthMm', 'lengthMm', 1.0],
    ['bone', 'widthMm', 'lengthMm', 1.0],
    ['heart', 'widthMm', 'lengthMm', 1.0],
    ['star', 'widthMm', 'lengthMm', 1.0],
    ['rectangle', 'lengthMm', 'widthMm', 1.0],
    ['log', 'diameterMm', 'sliceMm', 0.5],
    ['log', 'sliceMm', 'diameterMm', 1.0],
]);

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
