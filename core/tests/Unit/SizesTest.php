<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Sizes\OpenCut;
use MildBowl\Core\Tests\Support\Asking;

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
