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
    'product' => ['id', 'version', 'readOn', 'worst', 'dataVersion', 'readings', 'difference', 'photoId'],
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
        ->toEqualCanonicalizing(['name', 'baker', 'policy', 'amountsAs', 'weightsAs', 'sizesAs', 'datesAs', 'temperature', 'tray', 'ovenFan', 'timezone', 'backupsKept', 'labelLanguages', ...WORKED_OUT['kitchen']])
        ->and(array_keys(published('confirmation')))
        ->toEqualCanonicalizing(['code', 'level', 'line', 'dog', 'dogId', 'recipeTitle', 'words', 'saidBy', 'productId', 'holdsUntil', ...WORKED_OUT['confirmation']])
        ->and(array_keys(published('weighing')))
        ->toEqualCanonicalizing(['on', 'kg', 'bodyCondition', ...WORKED_OUT['weighing']]);
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
        'backupsKept' => 9,
        'labelLanguages' => ['it', 'en'],
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
