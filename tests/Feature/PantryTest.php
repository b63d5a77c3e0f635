<?php

declare(strict_types=1);

use App\Models\Price;

it('keeps one price a food, the latest', function (): void {
    $this->open('lock-cottage');
    Price::query()->get()->each->delete();
    $kept = $this->postJson('/api/prices', ['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 3.5])
        ->assertCreated()
        ->json();
    expect(schemaErrors(json_decode((string) json_encode($kept)), 'kitchen.json#/$defs/price'))->toBe('');
    $this->postJson('/api/prices', ['ingredient' => 'oat-flour', 'grams' => 500, 'price' => 2])
        ->assertCreated()
        ->assertJsonPath('id', $kept['id'])
        ->assertJsonPath('price.grams', 500);
    $this->postJson('/api/prices', ['ingredient' => 'flurbl', 'grams' => 500, 'price' => 2])
        ->assertStatus(422)
        ->assertJsonPath('path', '/ingredient');
    $this->postJson('/api/prices', ['ingredient' => 'oat-flour', 'grams' => 0, 'price' => 2])
        ->assertStatus(422)
        ->assertJsonPath('path', '/grams');
    expect($this->getJson('/api/prices')->assertOk()->json())->toHaveCount(1);
    $this->deleteJson("/api/prices/{$kept['id']}")->assertNoContent();
    expect($this->getJson('/api/kitchen')->json('prices'))->toBe([]);
});

use App\Devices\LabelShelf;
use App\Models\ProductReading;
use MildBowl\Core\Contract\Contract;

it('keeps a product with every wording and shows a changed one as a difference', function (): void {
    $product = $this->postJson('/api/products', ['name' => 'Tideway spread', 'number' => '20410000', 'ingredients' => 'Roasted peanuts, salt'])
        ->assertCreated()
        ->json();
    expect($product['worst'])->toBe('clear')->and($product['difference'])->toBeNull()->and($product['dataVersion'])->not->toBe('');

    $same = $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'Roasted peanuts, salt '])
        ->assertOk()
        ->json();
    expect($same['readings'])->toHaveCount(1);

    $changed = $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'Roasted peanuts, birch sugar'])
        ->assertOk()
        ->json();
    expect($changed['worst'])
        ->toBe('never')
        ->and($changed['readings'])
        ->toHaveCount(2)
        ->and($changed['difference'])
        ->toBe(['added' => ['birch sugar'], 'gone' => ['salt']])
        ->and(schemaErrors(json_decode((string) $this->getJson('/api/kitchen')->assertOk()->getContent()), 'kitchen.json'))
        ->toBe('');
    $this->deleteJson("/api/products/{$product['id']}")->assertNoContent();
});

it('refuses a product that is none', function (array $fields, string $code, string $path): void {
    $this->postJson('/api/products', $fields + ['name' => 'Tub', 'ingredients' => 'oats'])
        ->assertStatus(422)
        ->assertJsonPath('code', $code)
        ->assertJsonPath('path', $path);
})->with([
    [['ingredients' => ''], 'missing', '/ingredients'],
    [['ingredients' => str_repeat('x', 5001)], 'too-long', '/ingredients'],
    [['number' => 'abc'], 'out-of-range', '/number'],
    [['name' => ''], 'missing', '/name'],
    [['colour' => 1], 'unknown-key', '/colour'],
]);

it('looks products up on the stand-in shelf', function (): void {
    $found = $this->getJson('/api/label-shelf?name=peanut smooth')->assertOk()->json();
    expect($found['standIn'])->toBeTrue()->and($found['products'])->not->toBeEmpty()->and(schemaErrors($found, 'label-shelf.json'))->toBe('');
    $number = $found['products'][0]['number'];
    $this->getJson("/api/label-shelf?number=$number")
        ->assertOk()
        ->assertJsonPath('products.0.number', $number);
    $this->getJson('/api/label-shelf?number=1')->assertNotFound()->assertJsonPath('path', '/number');
});

it('ships 40 or more products, each with a number of its own, some of them traps', function (): void {
    $all = [];
    foreach (['a', 'e', 'i', 'o', 'u'] as $letter) {
        foreach (app(LabelShelf::class)->byName($letter) as $product) {
            $all[$product->number] = $product;
        }
    }
    $rows = array_slice(file(resource_path('stand-ins/label-shelf.csv')) ?: [], 1);
    expect(count($rows))
        ->toBeGreaterThanOrEqual(40)
        ->and(count(array_unique(array_map(static fn (string $row): string => strtok($row, ','), $rows))))
        ->toBe(count($rows))
        ->and($all)
        ->not->toBeEmpty();
    $worst = array_map(
        static fn (string $row): string => app(Contract::class)->answer(
            'label',
            json_encode(['version' => 1, 'ingredients' => str_getcsv($row, escape: '')[2]], JSON_THROW_ON_ERROR)
        )['worst'],
        $rows
    );
    $names = array_map(static fn (string $row): string => str_getcsv($row, escape: '')[1], $rows);
    expect(array_count_values($worst)['never'])
        ->toBeGreaterThanOrEqual(12)
        ->and(array_count_values($worst)['clear'])
        ->toBeGreaterThanOrEqual(12)
        ->and(array_values(array_filter(array_combine($names, $worst), static fn (string $one): bool => $one === 'unknown')))
        ->toBe([]);
});

it('remembers a kitchen\'s own word and refuses one that names a poison', function (): void {
    $name = $this->postJson('/api/names', ['words' => 'Flurbl', 'ingredient' => 'oat-flour'])
        ->assertCreated()
        ->json();
    expect($name['words'])->toBe('flurbl');
    $this->postJson('/api/names', ['words' => 'flurbl', 'ingredient' => 'rolled-oats'])
        ->assertCreated()
        ->assertJsonPath('id', $name['id']);
    $this->postJson('/api/names', ['words' => 'raisins', 'ingredient' => 'blueberry'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/0/words');
    $this->postJson('/api/names', ['words' => 'x', 'ingredient' => 'nothing'])->assertStatus(422);
    $this->deleteJson("/api/names/{$name['id']}")->assertNoContent();
});

it('says what core calls a food of the kitchen, which a price, a swap and a word may name', function (): void {
    $food = $this->postJson('/api/foods', ['name' => "Lock's Best Meal", 'per100g' => ['kcal' => 340]])->assertCreated()->json();
    expect($food['ingredient'])->toBe('own-lock-s-best-meal');
    $this->postJson('/api/prices', ['ingredient' => $food['ingredient'], 'grams' => 500, 'price' => 3])->assertCreated();
    $this->postJson('/api/own-swaps', ['out' => 'oat-flour', 'in' => $food['ingredient']])->assertCreated();
    $this->postJson('/api/names', ['words' => 'the good meal', 'ingredient' => $food['ingredient']])->assertCreated();
});

it('keeps a food with its label\'s figures', function (): void {
    $food = $this->postJson('/api/foods', ['name' => 'Quay crunch', 'groups' => ['wheat'], 'per100g' => ['kcal' => 400, 'proteinG' => 10]])
        ->assertCreated()
        ->json();
    expect($food['food']['per100g']['kcal'])->toEqual(400);
    $this->patchJson("/api/foods/{$food['id']}", ['name' => 'Quay crunch', 'gramsPerCup' => 90])
        ->assertOk()
        ->assertJsonPath('food.gramsPerCup', 90);
    $this->postJson('/api/foods', ['name' => 'Cocoa powder'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/name');
    $this->postJson('/api/foods', ['name' => 'X', 'per100g' => ['fatG' => 200]])
        ->assertStatus(422)
        ->assertJsonPath('path', '/per100g/fatG');
    $this->deleteJson("/api/foods/{$food['id']}")->assertNoContent();
    $this->postJson('/api/foods', ['name' => 'Quay crunch'])->assertCreated();
    $this->postJson('/api/foods', ['name' => 'Quay crunch'])->assertStatus(409);
});

it('records who said what when, and never loses it', function (): void {
    $said = $this->postJson('/api/confirmations', [
        'code' => 'broth',
        'level' => 'check-label',
        'line' => '1 cup broth',
        'words' => 'Bought broth usually holds onion and much salt.',
    ])
        ->assertCreated()
        ->json();
    expect($said['saidBy'])->toBe('Ines Marlow')->and($said['saidAt'])->not->toBe('')->and($said['takenBackAt'])->toBeNull();
    expect(
        $this->deleteJson("/api/confirmations/{$said['id']}")
            ->assertOk()
            ->json('takenBackAt')
    )->not->toBeNull();
    expect($this->getJson('/api/confirmations')->assertOk()->json('0.id'))->toBe($said['id']);
    $this->postJson('/api/confirmations', ['code' => 'grape', 'level' => 'never', 'words' => 'x'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/level');
});

it('answers what core answers, in the published shapes', function (string $path, array $body, string $schema): void {
    expect(
        schemaErrors(
            json_decode(
                (string) $this->postJson("/api/$path", $body)
                    ->assertOk()
                    ->getContent()
            ),
            $schema
        )
    )->toBe('');
})->with([
    ['read', ['version' => 1, 'content' => "# Bites\n## Ingredients\n2 cups oat flour"], 'read-answer.json'],
    ['label', ['version' => 1, 'ingredients' => 'peanuts, salt'], 'label-answer.json'],
    ['raid', ['version' => 1, 'dog' => ['name' => 'Fig', 'weightKg' => 6], 'food' => '50 g dark chocolate'], 'raid-answer.json'],
]);

it('shows every rule with its version and source, and searches the catalogue', function (): void {
    $book = $this->getJson('/api/rules')->assertOk()->json();
    expect(schemaErrors(json_decode((string) json_encode($book)), 'rule-book.json'))
        ->toBe('')
        ->and(count($book['rules']))
        ->toBeGreaterThan(150)
        ->and(array_column($book['rules'], 'id'))
        ->toBe(array_unique(array_column($book['rules'], 'id')));
    expect($this->getJson('/api/search?words=brocoli')->assertOk()->json('0.ingredient'))->toBe('broccoli');
    expect($this->getJson('/api/search')->assertOk()->json())->toBe([]);
});

it('notes which version judged a kept recipe', function (): void {
    $judged = $this->postJson('/api/recipes', [
        'title' => 'Rounds',
        'text' => "2 cups oat flour\n1/4 cup raisins",
        'source' => 'a clipping',
        'yield' => '24',
        'prepMinutes' => 15,
    ])
        ->assertCreated()
        ->json();
    expect($judged['judged']['cleared'])
        ->toBeFalse()
        ->and($judged['judged']['dataVersion'])
        ->not->toBe('')
        ->and($judged['source'])
        ->toBe('a clipping')
        ->and($judged['prepMinutes'])
        ->toEqual(15);
});

it('judges a wording anew each time it is read, and keeps no old verdict', function (): void {
    $id = $this->postJson('/api/products', ['name' => 'Old tub', 'ingredients' => 'oats, raisins'])->assertCreated()->json('id');
    ProductReading::query()
        ->where('product_id', $id)
        ->update(['worst' => 'clear', 'data_version' => 'of last year', 'read_on' => '2025-01-01']);
    $this->getJson("/api/products/$id")->assertJsonPath('worst', 'clear')->assertJsonPath('dataVersion', 'of last year');
    $product = $this->patchJson("/api/products/$id", ['ingredients' => ' oats, raisins '])->assertOk()->json();
    expect($product['worst'])
        ->toBe('never')
        ->and($product['dataVersion'])
        ->toBe($this->getJson('/api/choices')->json('dataVersion'))
        ->and($product['readOn'])
        ->toBe(now()->format('Y-m-d'))
        ->and($product['readings'])
        ->toHaveCount(1);
    // another wording stands beside it
    expect($this->patchJson("/api/products/$id", ['ingredients' => 'oats'])->json('readings'))->toHaveCount(2);
});
