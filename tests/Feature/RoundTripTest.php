<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;

/**
 * Every field of every kept thing set to something unusual, sent, read, changed, read. What is listed here is held against the
 * published schema below: a field that no round trip touches fails.
 *
 * @return array<string, array{schema: string, uri: string, one: array<string, mixed>, two: array<string, mixed>|null, nested?: string}>
 */
function keptThings(): array
{
    return [
        'a dog' => [
            'schema' => 'dog',
            'uri' => '/api/dogs',
            'one' => [
                'name' => "Zoë O'Hara-Ñandú <b>",
                'weightKg' => 7.35,
                'bornOn' => '2021-02-28',
                'sex' => 'male',
                'neutered' => false,
                'bodyCondition' => 3,
                'activity' => 'working-moderate',
                'breed' => 'Kai ken × whippet',
                'expectedAdultWeightKg' => 9.25,
                'stage' => 'senior',
                'teeth' => 'none',
                'eating' => 'gulps',
                'allergies' => ['storage-mite', 'oat-flour'],
                'allowList' => ['rabbit', 'parsnip'],
                'conditions' => ['megaoesophagus', 'addisons'],
                'medicines' => ['selegiline', 'bromide'],
                'newIngredients' => ['quinoa', 'dairy'],
                'dislikes' => ['fennel', 'anything green'],
                'foodKcalPer100g' => 87.5,
                'budgetPercent' => 2.75,
                'atTable' => false,
                'meals' => 7,
            ],
            'two' => [
                'name' => '黒',
                'weightKg' => 41.2,
                'bornOn' => '2019-12-31',
                'sex' => 'female',
                'neutered' => true,
                'bodyCondition' => 8,
                'activity' => 'inactive',
                'breed' => null,
                'expectedAdultWeightKg' => null,
                'stage' => null,
                'teeth' => 'few',
                'eating' => 'normal',
                'allergies' => ['gluten'],
                'allowList' => null,
                'conditions' => ['heart-advanced'],
                'medicines' => [],
                'newIngredients' => [],
                'dislikes' => [],
                'foodKcalPer100g' => null,
                'budgetPercent' => null,
                'atTable' => true,
                'meals' => null,
            ],
        ],
        'a recipe' => [
            'schema' => 'recipe',
            'uri' => '/api/recipes',
            'one' => [
                'title' => 'Tide "table" & <i>coins</i> 🐚',
                'text' => "½ cup oat flour\n1 egg — beaten",
                'steps' => "Mix.\nDust with cocoa.",
                'cut' => ['shape' => 'star', 'widthMm' => 21.5, 'lengthMm' => 33, 'thicknessMm' => 4.5],
                'texture' => 'jerky',
                'portions' => [['name' => 'for the old one', 'share' => 0.35, 'dogs' => ['0192f0c8-7d1b-7e52-9c1e-6f4c2f3b8a11'], 'bake' => ['texture' => 'soft']]],
                'parts' => [['section' => 'For the icing', 'role' => 'frosting', 'process' => 'none', 'joins' => 'after', 'keeps' => ['grams' => 12.5, 'strained' => true, 'drained' => true], 'gramsPerPiece' => 0.25, 'texture' => 'frozen']],
                'without' => [['dog' => '0192f0c8-7d1b-7e52-9c1e-6f4c2f3b8a11', 'sections' => ['For the icing']]],
                'notes' => "softer\nthan last time",
                'promoted' => true,
                'source' => 'an almanac of 1911',
                'yield' => '3 dozen',
                'prepMinutes' => 12.5,
                'bakeMinutes' => 0.5,
                'tags' => ['Thursday', 'für Biscay'],
                'favourite' => true,
                'confirmed' => [['code' => 'check-label', 'line' => '2 tbsp peanut butter', 'dog' => null]],
                'bound' => [['line' => '2 tbsp peanut butter', 'productId' => '0192f0c8-7d1b-7e52-9c1e-6f4c2f3b8a11']],
            ],
            'two' => [
                'title' => 'x',
                'text' => '200 g rice flour',
                'steps' => '',
                'cut' => null,
                'texture' => null,
                'portions' => null,
                'parts' => null,
                'without' => null,
                'notes' => '',
                'promoted' => false,
                'source' => null,
                'yield' => null,
                'prepMinutes' => null,
                'bakeMinutes' => null,
                'tags' => [],
                'favourite' => false,
                'confirmed' => [],
                'bound' => [],
            ],
        ],
        'a product' => [
            'schema' => 'product',
            'uri' => '/api/products',
            'one' => ['name' => 'Quay paste "extra"', 'number' => '00012345678905', 'ingredients' => "peanuts (97 %), salt\nmay contain milk"],
            'two' => ['name' => 'Quay paste', 'number' => null, 'ingredients' => 'peanuts, xylitol'],
        ],
        'an own word' => [
            'schema' => 'name',
            'uri' => '/api/names',
            'one' => ['words' => 'lock dust', 'ingredient' => 'sorghum-flour'],
            'two' => null,
        ],
        'an own food' => [
            'schema' => 'food',
            'uri' => '/api/foods',
            'nested' => 'food',
            'one' => [
                'name' => 'basin meal',
                'names' => ['meal of the basin'],
                'groups' => ['oat', 'legume'],
                'per100g' => [
                    'kcal' => 351.5,
                    'proteinG' => 12.25,
                    'fatG' => 3.5,
                    'carbohydrateG' => 60.5,
                    'fibreG' => 9.5,
                    'sugarsG' => 1.25,
                    'sodiumMg' => 33,
                    'calciumMg' => 51.5,
                    'phosphorusMg' => 402,
                    'potassiumMg' => 377.25,
                    'copperMg' => 0.43,
                    'vitaminAUg' => 2.5,
                    'vitaminDUg' => 0.75,
                    'magnesiumMg' => 141,
                    'zincMg' => 3.05,
                    'ironMg' => 4.15,
                ],
                'gramsPerCup' => 111.5,
                'gramsEach' => 7.25,
                'ingredients' => 'oats, peas',
            ],
            'two' => [
                'name' => 'basin meal II',
                'names' => [],
                'groups' => ['dairy'],
                'per100g' => ['kcal' => 12, 'proteinG' => 1, 'fatG' => 0.5, 'carbohydrateG' => 1, 'fibreG' => 0, 'sugarsG' => 0, 'sodiumMg' => 0],
                'gramsPerCup' => 240,
                'gramsEach' => 1,
                'ingredients' => 'milk',
            ],
        ],
        'an own swap' => [
            'schema' => 'swap',
            'uri' => '/api/own-swaps',
            'nested' => 'swap',
            'one' => ['out' => 'raisin', 'in' => 'pear', 'ratio' => 1.35, 'rating' => 'bad', 'note' => 'too wet in May'],
            'two' => null,
        ],
        'a price' => [
            'schema' => 'price',
            'uri' => '/api/prices',
            'nested' => 'price',
            'one' => ['ingredient' => 'oat-flour', 'grams' => 1250.5, 'price' => 3.45],
            'two' => null,
        ],
    ];
}

/** What the server itself makes; each has a test of its own below. */
const WORKED_OUT = [
    'dog' => ['id', 'version', 'ageMonths', 'weightSaid'],
    'recipe' => ['id', 'version', 'updatedAt', 'judged', 'parentId', 'photoId'],
    'product' => ['id', 'version', 'readOn', 'worst', 'dataVersion', 'readings', 'difference'],
    'name' => ['id', 'version'],
    'food' => ['id', 'version', 'ingredient'],
    'swap' => ['id', 'version'],
    'price' => ['id', 'version'],
    'confirmation' => ['id', 'version', 'dataVersion', 'saidAt', 'takenBackAt', 'known'],
    'weighing' => ['id', 'version', 'dogId', 'ageMonths'],
    'kitchen' => ['version'],
];

/** @return array<string, mixed> */
function published(string $definition): array
{
    $schemas = base_path('schemas');
    $kitchen = json_decode((string) file_get_contents("$schemas/kitchen.json"), true, 512, JSON_THROW_ON_ERROR);

    return $kitchen['$defs'][$definition]['properties'];
}

it('keeps every field as it was sent, and as it was changed', function (string $uri, array $one, ?array $two, ?string $nested): void {
    $fields = static fn (array $kept): array => $nested === null ? $kept : $kept[$nested];
    $same = function (array $sent, array $kept): void {
        foreach ($sent as $key => $value) {
            expect($kept[$key] ?? null)->toEqual($value, "$key came back changed");
        }
    };
    $id = $this->postJson($uri, $one)->assertCreated()->json('id');
    $read = fn (): array => $fields(collect($this->getJson($uri)->assertOk()->json())->firstWhere('id', $id));
    $same($one, $read());
    if ($two !== null) {
        $method = $uri === '/api/foods' ? 'putJson' : 'patchJson';
        $this->{$method}("$uri/$id", $two)->assertOk();
        $same($two, $read());
        // one field at a time: nothing else moves
        foreach ($uri === '/api/foods' ? [] : $one as $key => $value) {
            $before = $read();
            $this->patchJson("$uri/$id", [$key => $value])->assertOk();
            $same([$key => $value] + array_intersect_key($before, $two), $read());
        }
    } else {
        // what is told again takes the place of what was told
        $this->postJson($uri, $one)->assertCreated();
        expect(
            collect($this->getJson($uri)->json())->filter(
                static fn (array $row): bool => $fields($row)[array_key_first($one)] === $one[array_key_first($one)]
            )
        )->toHaveCount(1);
    }
    $this->deleteJson("$uri/$id")->assertNoContent();
    expect(collect($this->getJson($uri)->json())->firstWhere('id', $id))->toBeNull();
})->with(
    fn (): array => array_map(static fn (array $thing): array => [$thing['uri'], $thing['one'], $thing['two'], $thing['nested'] ?? null], keptThings())
);

it('shows one thing as the list and the whole kitchen show it', function (): void {
    $dog = $this->postJson('/api/dogs', keptThings()['a dog']['one'])
        ->assertCreated()
        ->json();
    $recipe = $this->postJson('/api/recipes', keptThings()['a recipe']['one'])
        ->assertCreated()
        ->json();
    $product = $this->postJson('/api/products', keptThings()['a product']['one'])
        ->assertCreated()
        ->json();
    $food = $this->postJson('/api/foods', keptThings()['an own food']['one'])
        ->assertCreated()
        ->json();
    $name = $this->postJson('/api/names', keptThings()['an own word']['one'])
        ->assertCreated()
        ->json();
    $swap = $this->postJson('/api/own-swaps', keptThings()['an own swap']['one'])
        ->assertCreated()
        ->json();
    $price = $this->postJson('/api/prices', keptThings()['a price']['one'])
        ->assertCreated()
        ->json();
    // what was kept since may change what was said of the recipe
    $recipe = $this->getJson("/api/recipes/{$recipe['id']}")->json();
    $kitchen = $this->getJson('/api/kitchen')->assertOk()->json();
    foreach (
        ['dogs' => $dog, 'products' => $product, 'foods' => $food, 'names' => $name, 'swaps' => $swap, 'prices' => $price] as $list => $one
    ) {
        expect(collect($kitchen[$list])->firstWhere('id', $one['id']))->toEqual($one);
    }
    foreach (['dogs' => $dog, 'products' => $product] as $list => $one) {
        expect(
            $this->getJson("/api/$list/{$one['id']}")
                ->assertOk()
                ->json()
        )->toEqual($one);
    }
});

it('touches every published field', function (): void {
    foreach (keptThings() as $thing) {
        $published = published($thing['schema']);
        $nested = $thing['nested'] ?? null;
        $touched = [...array_keys($nested === null ? $thing['one'] : [$nested => 1]), ...WORKED_OUT[$thing['schema']]];
        expect(array_values(array_diff(array_keys($published), $touched)))->toBe([], "{$thing['schema']} has fields no round trip touches");
        if ($nested !== null) {
            [$file, $path] = explode('#/', $published[$nested]['$ref']);
            $schema = json_decode((string) file_get_contents(base_path("schemas/$file")), true, 512, JSON_THROW_ON_ERROR);
            foreach (explode('/', $path) as $key) {
                $schema = $schema[$key];
            }
            expect(array_values(array_diff(array_keys($schema['properties']), array_keys($thing['one']))))->toBe([]);
            foreach ($schema['properties'] as $key => $inner) {
                expect(
                    array_values(
                        array_diff(array_keys($inner['properties'] ?? []), array_keys(is_array($thing['one'][$key]) ? $thing['one'][$key] : []))
                    )
                )->toBe([]);
            }
        }
    }
    // and those that are tried by tests of their own
    expect(array_keys(published('kitchen')))
        ->toEqualCanonicalizing(['name', 'baker', 'policy', 'amountsAs', 'weightsAs', 'sizesAs', 'datesAs', 'temperature', 'tray', 'ovenFan', 'timezone', ...WORKED_OUT['kitchen']])
        ->and(array_keys(published('confirmation')))
        ->toEqualCanonicalizing(['code', 'level', 'line', 'dog', 'dogId', 'recipeTitle', 'words', 'saidBy', 'productId', 'holdsUntil', ...WORKED_OUT['confirmation']])
        ->and(array_keys(published('weighing')))
        ->toEqualCanonicalizing(['on', 'kg', ...WORKED_OUT['weighing']]);
});

it('keeps every house rule as it was sent, one by one', function (): void {
    $sent = [
        'name' => 'The lower lock',
        'baker' => 'Ada',
        'weightsAs' => 'lb',
        'sizesAs' => 'in',
        'datesAs' => 'mdy',
        'energySchool' => 'nrc',
        'calorieConvention' => 'modified',
        'garlic' => 'measured',
        'units' => 'australian',
        'pseudoGrains' => 'grain',
        'budgetPercent' => 3.25,
        'amountsAs' => 'cups',
        'temperature' => 'F',
        'trayWidthMm' => 222.5,
        'trayLengthMm' => 333.5,
        'trayGapMm' => 4.5,
        'traysAtOnce' => 3,
        'timezone' => 'Pacific/Auckland',
        'ovenFan' => true,
    ];
    $flat = function (): array {
        $kitchen = $this->getJson('/api/kitchen')->assertOk()->json('kitchen');

        return $kitchen +
            $kitchen['policy'] + [
                'trayWidthMm' => $kitchen['tray']['widthMm'],
                'trayLengthMm' => $kitchen['tray']['lengthMm'],
                'trayGapMm' => $kitchen['tray']['gapMm'],
                'traysAtOnce' => $kitchen['tray']['atOnce'],
            ];
    };
    foreach ($sent as $key => $value) {
        $before = $flat->call($this);
        expect($before[$key])->not->toEqual($value);
        $this->patchJson('/api/kitchen', [$key => $value])->assertOk();
        $after = $flat->call($this);
        expect($after['version'])->toBe($before['version'] + 1);
        unset($before['policy'], $before['tray'], $before['version'], $after['policy'], $after['tray'], $after['version']);
        expect($after)->toEqual([$key => $value] + $before);
    }
    $this->patchJson('/api/kitchen', ['budgetPercent' => null])
        ->assertOk()
        ->assertJsonPath('policy.budgetPercent', null);
});

it('keeps what a person confirmed, with the words that were shown, and never deletes it', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $quill = $this->postJson('/api/dogs', ['name' => 'Quillon'])->assertCreated()->json();
    $said = [
        'code' => 'nut-butter',
        'level' => 'check-label',
        'line' => '2 tbsp peanut butter',
        'dog' => 'Quill',
        'dogId' => $quill['id'],
        'recipeTitle' => 'Coins',
        'words' => 'Read the label: nuts and nothing sweet.',
        'saidBy' => 'the grandson',
    ];
    $kept = $this->postJson('/api/confirmations', $said)->assertCreated()->json();
    expect(array_intersect_key($kept, $said))
        ->toEqual($said)
        ->and($kept['saidAt'])
        ->toStartWith('2026-05-14T09:30:00')
        ->and($kept['takenBackAt'])
        ->toBeNull()
        ->and($kept['dataVersion'])
        ->toBe($this->getJson('/api/choices')->json('dataVersion'));
    $bare = $this->postJson('/api/confirmations', ['code' => 'ask-vet', 'level' => 'ask-vet', 'words' => 'Ask your vet.'])
        ->assertCreated()
        ->json();
    expect([$bare['line'], $bare['dog'], $bare['recipeTitle'], $bare['saidBy']])->toBe([null, null, null, 'Ines Marlow']);
    $this->travel(2)->hours();
    $this->deleteJson("/api/confirmations/{$kept['id']}")
        ->assertOk()
        ->assertJsonPath('takenBackAt', fn (string $at): bool => str_starts_with($at, '2026-05-14T11:30:00'));
    $this->travel(1)->hours();
    $this->deleteJson("/api/confirmations/{$kept['id']}")
        ->assertOk()
        ->assertJsonPath('takenBackAt', fn (string $at): bool => str_starts_with($at, '2026-05-14T11:30:00'));
    expect(
        collect($this->getJson('/api/confirmations')->json())
            ->pluck('id')
            ->all()
    )->toContain($kept['id'], $bare['id']);
    $newest = $this->postJson('/api/confirmations', ['code' => 'broth', 'level' => 'check-label', 'words' => 'x'])->json('id');
    expect($this->getJson('/api/confirmations')->json('0.id'))->toBe($newest);
});

it('keeps weighings by day, and the latest is what the dog weighs', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $id = $this->postJson('/api/dogs', ['name' => 'Fig', 'weightKg' => 8.2, 'bornOn' => '2025-11-14'])->json('id');
    $days = fn (): array => collect(
        $this->getJson("/api/dogs/$id/weighings")
            ->assertOk()
            ->json()
    )
        ->mapWithKeys(static fn (array $one): array => [$one['on'] => [$one['kg'], $one['ageMonths']]])
        ->all();
    expect($days())->toEqual(['2026-05-14' => [8.2, 5.95]]);
    $this->postJson("/api/dogs/$id/weighings", ['on' => '2026-03-01', 'kg' => 5.25])
        ->assertCreated()
        ->assertJsonPath('kg', 5.25)
        ->assertJsonPath('on', '2026-03-01');
    expect($this->getJson("/api/dogs/$id")->json('weightKg'))
        ->toEqual(8.2)
        ->and($days())
        ->toEqual(['2026-03-01' => [5.25, 3.52], '2026-05-14' => [8.2, 5.95]]);
    $this->patchJson("/api/dogs/$id", ['weight' => '18 to 20 lb'])
        ->assertOk()
        ->assertJsonPath('weightSaid', '18 to 20 lb');
    $this->postJson("/api/dogs/$id/weighings", ['on' => '2026-05-14', 'kg' => 8.9])->assertCreated();
    $dog = $this->getJson("/api/dogs/$id")->json();
    expect($dog['weightKg'])
        ->toEqual(8.9)
        ->and($dog['weightSaid'])
        ->toBeNull()
        ->and($days()['2026-05-14'][0])
        ->toEqual(8.9)
        ->and($days())
        ->toHaveCount(2);
    // changed in the profile: weighed today; another field: not
    $this->travel(1)->days();
    $this->patchJson("/api/dogs/$id", ['teeth' => 'few'])->assertOk();
    expect($days())->toHaveCount(2);
    $this->patchJson("/api/dogs/$id", ['weightKg' => 9.1])->assertOk();
    expect($days())->toHaveCount(3);
    $weighing = collect($this->getJson("/api/dogs/$id/weighings")->json())->firstWhere('on', '2026-03-01')['id'];
    $other = $this->postJson('/api/dogs', ['name' => 'Plum'])->json('id');
    expect($this->getJson("/api/dogs/$other/weighings")->json())->toBe([]);
    $this->deleteJson("/api/dogs/$other/weighings/$weighing")->assertNotFound();
    $this->deleteJson("/api/dogs/$id/weighings/$weighing")->assertNoContent();
    expect($days())->toHaveCount(2);
    foreach (
        [
            ['on' => '2999-01-01', 'kg' => 5],
            ['on' => 'soon', 'kg' => 5],
            ['on' => '2026-05-14', 'kg' => 0.2],
            ['on' => '2026-05-14', 'kg' => 121],
            ['kg' => 5],
            ['on' => '2026-05-14'],
        ] as $wrong
    ) {
        $this->postJson("/api/dogs/$id/weighings", $wrong)->assertStatus(422);
    }
});

it('takes a weight as it is said, and the low end of a range', function (mixed $said, ?float $kg, ?string $kept): void {
    $dog = $this->postJson('/api/dogs', ['name' => 'Fig', 'weight' => $said])
        ->assertCreated()
        ->json();
    expect($dog['weightKg'])->toEqual($kg)->and($dog['weightSaid'])->toBe($kept);
    // a plain number sets aside what was said
    $this->patchJson("/api/dogs/{$dog['id']}", ['weightKg' => 6])
        ->assertOk()
        ->assertJsonPath('weightSaid', null)
        ->assertJsonPath('weightKg', fn (float|int $kg): bool => (float) $kg === 6.0);
})->with([
    ['17', 17.0, null],
    ['17,5', 17.5, null],
    ['7.35 kg', 7.35, null],
    ['9 KG', 9.0, null],
    ['about 9 kg', 9.0, 'about 9 kg'],
    ['38 lb', 17.24, '38 lb'],
    ['50 to 60 lb', 22.68, '50 to 60 lb'],
    [' 20-25 kg ', 20.0, '20-25 kg'],
    [null, null, null],
]);

it('refuses a weight that no dog has, however it is said', function (string $said): void {
    $this->postJson('/api/dogs', ['name' => 'Fig', 'weight' => $said])
        ->assertStatus(422)
        ->assertJsonPath('path', '/weight');
})->with(['heavy', '0.2', '121', '100 to 130 kg', '0.1 to 5 kg', '300 lb', '5 to 280 lb']);

it('takes an age in months for a birth date, and a birth date before an age', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $dog = $this->postJson('/api/dogs', ['name' => 'Fig', 'ageMonths' => 12])
        ->assertCreated()
        ->json();
    expect($dog['bornOn'])->toBe('2025-05-14')->and($dog['ageMonths'])->toEqualWithDelta(12, 0.02);
    $both = $this->postJson('/api/dogs', ['name' => 'Plum', 'ageMonths' => 12, 'bornOn' => '2024-05-14'])
        ->assertCreated()
        ->json();
    expect($both['bornOn'])->toBe('2024-05-14');
    $this->patchJson("/api/dogs/{$dog['id']}", ['ageMonths' => null])
        ->assertOk()
        ->assertJsonPath('bornOn', null)
        ->assertJsonPath('ageMonths', null);
    $this->postJson('/api/dogs', ['name' => 'Old', 'bornOn' => '1990-01-01'])->assertStatus(422);
    $this->postJson('/api/dogs', ['name' => 'New', 'bornOn' => '2026-05-14'])
        ->assertCreated()
        ->assertJsonPath('ageMonths', 0);
});

it('takes foods by any of their names, each once', function (): void {
    $dog = $this->postJson('/api/dogs', [
        'name' => 'Fig',
        'allergies' => ['oats', 'oat', 'nuts', 'milk'],
        'newIngredients' => ['sweet potato'],
        'allowList' => ['eggs'],
    ])
        ->assertCreated()
        ->json();
    expect($dog['allergies'])
        ->toBe(['oat', 'tree-nut', 'dairy'])
        ->and($dog['newIngredients'])
        ->toBe(['sweet-potato'])
        ->and($dog['allowList'])
        ->toBe(['egg']);
});

it('puts a new dog last, at the table, and unless told otherwise plain', function (): void {
    $dog = $this->postJson('/api/dogs', ['name' => 'Aa'])
        ->assertCreated()
        ->json();
    expect(collect($this->getJson('/api/dogs')->json())->last()['id'])
        ->toBe($dog['id'])
        ->and(
            array_intersect_key(
                $dog,
                array_flip([
                    'activity',
                    'teeth',
                    'eating',
                    'allergies',
                    'allowList',
                    'conditions',
                    'medicines',
                    'newIngredients',
                    'dislikes',
                    'atTable',
                    'neutered',
                    'weightKg',
                ])
            )
        )
        ->toEqual([
            'activity' => 'normal',
            'teeth' => 'full',
            'eating' => 'normal',
            'allergies' => [],
            'allowList' => null,
            'conditions' => [],
            'medicines' => [],
            'newIngredients' => [],
            'dislikes' => [],
            'atTable' => true,
            'neutered' => null,
            'weightKg' => null,
        ]);
});

it('judges a kept recipe for the dogs at the table, its method and texture too, and again when any of these changes', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $table = fn (string ...$names) => $this->putJson('/api/table', [
        'dogs' => collect($this->getJson('/api/dogs')->json())
            ->whereIn('name', $names)
            ->pluck('id')
            ->values()
            ->all(),
    ])->assertOk();
    $cleared = fn (array $recipe): ?bool => $this->postJson('/api/recipes', $recipe + ['title' => fake()->unique()->words(3, true)])
        ->assertCreated()
        ->json('judged.cleared');
    $table('Bosun');
    expect($cleared(['text' => '200 g oat flour']))
        ->toBeTrue()
        ->and($cleared(['text' => "200 g oat flour\n1 onion"]))
        ->toBeFalse()
        ->and($cleared(['text' => '200 g oat flour', 'steps' => 'Dust with cocoa.']))
        ->toBeFalse()
        ->and($cleared(['text' => '200 g salmon']))
        ->toBeTrue()
        ->and($cleared(['text' => '200 g salmon', 'texture' => 'frozen']))
        ->toBeFalse()
        ->and($cleared(['text' => '']))
        ->toBeNull();
    $table('Tuppence');
    expect($cleared(['text' => '200 g rye flour']))->toBeFalse();
    $table('Bosun');
    $recipe = $this->postJson('/api/recipes', ['title' => 'Loaf', 'text' => '200 g oat flour', 'steps' => 'Mix.'])->json();
    expect(array_intersect_key($recipe['judged'], ['dataVersion' => 1, 'cleared' => 1, 'on' => 1]))->toEqual([
        'dataVersion' => $this->getJson('/api/choices')->json('dataVersion'),
        'cleared' => true,
        'on' => '2026-05-14',
    ]);
    $uri = "/api/recipes/{$recipe['id']}";
    $this->travel(1)->days();
    $this->patchJson($uri, ['title' => 'The loaf'])
        ->assertOk()
        ->assertJsonPath('judged.on', '2026-05-14');
    $this->patchJson($uri, ['steps' => 'Dust with cocoa.'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', false)
        ->assertJsonPath('judged.on', '2026-05-15');
    // the text alone is sent: the method that is kept is judged with it
    $this->patchJson($uri, ['text' => '250 g oat flour'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', false);
    $this->patchJson($uri, ['steps' => 'Mix.'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', true);
    $this->patchJson($uri, ['text' => '250 g trout'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', true);
    $this->patchJson($uri, ['texture' => 'none'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', false);
    $this->patchJson($uri, ['text' => str_repeat("1 egg\n", 205)])
        ->assertOk()
        ->assertJsonPath('judged', null);
});

it('judges a label when it is read, and keeps every wording with what changed in it', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $product = $this->postJson('/api/products', ['name' => 'Quay paste', 'ingredients' => 'peanuts, salt'])
        ->assertCreated()
        ->json();
    expect([$product['worst'], $product['readOn'], $product['difference'], count($product['readings'])])->toBe(['clear', '2026-05-14', null, 1]);
    $this->travel(3)->days();
    $this->patchJson("/api/products/{$product['id']}", ['ingredients' => ' peanuts, salt '])
        ->assertOk()
        ->assertJsonPath('readOn', '2026-05-17')
        ->assertJsonCount(1, 'readings');
    $changed = $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'peanuts, xylitol'])
        ->assertOk()
        ->json();
    expect($changed['worst'])
        ->toBe('never')
        ->and($changed['readings'])
        ->toHaveCount(2)
        ->and($changed['readings'][1]['worst'])
        ->toBe('clear')
        ->and($changed['difference']['added'])
        ->toBe(['xylitol'])
        ->and($changed['difference']['gone'])
        ->toBe(['salt'])
        ->and($changed['dataVersion'])
        ->toBe($this->getJson('/api/choices')->json('dataVersion'));
    $this->patchJson("/api/products/{$product['id']}", ['number' => '123'])
        ->assertOk()
        ->assertJsonCount(2, 'readings');
    $this->patchJson("/api/products/{$product['id']}", ['number' => '12a'])->assertStatus(422);
});
