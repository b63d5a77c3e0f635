<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Presenter;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

it('answers in the published shape', function (string $text, array $more): void {
    expect(schemaErrors(answer($text, $more), 'formulate-answer'))->toBe('');
})->with([
    'nothing but text' => ['1 cup oat flour', []],
    'no lines' => ['For the dough:', []],
    'unknown' => ['3 flurbl', []],
    'all at once' => [implode("\n", someLines()), ['dogs' => someDogs(), 'explain' => true]],
    'no energy' => ['1 cup water', ['dogs' => [dog()]]],
    'zero' => ['0 g oat flour', ['dogs' => [dog()]]],
    'steps' => ["1 egg\n2 cups oat or rice flour, leave out if wet", ['recipe' => ['steps' => 'Dust with cocoa.']]],
    'pregnant' => ['1 cup oat flour', ['dogs' => [dog('Rex', ['conditions' => ['pregnant']])]]],
]);

it('accepts the request of the contract', function (): void {
    $request = [
        'version' => 1,
        'recipe' => ['title' => 'Harbour rounds', 'text' => "For the dough:\n1 1/2 cups oat flour\n1 large egg", 'steps' => 'Mix.'],
        'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6],
        'bake' => ['texture' => 'biscuit'],
        'dogs' => [
            [
                'name' => 'Quill',
                'weightKg' => 12.5,
                'ageMonths' => 146,
                'sex' => 'female',
                'neutered' => true,
                'bodyCondition' => 5,
                'activity' => 'normal',
                'breed' => 'whippet',
                'expectedAdultWeightKg' => null,
                'stage' => null,
                'teeth' => 'few',
                'allergies' => ['chicken'],
                'allowList' => null,
                'conditions' => ['heart'],
                'medicines' => [],
                'foodKcalPer100g' => 360,
                'alreadyToday' => ['kcal' => 12, 'sodiumMg' => 20],
                'newIngredients' => [],
                'dislikes' => [],
            ],
        ],
        'policy' => [
            'energySchool' => 'clinic',
            'calorieConvention' => '4-9-4',
            'garlic' => 'avoid',
            'units' => 'us',
            'pseudoGrains' => 'not-grain',
            'budgetPercent' => null,
        ],
        'labels' => [['name' => 'smooth nut butter', 'ingredients' => 'roasted peanuts, salt 0.8%']],
        'confirmed' => [['code' => 'check-label', 'line' => '1 cup broth', 'dog' => null]],
        'measured' => ['count' => null, 'bakedGrams' => null, 'wasteGrams' => null],
        'today' => '2026-05-14',
    ];

    expect(schemaErrors($request, 'formulate-request'))
        ->toBe('')
        ->and(answerTo($request)['rations'][0]['dog'])
        ->toBe('Quill');
});

it('refuses with code and place', function (string $json, string $code, string $path): void {
    try {
        Asking::question($json);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused)
        ->not->toBeNull()
        ->and($refused?->errorCode)
        ->toBe($code)
        ->and($refused?->path)
        ->toBe($path)
        ->and($refused?->getMessage())
        ->not->toBe('')
        ->and(schemaErrors($refused === null ? null : Presenter::refusal($refused), 'error'))
        ->toBe('');
})->with(function () {
    $with = static fn (string $more): string => '{"version":1,"recipe":{"text":"1 egg"},'.$more.'}';
    yield from [
        ['{', 'invalid-json', ''],
        ['', 'invalid-json', ''],
        ['[]', 'wrong-type', ''],
        ['{"version":2,"recipe":{"text":"1 egg"}}', 'unsupported-version', '/version'],
        ['{"recipe":{"text":"1 egg"}}', 'missing', '/version'],
        ['{"version":1}', 'missing', '/recipe'],
        ['{"version":1,"recipe":{}}', 'missing', '/recipe/text'],
        ['{"version":1,"recipe":{"text":""}}', 'out-of-range', '/recipe/text'],
        ['{"version":1,"recipe":{"text":7}}', 'wrong-type', '/recipe/text'],
        [$with('"dogz":[]'), 'unknown-key', '/dogz'],
        [$with('"dogs":[{"name":"A","weight":3}]'), 'unknown-key', '/dogs/0/weight'],
        [$with('"dogs":[{"name":"A","weightKg":0}]'), 'out-of-range', '/dogs/0/weightKg'],
        [$with('"dogs":[{"name":"A","weightKg":121}]'), 'out-of-range', '/dogs/0/weightKg'],
        [$with('"dogs":[{"name":"A","ageMonths":-1}]'), 'out-of-range', '/dogs/0/ageMonths'],
        [$with('"dogs":[{"name":"A"},{"name":"A"}]'), 'out-of-range', '/dogs/1/name'],
        [$with('"dogs":[{"weightKg":3}]'), 'missing', '/dogs/0/name'],
        [$with('"dogs":[{"name":"A","conditions":["sad"]}]'), 'out-of-range', '/dogs/0/conditions/0'],
        [$with('"dogs":[{"name":"A","allergies":["flurbl"]}]'), 'out-of-range', '/dogs/0/allergies/0'],
        [$with('"cut":{"shape":"round","diameterMm":0,"thicknessMm":6}'), 'out-of-range', '/cut/diameterMm'],
        [$with('"cut":{"shape":"round","diameterMm":20}'), 'missing', '/cut/thicknessMm'],
        [$with('"cut":{"shape":"blob"}'), 'out-of-range', '/cut/shape'],
        [$with('"cut":{"shape":"ball","diameterMm":20,"ml":3}'), 'unknown-key', '/cut/ml'],
        [$with('"bake":{"texture":"raw"}'), 'out-of-range', '/bake/texture'],
        [$with('"policy":{"garlic":"lots"}'), 'out-of-range', '/policy/garlic'],
        [$with('"policy":{"budgetPercent":11}'), 'out-of-range', '/policy/budgetPercent'],
        [$with('"today":"14 May"'), 'out-of-range', '/today'],
        [$with('"dogs":{}'), 'wrong-type', '/dogs'],
        [$with('"dogs":['.implode(',', array_map(static fn (int $n): string => '{"name":"D'.$n.'"}', range(1, 51))).']'), 'too-long', '/dogs'],
        ['{"version":1,"recipe":{"text":"'.str_repeat('x', 20001).'"}}', 'too-long', '/recipe/text'],
        ['{"version":1,"recipe":{"text":"'.str_repeat('1 egg\n', 201).'"}}', 'too-long', '/recipe/text'],
    ];
});

/** @return list<string> findings that no further line may remove */
function lasting(array $answer): array
{
    return array_values(
        array_filter(
            found($answer),
            static fn (string $finding): bool => preg_match('/^(never|unknown|allergen|ask-vet|check-label):/', $finding) === 1
        )
    );
}

it('keeps every finding when a line is added', function (int $seed): void {
    mt_srand($seed);
    $lines = someLines();
    shuffle($lines);
    $few = array_slice($lines, 0, 6);
    $before = lasting(answer(implode("\n", $few), ['dogs' => someDogs()]));
    $after = lasting(answer(implode("\n", [...$few, $lines[7], $lines[8]]), ['dogs' => someDogs()]));

    expect(array_diff($before, $after))->toBe([]);
})->with(range(1, 40));

it('changes nothing but order when lines or dogs change places', function (int $seed): void {
    mt_srand($seed);
    $lines = array_slice(someLines(), 0, 12);
    $dogs = someDogs();
    $one = answer(implode("\n", $lines), ['dogs' => $dogs]);
    shuffle($lines);
    shuffle($dogs);
    $two = answer(implode("\n", $lines), ['dogs' => $dogs]);

    $sorted = static function (array $answer): array {
        $lines = array_column($answer['lines'], null, 'text');
        $rations = array_column($answer['rations'], 'ifCleared', 'dog');
        ksort($lines);
        ksort($rations);

        return [array_map(static fn (array $line): array => array_column($line['findings'], 'code'), $lines), $rations];
    };
    [$linesOne, $rationsOne] = $sorted($one);
    [$linesTwo, $rationsTwo] = $sorted($two);
    foreach ($linesOne as $text => $codes) {
        sort($codes);
        sort($linesTwo[$text]);
        expect($linesTwo[$text])->toBe($codes);
    }
    expect($rationsTwo)
        ->toBe($rationsOne)
        ->and($two['batch']['kcal']['best'])
        ->toEqualWithDelta($one['batch']['kcal']['best'], 1e-6);
})->with(range(1, 20));

it('scales masses and energy with the amounts', function (float $k): void {
    $text = static fn (float $k): string => implode(
        "\n",
        array_map(static fn (array $row): string => $row[0] * $k." $row[1]", [
            [200, 'g oat flour'],
            [50, 'g egg'],
            [60, 'ml water'],
            [20, 'g honey'],
            [5, 'g cinnamon'],
            [1, 'tbsp olive oil'],
        ])
    );
    $cut = ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6];
    $one = answer($text(1), ['dogs' => someDogs(), 'cut' => $cut]);
    $more = answer($text($k), ['dogs' => someDogs(), 'cut' => $cut]);

    expect($more['batch']['doughGrams']['best'])
        ->toEqualWithDelta($k * $one['batch']['doughGrams']['best'], 1e-6 * $k * 1000)
        ->and($more['batch']['kcal']['best'])
        ->toEqualWithDelta($k * $one['batch']['kcal']['best'], 1e-6 * $k * 1000)
        ->and($more['piece']['kcal']['best'])
        ->toEqualWithDelta($one['piece']['kcal']['best'], 1e-6)
        ->and(array_column($more['rations'], 'ifCleared'))
        ->toEqual(array_column($one['rations'], 'ifCleared'))
        ->and(found($more))
        ->toEqual(found($one));
})->with([0.5, 2, 3, 10]);

it('never clears an unknown line, and never answers with infinity', function (string $text): void {
    $answer = answer($text, ['dogs' => someDogs()]);

    expect(json_encode($answer))->toBeString();
    foreach ($answer['lines'] as $line) {
        if ($line['ingredient'] === null) {
            expect($answer['verdict']['cleared'])->toBeFalse()->and($line['kcal'])->toBeNull();
        }
    }
    foreach ($answer['rations'] as $ration) {
        expect($ration['piecesPerDay'] === null || fmod($ration['piecesPerDay'] * 4, 1) === 0.0)->toBeTrue();
    }
})->with([
    '3 tbsp flurbl',
    '0 cups water',
    '1 cup water',
    '1e9 kg oat flour',
    '999999999999 cups olive oil',
    '1/0 cup oat flour',
    '0.000001 g egg',
    implode("\n", someLines()),
]);

it('holds every ration under every limit', function (int $seed): void {
    mt_srand($seed);
    $lines = someLines();
    shuffle($lines);
    foreach (answer(implode("\n", array_slice($lines, 0, 8)), ['dogs' => someDogs()])['rations'] as $ration) {
        foreach ($ration['limits'] as $limit) {
            expect($ration['ifCleared'])->toBeLessThanOrEqual($limit['piecesPerDay'] + 1e-6);
        }
        expect($ration['piecesPerDay'] === $ration['ifCleared'] || $ration['heldBy'] === 'not-cleared')->toBeTrue();
    }
})->with(range(1, 20));
