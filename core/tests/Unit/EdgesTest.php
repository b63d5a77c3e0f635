<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

/** @return array<string, mixed> a request in which every place of edges.txt stands */
function wholeRequest(string $command): array
{
    $dog = [
        'name' => 'Rex',
        'breed' => 'x',
        'weightKg' => 10,
        'expectedAdultWeightKg' => 12,
        'ageMonths' => 40,
        'bodyCondition' => 5,
        'foodKcalPer100g' => 350,
        'budgetPercent' => 9,
        'allergies' => ['beef'],
        'allowList' => ['oat'],
        'newIngredients' => ['egg'],
        'conditions' => ['anaemia'],
        'medicines' => ['bromide'],
        'alreadyToday' => ['kcal' => 1],
    ];
    $recipe = ['title' => 'x', 'text' => "200 g oat flour\n100 g water", 'steps' => 'Mix.'];

    return ['version' => 1] +
        match ($command) {
            'formulate' => [
                'recipe' => $recipe,
                'today' => '2026-05-14',
                'dogs' => [$dog],
                'labels' => [['name' => 'x', 'ingredients' => 'oats']],
                'confirmed' => [['code' => 'x', 'line' => 'x', 'dog' => 'Rex']],
                'names' => [['words' => 'lock dust', 'ingredient' => 'oat-flour']],
                'pantry' => [
                    [
                        'name' => 'quay meal',
                        'names' => ['meal of the quay'],
                        'groups' => ['oat'],
                        'gramsPerCup' => 100,
                        'gramsEach' => 10,
                        'ingredients' => 'oats',
                        'per100g' => ['kcal' => 350],
                    ],
                ],
                'measured' => ['count' => 20, 'bakedGrams' => 200, 'wasteGrams' => 1],
                'tray' => ['widthMm' => 300, 'lengthMm' => 400, 'gapMm' => 10, 'atOnce' => 2],
                'oven' => ['celsius' => 170, 'fahrenheit' => 340],
                'portions' => [['name' => 'x', 'share' => 0.5, 'dogs' => ['Rex']]],
                'prices' => [['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 3]],
                'policy' => ['budgetPercent' => 8],
                'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6],
            ],
            'size' => [
                'recipe' => $recipe,
                'dogs' => [['name' => 'Rex', 'weightKg' => 10]],
                'cut' => ['shape' => 'round'],
                'days' => 7,
                'wishes' => [['dog' => 'Rex', 'piecesPerDay' => 2]],
            ],
            'scale' => ['recipe' => $recipe, 'by' => ['factor' => 2]],
            'occasion' => ['recipe' => $recipe, 'dogs' => [['name' => 'Rex', 'weightKg' => 10]], 'occasion' => ['dog' => 'Rex', 'pieces' => 1]],
            'week' => ['dogs' => [['name' => 'Rex', 'weightKg' => 10]], 'treats' => [['name' => 'x', 'share' => 1, 'recipe' => $recipe]]],
            'rescue' => [
                'recipe' => $recipe,
                'dogs' => [['name' => 'Rex', 'weightKg' => 10]],
                'dislikes' => ['Rex' => ['fennel']],
                'atHand' => ['egg'],
                'swaps' => [['out' => 'raisin', 'in' => 'pear', 'ratio' => 1, 'note' => 'x']],
                'goals' => ['egg-free'],
            ],
            'swaps' => ['recipe' => $recipe, 'dogs' => [['name' => 'Rex', 'weightKg' => 10]], 'line' => 0, 'jobs' => ['bulk']],
            'raid' => ['dog' => ['name' => 'Rex', 'weightKg' => 10], 'food' => '1 egg', 'when' => 'now'],
            'profile' => ['dog' => ['name' => 'Rex', 'weightKg' => 10], 'meals' => 2, 'weighings' => [['ageMonths' => 3, 'kg' => 4]]],
            'label' => ['name' => 'x', 'ingredients' => 'oats'],
        };
}

/** The refusal of a request with another value at one place; null when it is answered. */
function refusedAt(string $command, string $place, mixed $value): ?RequestRefused
{
    $request = wholeRequest($command);
    $at = &$request;
    foreach (explode('/', substr($place, 1)) as $key) {
        expect(array_key_exists($key, $at))->toBeTrue("$command has nothing at $place");
        $at = &$at[$key];
    }
    $at = $value;

    return refusedWhole($command, $request);
}

/** @param  array<string, mixed>  $request */
function refusedWhole(string $command, array $request): ?RequestRefused
{
    $json = json_encode($request, JSON_THROW_ON_ERROR);
    try {
        Asking::json($command, $json);
    } catch (RequestRefused $refused) {
        return $refused;
    }

    return null;
}

/** A list as long as wanted, of what stands there, each with another name where names must differ. @return list<mixed> */
function listOf(string $command, string $place, int $count): array
{
    $request = wholeRequest($command);
    foreach (explode('/', substr($place, 1)) as $key) {
        $request = $request[$key];
    }
    $item = $request[0];

    return $count === 0
        ? []
        : array_map(
            static fn (int $n): mixed => match (true) {
                $n === 0 => $item,
                $place === '/dogs' => ['name' => "Dog $n"],
                $place === '/names' => ['words' => "lock dust $n"] + $item,
                $place === '/pantry' => ['name' => "quay meal $n"],
                $place === '/pantry/0/names' => "meal of the quay $n",
                $place === '/portions' => ['name' => "x $n"],
                // the same wish or swap twice is another matter
                default => $item,
            },
            range(0, $count - 1)
        );
}

it('takes what is at the end, and refuses what is beyond at its place', function (
    string $command,
    string $place,
    string $kind,
    string $least,
    string $most
): void {
    [$low, $high] = [(float) $least, (float) $most];
    $taken = static fn (mixed $value): bool => ($refused = refusedAt($command, $place, $value)) === null || ! str_starts_with($refused->path, $place);
    $refused = static function (mixed $value, string ...$codes) use ($command, $place): void {
        $refused = refusedAt($command, $place, $value);
        expect($refused?->path)->toBe($place)->and($refused?->errorCode)->toBeIn($codes)->and($refused?->getMessage())->not->toBe('');
    };
    if ($kind === 'text') {
        $text = static fn (int $length): string => $place === '/today'
            ? str_pad('2026-05-14', $length, '0')
            : ($length === 0
                ? ''
                : ($place === '/recipe/text'
                    ? str_pad('1 egg', $length)
                    : str_repeat('x', $length)));
        expect($taken($text((int) $high)))->toBeTrue();
        $refused($text((int) $high + 1), 'too-long');
        $low === 0.0 ? expect($taken(''))->toBeTrue() : $refused($place === '/today' ? '2026-05-1' : ' ', 'out-of-range');
        $refused(7, 'wrong-type');
    } elseif ($kind === 'list') {
        // it may be wrong in another way, such as two wishes for one dog, but not for its length
        expect(refusedAt($command, $place, listOf($command, $place, (int) $high))?->errorCode)->not->toBe('too-long');
        $refused(listOf($command, $place, (int) $high + 1), 'too-long');
        expect($low > 0 || $taken([]))->toBeTrue();
        $refused('x', 'wrong-type');
    } else {
        $step = $kind === 'whole' ? 1 : 0.01;
        expect($taken($kind === 'whole' ? (int) $high : $high))
            ->toBeTrue()
            ->and($taken($kind === 'whole' ? (int) $low : ($kind === 'over' ? $low + 0.01 : $low)))
            ->toBeTrue();
        $refused($kind === 'whole' ? (int) $high + 1 : $high * 1.01, 'out-of-range');
        $refused($kind === 'whole' ? (int) $low - 1 : ($kind === 'over' ? $low : ($low > 0 ? $low * 0.99 : -0.01)), 'out-of-range');
        $refused('x', 'wrong-type');
        $refused(true, 'wrong-type');
    }
})->with(fn (): array => Cases::cells('edges.txt'));

it('takes the lines of a text up to 200, and each size of a cut up to its end', function (): void {
    expect(refusedAt('formulate', '/recipe/text', str_repeat("1 egg\n", 200)))
        ->toBeNull()
        ->and(refusedAt('formulate', '/recipe/text', str_repeat("1 egg\n", 201))?->errorCode)
        ->toBe('too-long')
        ->and(refusedAt('formulate', '/recipe/steps', str_repeat("Mix it.\n", 200)))
        ->toBeNull()
        ->and(refusedAt('formulate', '/recipe/steps', str_repeat("Mix it.\n", 201))?->path)
        ->toBe('/recipe/steps');
    $cut = static fn (array $cut): ?string => refusedAt('formulate', '/cut', $cut)?->path;
    foreach (
        [
            ['scoop', 'ml', 5000, []],
            ['mould', 'cavityMl', 5000, ['cavities' => 3]],
            ['area', 'areaMm2', 1000000, ['thicknessMm' => 5]],
            ['log', 'sliceMm', 2000, ['diameterMm' => 9]],
            ['square', 'sideMm', 2000, ['thicknessMm' => 5]],
            ['ball', 'diameterMm', 2000, []],
        ] as [$shape, $key, $most, $more]
    ) {
        expect($cut(['shape' => $shape, $key => $most] + $more))
            ->toBeNull()
            ->and($cut(['shape' => $shape, $key => $most * 1.01] + $more))
            ->toBe("/cut/$key")
            ->and($cut(['shape' => $shape, $key => 0] + $more))
            ->toBe("/cut/$key");
    }
    foreach (
        [
            ['pieces', 'count', []],
            ['slices', 'count', []],
            ['mould', 'cavities', ['cavityMl' => 9]],
            ['grid', 'columns', ['sheetWidthMm' => 99, 'sheetLengthMm' => 99, 'depthMm' => 9, 'rows' => 2]],
            ['grid', 'rows', ['sheetWidthMm' => 99, 'sheetLengthMm' => 99, 'depthMm' => 9, 'columns' => 2]],
        ] as [$shape, $key, $more]
    ) {
        expect($cut(['shape' => $shape, $key => 10000] + $more))
            ->toBeNull()
            ->and($cut(['shape' => $shape, $key => 10001] + $more))
            ->toBe("/cut/$key")
            ->and($cut(['shape' => $shape, $key => 0] + $more))
            ->toBe("/cut/$key")
            ->and($cut(['shape' => $shape, $key => 1] + $more))
            ->toBeNull()
            ->and($cut(['shape' => $shape, $key => 2.5] + $more))
            ->toBe("/cut/$key");
    }
});

it('scales by anything up to its end', function (string $way, mixed $most, mixed $beyond, string $place): void {
    // at the end it may still be refused, for another reason and in other words
    $beyond = refusedAt('scale', '/by', [$way => $beyond]);
    expect($beyond?->path)
        ->toBe($place)
        ->and(refusedAt('scale', '/by', [$way => $most])?->getMessage())
        ->not->toBe($beyond?->getMessage());
})->with([
    ['pieces', 100000, 100001, '/by/pieces'],
    ['pieces', 1, 0, '/by/pieces'],
    ['days', 365, 366, '/by/days'],
    ['days', 1, 0, '/by/days'],
    ['tin', ['widthMm' => 2000, 'lengthMm' => 2000, 'depthMm' => 500], ['widthMm' => 2020, 'lengthMm' => 2000, 'depthMm' => 500], '/by/tin/widthMm'],
    ['tin', ['widthMm' => 2000, 'lengthMm' => 2000, 'depthMm' => 500], ['widthMm' => 2000, 'lengthMm' => 2020, 'depthMm' => 500], '/by/tin/lengthMm'],
    ['tin', ['diameterMm' => 2000, 'depthMm' => 500], ['diameterMm' => 2020, 'depthMm' => 500], '/by/tin/diameterMm'],
    ['tin', ['diameterMm' => 200, 'depthMm' => 500], ['diameterMm' => 200, 'depthMm' => 505], '/by/tin/depthMm'],
    ['atHand', ['line' => 0, 'grams' => 100000], ['line' => 0, 'grams' => 100001], '/by/atHand/grams'],
    ['atHand', ['line' => 1, 'grams' => 10], ['line' => 2, 'grams' => 10], '/by/atHand/line'],
]);

it('refuses a key nobody knows, wherever it stands', function (string $command): void {
    $places = static function (mixed $value, string $place) use (&$places): array {
        $found = [];
        foreach (is_array($value) ? $value : [] as $key => $one) {
            array_push($found, ...$places($one, "$place/$key"));
        }

        return is_array($value) && ! array_is_list($value) ? [$place, ...$found] : $found;
    };
    $request = wholeRequest($command);
    foreach ($places($request, '') as $place) {
        if ($place === '/dislikes') {
            // its keys are names of dogs
            continue;
        }
        $at = $request;
        foreach (array_filter(explode('/', $place), static fn (string $key): bool => $key !== '') as $key) {
            $at = $at[$key];
        }
        $refused = $place === '' ? refusedWhole($command, $at + ['gnarp' => 1]) : refusedAt($command, $place, $at + ['gnarp' => 1]);
        expect([$refused?->errorCode, $refused?->path])->toBe(['unknown-key', "$place/gnarp"]);
    }
})->with(['formulate', 'size', 'scale', 'occasion', 'week', 'rescue', 'swaps', 'raid', 'profile', 'label']);
