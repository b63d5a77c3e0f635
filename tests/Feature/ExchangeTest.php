<?php

declare(strict_types=1);

use App\Exchange\RecipeAsLd;
use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\Photo;
use App\Models\Product;
use App\Models\Recipe;
use App\Support\CurrentKitchen;

beforeEach(fn () => $this->open('lock-cottage'));

/** @return list<array<string, mixed>> recipes as they are told, without what belongs to their kitchen alone */
function shelfTold(object $test): array
{
    $told = array_map(static fn (array $one): array => array_intersect_key($one, array_flip(RecipeAsLd::TAKEN_ALONG)), $test->getJson('/api/recipes')->json());
    usort($told, static fn (array $a, array $b): int => strcmp($a['title'].$a['text'], $b['title'].$b['text']));

    return $told;
}

function elsewhere(): void
{
    app(CurrentKitchen::class)->open(Kitchen::factory()->create(['slug' => 'elsewhere', 'name' => 'Elsewhere']));
    config(['mildbowl.kitchen' => 'elsewhere']);
}

it('gives a whole shelf as one file, and an empty kitchen that takes it has the same recipes, jars, foods, words and swaps', function (): void {
    $recipe = Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail();
    $photo = $this->postJson('/api/photos', ['image' => base64_encode(file_get_contents(base_path('docs/screenshots/days.png')) ?: '')])->json('id');
    $recipe->update(['notes' => "Good.\nVery <b>good</b> \"½\"", 'tags' => ['autumn', 'for Thursdays'], 'photo_id' => $photo, 'prep_minutes' => 20, 'bake_minutes' => 22.5, 'source' => 'https://example.invalid/rounds', 'yield' => '66 rounds',
        'portions' => [['name' => 'soft ones', 'dogs' => [Dog::query()->where('name', 'Quill')->firstOrFail()->id], 'share' => 0.3]],
        'parts' => [['section' => 'For the dough', 'role' => 'body', 'process' => 'oven']]]);
    $child = $this->postJson('/api/recipes', ['title' => 'Beetroot rounds, softer', 'text' => "1 egg\n\n  two  spaces ", 'steps' => '', 'parentId' => $recipe->id])->assertCreated()->json('id');
    $this->postJson('/api/products', ['name' => 'Quay paste', 'number' => '2020004100375', 'ingredients' => 'peanuts (97 %), salt'])->assertCreated();
    $this->postJson('/api/foods', ['name' => 'My crumb', 'groups' => ['wheat'], 'per100g' => ['kcal' => 400, 'proteinG' => 10]])->assertCreated();
    $this->postJson('/api/names', ['words' => 'lock dust', 'ingredient' => 'sorghum-flour'])->assertCreated();
    $this->postJson('/api/own-swaps', ['out' => 'raisin', 'in' => 'pear', 'ratio' => 1.5, 'note' => 'softer', 'rating' => 'good'])->assertCreated();
    $told = shelfTold($this);
    foreach ($told as $n => $one) {
        $told[$n] = RecipeAsLd::withoutItsDogs($one);
    }
    $file = $this->get('/api/export/shelf')->assertOk()->assertHeader('Content-Type', 'application/ld+json')->streamedContent();

    elsewhere();
    $offers = $this->postJson('/api/exchange/look', ['content' => $file])->assertOk()->json();
    expect(schemaErrors($offers, 'kitchen.json#/$defs/offers'))->toBe('')
        ->and($offers['from'])->toBe('Lock Cottage')
        ->and(array_filter(array_column($offers['items'], 'problem')))->toBe([])
        ->and(array_unique(array_column($offers['items'], 'state')))->toBe(['new']);
    expect(Recipe::query()->count())->toBe(0);
    $this->postJson('/api/exchange/take', ['content' => $file, 'take' => array_column($offers['items'], 'number')])->assertOk()->assertJsonPath('taken', 13);
    $mine = array_map(static fn (array $one): array => ['source' => str_starts_with((string) $one['source'], 'from Lock Cottage, 2026-06-20') ? null : $one['source']] + $one, shelfTold($this));
    expect($mine)->toEqual($told)
        ->and($this->getJson('/api/products')->json('0.ingredients'))->toBe('peanuts (97 %), salt')
        ->and($this->getJson('/api/foods')->json('0.food.per100g.kcal'))->toEqual(400)
        ->and($this->getJson('/api/names')->json('0.ingredient'))->toBe('sorghum-flour')
        ->and($this->getJson('/api/own-swaps')->json('0.swap'))->toEqual(['out' => 'raisin', 'in' => 'pear', 'ratio' => 1.5, 'rating' => 'good', 'note' => 'softer'])
        ->and(Photo::query()->count())->toBe(1);
    // a version still comes from the one it came from
    $softer = Recipe::query()->where('title', 'Beetroot rounds, softer')->firstOrFail();
    expect($softer->parent_id)->toBe(Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail()->id)->and($softer->id)->not->toBe($child);
    // looked at again, all of it is here
    expect(array_unique(array_column($this->postJson('/api/exchange/look', ['content' => $file])->json('items'), 'state')))->toBe(['same']);
});

it('takes what was chosen and nothing else, says what is here already, and writes over nothing', function (): void {
    $file = $this->get('/api/export/shelf?kinds=recipes')->streamedContent();
    Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail()->update(['text' => '1 egg']);
    $items = $this->postJson('/api/exchange/look', ['content' => $file])->json('items');
    $of = static fn (string $name): array => array_values(array_filter($items, static fn (array $one): bool => $one['name'] === $name))[0];
    expect($of('Beetroot and barley rounds')['state'])->toBe('other')->and($of('Lentil and celery crisps')['state'])->toBe('same');
    $count = Recipe::query()->count();
    $this->postJson('/api/exchange/take', ['content' => $file, 'take' => [$of('Beetroot and barley rounds')['number']]])->assertOk();
    expect(Recipe::query()->where('title', 'Beetroot and barley rounds')->count())->toBe(2)->and(Recipe::query()->count())->toBe($count + 1)
        ->and(Recipe::query()->where('text', '1 egg')->count())->toBe(1);
});

it('keeps the older wording of a jar beside one that is taken', function (): void {
    $this->postJson('/api/products', ['name' => 'Quay paste', 'ingredients' => 'peanuts'])->assertCreated();
    $file = $this->get('/api/export/shelf?kinds=products')->streamedContent();
    $this->patchJson('/api/products/'.Product::query()->firstOrFail()->id, ['ingredients' => 'peanuts, xylitol'])->assertOk();
    $item = $this->postJson('/api/exchange/look', ['content' => $file])->json('items.0');
    expect($item['state'])->toBe('other');
    $this->postJson('/api/exchange/take', ['content' => $file, 'take' => [0]])->assertOk();
    expect(array_column($this->getJson('/api/products')->json('0.readings'), 'ingredients'))->toBe(['peanuts', 'peanuts, xylitol', 'peanuts']);
});

it('reads a recipe of any other program as one from a web page', function (): void {
    $other = json_encode(['@context' => 'https://schema.org', '@graph' => [['@type' => ['Recipe', 'Thing'], 'name' => 'Plain <b>coins</b>', 'recipeIngredient' => ['200 g oat flour', '1 egg'], 'recipeInstructions' => [['@type' => 'HowToStep', 'text' => 'Mix.'], ['@type' => 'HowToStep', 'text' => 'Bake 20 minutes.']], 'prepTime' => 'PT15M', 'recipeYield' => '40', 'image' => 'https://example.invalid/tracks-you.jpg', 'nutrition' => ['calories' => '9 kcal']]]], JSON_THROW_ON_ERROR);
    $this->postJson('/api/exchange/take', ['content' => $other, 'take' => [0]])->assertOk();
    $taken = Recipe::query()->where('title', 'Plain coins')->firstOrFail();
    expect($taken->text)->toBe("200 g oat flour\n1 egg")->and($taken->steps)->toBe("Mix.\nBake 20 minutes.")->and($taken->prep_minutes)->toBe(15.0)->and($taken->photo_id)->toBeNull()
        ->and($taken->source)->toBe('from a file, 2026-06-20');
});

it('refuses in words what is no such file, and takes nothing of one in which something cannot be', function (string $content, string $says): void {
    $this->postJson('/api/exchange/look', ['content' => $content])->assertStatus(422)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
})->with([
    'a letter' => ['Dear Ines', 'not JSON'],
    'nothing' => ['  ', 'content of the file'],
    'nothing in it' => ['{"a":1}', 'No recipe'],
    'a later version' => ['{"bowl:version":2,"@graph":[{"@type":"Recipe","name":"x"}]}', 'later version'],
    'nested to the moon' => [str_repeat('[', 5000).str_repeat(']', 5000), 'nested'],
]);

it('takes all or nothing, and says which cannot be', function (): void {
    $file = json_encode(['@graph' => [
        ['@type' => 'Recipe', 'name' => 'Fine', 'bowl:recipe' => ['title' => 'Fine', 'text' => '1 egg']],
        ['@type' => 'Recipe', 'name' => 'Not', 'bowl:recipe' => ['title' => 'Not', 'text' => '1 egg', 'cut' => ['shape' => 'dodecahedron']]],
        ['@type' => 'bowl:Swap', 'bowl:swap' => ['out' => 'raisin', 'in' => 'xylitol']],
        ['@type' => 'bowl:Food', 'bowl:food' => ['name' => 'Crumb', 'groups' => ['no-such-group']]],
    ]], JSON_THROW_ON_ERROR);
    $items = $this->postJson('/api/exchange/look', ['content' => $file])->assertOk()->json('items');
    expect($items[0]['problem'])->toBeNull()->and($items[1]['problem'])->not->toBeNull()->and($items[3]['problem'])->toContain('no group');
    $count = Recipe::query()->count();
    $this->postJson('/api/exchange/take', ['content' => $file, 'take' => [0, 1]])->assertStatus(422)->assertJsonPath('path', '/take/1');
    $this->postJson('/api/exchange/take', ['content' => $file, 'take' => [0, 9]])->assertStatus(422)->assertJsonPath('path', '/take');
    expect(Recipe::query()->count())->toBe($count);
});

it('is the same sheet again, written as JSON-LD, Markdown or plain text and read in', function (string $form, string $kind): void {
    foreach (Recipe::query()->get() as $recipe) {
        $written = $this->get("/api/recipes/$recipe->id/as/$form")->assertOk()->content();
        $read = $this->postJson('/api/read', ['version' => 1, 'content' => $written, 'kind' => $kind])->assertOk()->json('recipes.0');
        $plain = static fn (string $text): string => implode("\n", array_filter(array_map(trim(...), explode("\n", $text)), static fn (string $row): bool => $row !== ''));
        expect($read['title'])->toBe($recipe->title)->and($plain($read['text']))->toBe($plain($recipe->text), "$recipe->title as $form")->and($plain($read['steps']))->toBe($plain($recipe->steps), "$recipe->title as $form");
    }
})->with([['jsonld', 'json-ld'], ['md', 'markdown'], ['txt', 'text']]);

it('tells what a piece holds in the words of schema.org, and nothing that nobody knows', function (): void {
    $recipe = Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail();
    $ld = $this->get("/api/recipes/$recipe->id/as/jsonld")->json();
    expect($ld['@type'])->toBe('Recipe')->and($ld['recipeYield'])->toMatch('/^\d+ pieces$/')->and($ld['nutrition']['calories'])->toMatch('/^[\d.]+ kcal$/')->and($ld['nutrition']['servingSize'])->toBe('1 piece')->and($ld['nutrition']['sodiumContent'])->toEndWith(' mg');
    $recipe->update(['text' => 'some words that are no food']);
    expect($this->get("/api/recipes/$recipe->id/as/jsonld")->json())->not->toHaveKey('nutrition');
});
