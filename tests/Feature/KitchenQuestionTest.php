<?php

declare(strict_types=1);

use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Price;
use App\Models\Product;
use App\Models\Recipe;
use App\Support\CurrentKitchen;

beforeEach(function (): void {
    $this->open('lock-cottage');
    // a kitchen with nothing in it but its rules
    foreach ([Dog::class, Recipe::class, Product::class, OwnName::class, OwnFood::class, OwnSwap::class, Price::class] as $model) {
        $model::query()->delete();
    }
});

/** @return array<string, mixed> */
function keptRecipe(array $more = []): array
{
    return test()
        ->postJson('/api/recipes', $more + [
            'title' => 'Quay rounds',
            'text' => "2 cups oat flour\n1 egg\n2 tbsp quay butter\n1/4 cup water",
            'steps' => 'Mix it. Bake it.',
            'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6],
            'texture' => 'biscuit',
        ])
        ->assertCreated()
        ->json();
}

function keptDog(string $name, array $more = []): array
{
    return test()->postJson('/api/dogs', $more + ['name' => $name, 'weightKg' => 12, 'ageMonths' => 60, 'neutered' => true, 'bodyCondition' => 5, 'atTable' => true])->assertCreated()->json();
}

it('answers about a kept recipe as if everything had been written out', function (): void {
    $quill = keptDog('Quill', ['allergies' => ['chicken'], 'dislikes' => ['fennel']]);
    keptDog('Ferris', ['atTable' => false]);
    $this->patchJson('/api/kitchen', ['units' => 'metric', 'garlic' => 'measured', 'ovenFan' => true])->assertOk();
    $this->postJson('/api/products', ['name' => 'quay butter', 'ingredients' => 'roasted peanuts, salt'])->assertCreated();
    $this->postJson('/api/names', ['words' => 'lock dust', 'ingredient' => 'rolled-oats'])->assertCreated();
    $this->postJson('/api/prices', ['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 3])->assertCreated();
    $recipe = keptRecipe();
    $asked = $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id']]])->assertOk();
    expect(schemaErrors(json_decode((string) $asked->getContent()), 'formulate-answer.json'))->toBe('');
    $product = Product::query()->firstOrFail();
    $dog = array_filter(array_diff_key($quill, ['version' => 1, 'bornOn' => 1, 'atTable' => 1, 'meals' => 1, 'weightSaid' => 1]), static fn (mixed $one): bool => $one !== null);
    $kitchen = $this->getJson('/api/kitchen')->json('kitchen');
    $whole = $this->postJson('/api/formulate', [
        'version' => 1,
        'recipe' => ['title' => $recipe['title'], 'text' => $recipe['text'], 'steps' => $recipe['steps']],
        'cut' => $recipe['cut'],
        'bake' => ['texture' => 'biscuit'],
        'dogs' => [$dog],
        'policy' => $kitchen['policy'],
        'names' => [['words' => 'lock dust', 'ingredient' => 'rolled-oats']],
        'prices' => [['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 3]],
        'labels' => [['id' => $product->id, 'name' => 'quay butter', 'ingredients' => 'roasted peanuts, salt']],
        'tray' => $kitchen['tray'],
        'oven' => ['fan' => true],
    ])->assertOk();
    expect($asked->json())->toEqual($whole->json())->and($asked->json('rations.0.dogId'))->toBe($quill['id']);
});

it('takes what is not kept yet over what is kept', function (): void {
    keptDog('Quill');
    $recipe = keptRecipe();
    $answer = $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id'], 'text' => '1 cup raisins'], 'cut' => ['shape' => 'pieces', 'count' => 5]])->assertOk();
    expect($answer->json('lines.0.ingredient'))->toBe('raisin')->and($answer->json('piece.count.best'))->toEqual(5);
});

it('judges a kept recipe as the bench does', function (): void {
    keptDog('Quill', ['weightKg' => 2]);
    $this->postJson('/api/names', ['words' => 'harbour meal', 'ingredient' => 'oat-flour'])->assertCreated();
    // 24 pieces would be too much for so small a dog, the small rounds are not; and "harbour meal" is known here alone
    $recipe = keptRecipe(['text' => "2 cups harbour meal\n1 egg\n1/4 cup water", 'cut' => ['shape' => 'round', 'diameterMm' => 12, 'thicknessMm' => 4]]);
    $answer = $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id']]])->assertOk();
    expect($recipe['judged']['cleared'])->toBeTrue()->and($recipe['judged']['cleared'])->toBe($answer->json('verdict.cleared'));
});

it('keeps everything that was said of a dog when it is renamed', function (): void {
    $tiny = keptDog('Tiny', ['weightKg' => 3, 'conditions' => ['kidney'], 'dislikes' => ['pear']]);
    keptDog('Bosun', ['weightKg' => 30]);
    $recipe = keptRecipe([
        'text' => "2 cups oat flour\n1 egg\n1/4 cup water",
        'portions' => [['name' => 'small', 'dogs' => [$tiny['id']], 'share' => 0.2, 'cut' => ['shape' => 'round', 'diameterMm' => 8, 'thicknessMm' => 4], 'bake' => ['texture' => 'soft']]],
        'cut' => ['shape' => 'round', 'diameterMm' => 60, 'thicknessMm' => 8],
    ]);
    $ask = fn (): array => $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id']], 'confirmed' => [['code' => 'ask-vet', 'line' => null, 'dog' => $tiny['id']]], 'explain' => true])->assertOk()->json();
    $before = $ask();
    $this->patchJson("/api/dogs/{$tiny['id']}", ['name' => 'Tina'])->assertOk();
    $after = $ask();
    expect($before['rations'][0]['dog'])
        ->toBe('Tiny')
        ->and($after['rations'][0]['dog'])
        ->toBe('Tina')
        ->and($after['rations'][0]['explain']['portion'])
        ->toBe('small')
        ->and($after['rations'][0]['piecesPerDay'])
        ->toBe($before['rations'][0]['piecesPerDay'])
        ->and($after['portions'][0]['dogs'])
        ->toBe(['Tina'])
        ->and($after['portions'][0]['dogIds'])
        ->toBe([$tiny['id']])
        ->and($after['verdict']['dogs'][0]['cleared'])
        ->toBeTrue()
        ->and($before['verdict']['dogs'][0]['cleared'])
        ->toBeTrue();
});

it('lets a food of this kitchen be named wherever a food may be', function (): void {
    $food = ['name' => 'Quay crumb', 'groups' => ['wheat'], 'per100g' => ['kcal' => 400, 'proteinG' => 10, 'fatG' => 5, 'carbohydrateG' => 70], 'gramsPerCup' => 100, 'ingredients' => 'wheat flour, onion powder'];
    $this->postJson('/api/foods', $food)->assertCreated();
    $id = 'own-quay-crumb';
    $this->postJson('/api/prices', ['ingredient' => $id, 'grams' => 500, 'price' => 4])->assertCreated();
    $this->postJson('/api/names', ['words' => 'harbour crumbs', 'ingredient' => $id])->assertCreated();
    $this->postJson('/api/own-swaps', ['out' => 'breadcrumbs', 'in' => $id, 'ratio' => 1, 'note' => ''])->assertCreated();
    $this->postJson('/api/own-swaps', ['out' => $id, 'in' => 'oat-flour', 'ratio' => 0.9, 'note' => 'finer'])->assertCreated();
    keptDog('Quill', ['allergies' => [$id], 'newIngredients' => ['Quay crumb'], 'dislikes' => ['quay crumb']]);
    $answer = $this->postJson('/api/ask/formulate', ['recipe' => ['text' => "1 cup harbour crumbs\n1 egg"], 'explain' => true])->assertOk();
    $codes = array_column($answer->json('lines.0.findings'), 'code');
    expect($answer->json('lines.0.ingredient'))
        ->toBe($id)
        ->and($answer->json('lines.0.grams.best'))
        ->toEqualWithDelta(100, 1e-9)
        ->and($codes)
        ->toContain("allergy-$id")
        ->toContain('allium')
        ->and($answer->json('batch.cost.known'))
        ->toEqualWithDelta(0.8, 1e-9)
        ->and(array_column($this->postJson('/api/ask/swaps', ['recipe' => ['text' => "1 cup quay crumb\n1 egg"], 'line' => 0])->assertOk()->json('candidates'), 'swap'))
        ->toContain(['out' => $id, 'in' => 'oat-flour']);
    $raid = $this->postJson('/api/ask/raid', ['dog' => Dog::query()->firstOrFail()->id, 'food' => '100 g quay crumb'])->assertOk();
    expect($raid->json('unread'))->toBe([])->and($raid->json('never.0.message'))->toContain('On the label of Quay crumb');
    expect($this->postJson('/api/ask/label', ['ingredients' => 'oats, harbour crumbs'])->assertOk()->json('parts.1.ingredient'))->toBe($id);
});

it('knows a cup of its own food by this kitchen\'s own cup', function (): void {
    $this->postJson('/api/foods', ['name' => 'Quay meal', 'groups' => [], 'per100g' => ['kcal' => 400], 'gramsPerCup' => 125])->assertCreated();
    foreach (['us' => 'us', 'metric' => 'metric', 'imperial' => 'imperial'] as $units) {
        $this->patchJson('/api/kitchen', ['units' => $units])->assertOk();
        expect($this->postJson('/api/ask/formulate', ['recipe' => ['text' => '2 cups quay meal']])->json('lines.0.grams.best'))->toEqualWithDelta(250, 0.01, $units);
    }
});

it('names nothing of another kitchen by its id', function (): void {
    $other = Kitchen::factory()->create();
    app(CurrentKitchen::class)->open($other);
    $recipe = Recipe::factory()->create(['title' => 'Strange rounds', 'text' => '1 egg']);
    $dog = Dog::factory()->create(['name' => 'Stranger']);
    $product = Product::query()->create(['name' => 'strange tub']);
    $product->readings()->create(['ingredients' => 'xylitol', 'read_on' => '2026-05-14', 'worst' => 'never', 'data_version' => 'x']);
    $this->open('lock-cottage');
    $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe->id]])->assertNotFound();
    $this->postJson('/api/ask/formulate', ['recipe' => ['text' => '1 egg'], 'dogs' => [$dog->id]])->assertStatus(422)->assertJsonPath('path', '/dogs/0');
    $this->postJson('/api/ask/raid', ['dog' => $dog->id, 'food' => '1 egg'])->assertStatus(422);
    $bound = $this->postJson('/api/ask/formulate', ['recipe' => ['text' => "1 egg\n1 cup strange tub"], 'bound' => [['line' => '1 egg', 'product' => $product->id]]])->assertOk();
    expect((string) $bound->getContent())->not->toContain('xylitol');
    $this->postJson('/api/ask/week', ['treats' => [['recipe' => ['id' => $recipe->id]]]])->assertNotFound();
});

it('shares a week between kept recipes by their ids', function (): void {
    keptDog('Quill', ['foodKcalPer100g' => 360]);
    $one = keptRecipe(['text' => "2 cups oat flour\n1 egg\n1/4 cup water"]);
    $two = keptRecipe(['title' => 'Lock bars', 'text' => "2 cups oat flour\n1/2 cup water"]);
    $answer = $this->postJson('/api/ask/week', ['from' => '2026-05-14', 'treats' => [['recipe' => ['id' => $one['id']]], ['recipe' => ['id' => $two['id']], 'share' => 2]]])->assertOk();
    expect(array_column($answer->json('treats'), 'treat'))->toBe(['Quay rounds', 'Lock bars'])->and($answer->json('dogs.0.treats.0.piecesPerDay'))->toBeGreaterThan(0);
});

it('keeps what was said of a part with the recipe, and lets it wait where its heading is gone', function (): void {
    $dog = keptDog('Tiny');
    $text = "For the cake:\n250 g oat flour\n100 g water\nFor the frosting:\n200 g cream cheese";
    $recipe = keptRecipe(['text' => $text, 'parts' => [['section' => 'For the frosting', 'gramsPerPiece' => 1]], 'without' => [['dog' => $dog['id'], 'sections' => ['For the frosting']]]]);
    $ask = fn (array $more = []): array => $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id']] + $more, 'cut' => ['shape' => 'pieces', 'count' => 50]])->assertOk()->json();
    $answer = $ask();
    $bare = $ask(['text' => "250 g oat flour\n100 g water"]);
    expect($answer['parts'][1]['gramsPerPiece']['best'])
        ->toEqual(1)
        ->and($answer['rations'][0]['limits'])
        ->toEqual($bare['rations'][0]['limits'])
        ->and(count($bare['parts']))
        ->toBe(1);
    $this->postJson('/api/recipes', ['title' => 'x', 'text' => $text, 'parts' => [['section' => 'For the frosting', 'role' => 'soup']]])
        ->assertStatus(422)
        ->assertJsonPath('path', '/parts/0/role');
    $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id'], 'parts' => [['section' => 'For the frosting', 'keeps' => ['grams' => 900]]]]])
        ->assertStatus(422)
        ->assertJsonPath('path', '/recipe/parts/0/keeps/grams');
});

it('shows the verdict of a kept recipe as long as it is the true one', function (): void {
    keptDog('Tiny');
    $recipe = keptRecipe(['text' => "250 g oat flour\n100 g quay crumb"]);
    $shown = fn (): ?array => $this->getJson("/api/recipes/{$recipe['id']}")->json('judged');
    expect($shown()['cleared'])->toBeFalse();
    $food = $this->postJson('/api/foods', ['name' => 'Quay crumb', 'groups' => [], 'per100g' => ['kcal' => 300]])->assertCreated()->json();
    expect($shown())->toBeNull();
    $this->deleteJson("/api/foods/{$food['id']}")->assertNoContent();
    expect($shown()['cleared'])->toBeFalse();
    $this->patchJson('/api/kitchen', ['garlic' => 'measured'])->assertOk();
    expect($shown())->toBeNull();
    $this->patchJson('/api/kitchen', ['garlic' => 'avoid'])->assertOk();
    expect($shown())->not->toBeNull();
    $dog = Dog::query()->firstWhere('name', 'Tiny');
    // it stands for every dog: who sits at the table changes nothing of it
    $this->putJson('/api/table', ['dogs' => []])->assertOk();
    expect($shown())->not->toBeNull();
    $this->putJson('/api/table', ['dogs' => [$dog?->id]])->assertOk();
    $this->patchJson("/api/dogs/{$dog?->id}", ['conditions' => ['kidney']])->assertOk();
    expect($shown())->toBeNull();
    $this->patchJson("/api/recipes/{$recipe['id']}", ['text' => '250 g oat flour'])->assertOk();
    expect($shown())->not->toBeNull();
});

it('keeps the verdict of a label by this kitchen\'s own words', function (): void {
    $this->postJson('/api/names', ['words' => 'quay sweet', 'ingredient' => 'xylitol'])->assertCreated();
    expect($this->postJson('/api/products', ['name' => 'tub', 'ingredients' => 'oats, quay sweet'])->assertCreated()->json('worst'))->toBe('never');
});

it('judges a line by the newest wording of its product, and a raid too', function (): void {
    keptDog('Quill');
    $ask = static fn (): array => array_column(test()->postJson('/api/ask/formulate', ['recipe' => ['text' => "200 g oat flour\n2 tbsp quay butter"]])->assertOk()->json('lines.1.findings'), 'level');
    $id = test()->postJson('/api/products', ['name' => 'quay butter', 'ingredients' => 'roasted peanuts'])->assertCreated()->json('id');
    expect($ask())->not->toContain('never');
    $this->travel(1)->days();
    test()->patchJson("/api/products/$id", ['ingredients' => 'roasted peanuts, xylitol'])->assertOk();
    expect($ask())->toContain('never');
    $raid = test()->postJson('/api/ask/raid', ['dog' => Dog::query()->sole()->id, 'product' => ['id' => $id, 'grams' => 100]])->assertOk();
    expect((string) $raid->getContent())->toContain('xylitol');
    $this->travel(1)->days();
    test()->patchJson("/api/products/$id", ['ingredients' => 'roasted peanuts, salt'])->assertOk();
    expect($ask())->not->toContain('never');
    test()->deleteJson("/api/products/$id")->assertNoContent();
    test()->postJson('/api/ask/raid', ['dog' => Dog::query()->sole()->id, 'product' => ['id' => $id, 'grams' => 100]])->assertStatus(422)->assertJsonPath('path', '/product/id');
});

it('adds nothing of another kitchen', function (): void {
    keptDog('Quill');
    $ask = static fn (): array => test()->postJson('/api/ask/formulate', ['recipe' => ['text' => "200 g oat flour\n2 tbsp quay butter\n100 g quay grain"]])->assertOk()->json();
    $before = $ask();
    $other = Kitchen::factory()->create(['slug' => 'other-cottage']);
    app(CurrentKitchen::class)->open($other);
    OwnName::query()->create(['words' => 'quay grain', 'ingredient' => 'barley-flour']);
    OwnFood::query()->create(['name' => 'quay butter', 'fields' => ['kcalPer100g' => 600, 'like' => 'peanut-butter']]);
    Price::query()->create(['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 2.5]);
    $product = Product::query()->create(['name' => 'quay butter']);
    $product->readings()->create(['ingredients' => 'xylitol', 'read_on' => '2026-05-14', 'worst' => 'never', 'data_version' => 'x']);
    $this->open('lock-cottage');
    expect($ask())->toEqual($before);
});

it('puts the label on the line that a person bound to it, and on no other', function (): void {
    $id = test()->postJson('/api/products', ['name' => 'Tideway tub no. 7', 'ingredients' => 'roasted peanuts, xylitol'])->assertCreated()->json('id');
    $line = '2 tbsp peanut butter';
    $ask = static fn (array $bound, string $text): array => array_map(
        static fn (array $one): array => array_column($one['findings'], 'level'),
        test()->postJson('/api/ask/formulate', ['recipe' => ['text' => $text], 'bound' => $bound])->assertOk()->json('lines'),
    );
    $text = "200 g oat flour\n$line";
    expect($ask([], $text)[1])->not->toContain('never')
        ->and($ask([['line' => $line, 'product' => $id]], $text)[1])->toContain('never')
        ->and($ask([['line' => $line, 'product' => $id]], $text)[0])->not->toContain('never')
        // the line has been written anew since
        ->and($ask([['line' => $line, 'product' => $id]], "200 g oat flour\n3 tbsp peanut butter")[1])->not->toContain('never')
        ->and($ask([['line' => $line, 'product' => 'gone']], $text)[1])->not->toContain('never')
        ->and($ask([['line' => $line]], $text)[1])->not->toContain('never');
});

it('lets a portion go on for the dogs that are still at the table', function (): void {
    $quill = keptDog('Quill')['id'];
    $tiny = keptDog('Tiny', ['weightKg' => 4])['id'];
    $portions = [['id' => 'p1', 'name' => 'small', 'dogs' => [$quill, $tiny], 'cut' => ['shape' => 'round', 'diameterMm' => 10, 'thicknessMm' => 5]]];
    $id = keptRecipe(['portions' => $portions])['id'];
    $dogs = static fn (): array => test()->postJson('/api/ask/formulate', ['recipe' => ['id' => $id]])->assertOk()->json('portions.0.dogs');
    expect($dogs())->toBe(['Quill', 'Tiny']);
    test()->patchJson("/api/dogs/$tiny", ['atTable' => false])->assertOk();
    expect($dogs())->toBe(['Quill']);
});

it('takes a dog as it is described, on top of what is kept of it', function (): void {
    $id = keptDog('Quill', ['allergies' => ['egg'], 'weightKg' => 12])['id'];
    $ask = static fn (array $dogs): array => test()->postJson('/api/ask/formulate', ['recipe' => ['text' => "200 g oat flour\n1 egg"], 'dogs' => $dogs])->assertOk()->json();
    $kept = $ask([$id]);
    $heavier = $ask([['id' => $id, 'weightKg' => 24]]);
    expect(array_column($heavier['lines'][1]['findings'], 'level'))
        ->toContain('allergen')
        ->and($heavier['rations'][0]['restingKcal'])
        ->toBeGreaterThan($kept['rations'][0]['restingKcal'] * 1.5)
        ->and($ask([['name' => 'Visitor', 'weightKg' => 12]])['rations'][0]['dog'])
        ->toBe('Visitor');
});

it('brings a kitchen\'s own swap with its ratio and its note, and a dog\'s weighings into its profile', function (): void {
    $id = keptDog('Quill')['id'];
    test()->postJson('/api/own-swaps', ['out' => 'butter-salted', 'in' => 'coconut-oil', 'ratio' => 0.31, 'rating' => 'good', 'note' => 'quay trick'])->assertCreated();
    $answer = (string) test()->postJson('/api/ask/swaps', ['recipe' => ['text' => "200 g oat flour\n100 g butter\n1 egg"], 'line' => 1])->assertOk()->getContent();
    expect($answer)->toContain('quay trick.')->toContain('"31 g coconut oil"');
    test()->postJson("/api/dogs/$id/weighings", ['on' => now()->subDays(40)->format('Y-m-d'), 'kg' => 9.75])->assertCreated();
    expect((string) test()->postJson('/api/ask/profile', ['dog' => $id])->assertOk()->getContent())->toContain('9.75');
});

it('says everything in the units of the kitchen, and keeps every figure and every word of a person as they are', function (): void {
    $quill = keptDog('Quill');
    $recipe = keptRecipe(['steps' => "Roll to 6 mm.\nBake at 175 °C for 20 minutes."]);
    $ask = fn (): array => $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id']], 'explain' => true])->assertOk()->json();
    $metric = $ask();
    expect($metric['steps'][0])->not->toHaveKey('shown');
    $this->patchJson('/api/kitchen', ['weightsAs' => 'lb', 'sizesAs' => 'in', 'temperature' => 'F'])->assertOk();
    $american = $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $recipe['id']], 'explain' => true])->assertOk();
    expect(schemaErrors(json_decode((string) $american->getContent()), 'formulate-answer.json'))->toBe('');
    $american = $american->json();
    expect(array_column($american['steps'], 'shown'))->toBe(['Roll to ¼ in.', 'Bake at 345 °F for 20 minutes.'])
        ->and(array_column($american['steps'], 'text'))->toBe(array_column($metric['steps'], 'text'))
        ->and($american['piece'])->toEqual(['explain' => $american['piece']['explain']] + $metric['piece'])
        ->and(array_column($american['lines'], 'grams'))->toEqual(array_column($metric['lines'], 'grams'))
        ->and((string) json_encode($american['rations'], JSON_UNESCAPED_UNICODE))->not->toMatch('/\d kg(?!\/)\b/u');
    $profile = $this->postJson('/api/ask/profile', ['dog' => $quill['id']])->assertOk()->json();
    expect($profile['stageWhy'])->toContain(' lb')->not->toContain(' kg');
    $this->patchJson('/api/kitchen', ['temperature' => 'gas', 'sizesAs' => 'mm', 'weightsAs' => 'kg'])->assertOk();
    expect(array_column($ask()['steps'], 'shown'))->toBe(['Roll to 6 mm.', 'Bake at gas 4 for 20 minutes.']);
});
