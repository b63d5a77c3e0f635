<?php

declare(strict_types=1);

use App\Models\Dog;
use App\Models\Recipe;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

// Two people, two pages, one kitchen: what one of them wrote is never lost by what the other writes.

beforeEach(fn () => $this->open('lock-cottage'));

function quill(): Dog
{
    return Dog::query()->where('name', 'Quill')->firstOrFail();
}

/** @param  array<string, mixed>  $fields */
function written(string $uri, array $fields, ?int $on = null, ?string $key = null): \Illuminate\Testing\TestResponse
{
    return test()->patchJson($uri, $fields, array_filter(['If-Match' => $on === null ? null : "\"$on\"", 'Idempotency-Key' => $key]));
}

it('loses no allergy by a form that was opened before it was added', function (): void {
    $dog = quill();
    $uri = "/api/dogs/{$dog->id}";
    $opened = $dog->version;
    written($uri, ['allergies' => ['chicken']], $opened)->assertOk();
    // the whole form, as it was opened, with another weight
    $form = ['name' => 'Quill', 'allergies' => [], 'conditions' => ['heart'], 'weightKg' => 12.8];
    written($uri, $form, $opened)->assertOk()->assertJsonPath('allergies', ['chicken'])->assertJsonPath('weightKg', 12.8)->assertJsonPath('version', $opened + 2);
    // both add, one takes away: each act stands
    written($uri, ['allergies' => ['chicken', 'beef']], $opened + 2)->assertOk();
    written($uri, ['allergies' => ['fish']], $opened + 2)->assertOk()->assertJsonPath('allergies', ['beef', 'fish']);
});

it('asks side by side where two wrote in one field, and lets the second choose', function (): void {
    $dog = quill();
    $uri = "/api/dogs/{$dog->id}";
    written($uri, ['weightKg' => 13], 1)->assertOk();
    $asked = written($uri, ['weightKg' => 12.1, 'breed' => 'hound'], 1)->assertStatus(409);
    expect($asked->json('code'))->toBe('conflict')->and($asked->json('conflicts'))->toEqual([['field' => 'weightKg', 'before' => 12.5, 'mine' => 12.1, 'theirs' => 13]])
        ->and($asked->json('version'))->toBe(2)->and($asked->json('path'))->toBe('/weightKg')
        ->and(schemaErrors(json_decode((string) $asked->getContent()), 'problem.json'))->toBe('');
    // nothing of a refused write is kept
    expect(quill()->breed)->toBe('whippet')->and(quill()->weight_kg)->toBe(13.0);
    written($uri, ['weightKg' => 12.1, 'breed' => 'hound'], 2)->assertOk()->assertJsonPath('weightKg', 12.1);
});

it('takes what both wrote alike, and what only one of them touched', function (): void {
    $recipe = $this->postJson('/api/recipes', ['title' => 'Rounds', 'text' => '200 g oat flour', 'tags' => ['a']])->assertCreated()->json();
    $uri = "/api/recipes/{$recipe['id']}";
    written($uri, ['text' => '250 g oat flour', 'tags' => ['a', 'b']], 1)->assertOk();
    written($uri, ['text' => '250 g oat flour', 'title' => 'Coins', 'tags' => ['a', 'c'], 'steps' => 'Mix.'], 1)->assertOk()
        ->assertJsonPath('text', '250 g oat flour')->assertJsonPath('title', 'Coins')->assertJsonPath('tags', ['a', 'b', 'c']);
    written($uri, ['text' => '300 g oat flour'], 1)->assertStatus(409)->assertJsonPath('conflicts.0.before', '200 g oat flour');
});

it('merges what the kitchen and a weight said in words are, as one thing each', function (): void {
    $on = $this->getJson('/api/kitchen')->json('kitchen.version');
    written('/api/kitchen', ['garlic' => 'measured'], $on)->assertOk();
    written('/api/kitchen', ['temperature' => 'gas', 'weightsAs' => 'lb'], $on)->assertOk()->assertJsonPath('policy.garlic', 'measured')->assertJsonPath('temperature', 'gas');
    written('/api/kitchen', ['garlic' => 'avoid', 'temperature' => 'F'], $on)->assertStatus(409)->assertJsonPath('conflicts.0.field', 'temperature');
    $uri = '/api/dogs/'.quill()->id;
    written($uri, ['weight' => '28 to 29 lb'], 1)->assertOk()->assertJsonPath('weightSaid', '28 to 29 lb');
    // a form that was opened before sends its weight unchanged
    written($uri, ['weightKg' => 12.5, 'breed' => 'hound'], 1)->assertOk()->assertJsonPath('weightSaid', '28 to 29 lb')->assertJsonPath('weightKg', 12.7);
});

it('asks where it is not written down any more what changed', function (): void {
    $uri = '/api/dogs/'.quill()->id;
    written($uri, ['weightKg' => 13], 1)->assertOk();
    DB::table('changes')->delete();
    written($uri, ['breed' => 'hound'], 1)->assertStatus(409)->assertJsonPath('conflicts.0.before', null);
    written($uri, ['breed' => 'whippet', 'weightKg' => 13], 1)->assertOk();
});

it('understands a version however it is quoted, and refuses what is none', function (string $header, int $status): void {
    $this->patchJson('/api/dogs/'.quill()->id, ['breed' => 'hound'], ['If-Match' => $header])->assertStatus($status);
})->with([['1', 200], ['"1"', 200], ['W/"1"', 200], ['99', 200], ['*', 422], ['one', 422], ['"-1"', 422]]);

it('does a write once, however often it is sent', function (): void {
    $key = (string) Str::uuid();
    $body = ['title' => 'Once', 'text' => '200 g oat flour'];
    $first = $this->postJson('/api/recipes', $body, ['Idempotency-Key' => $key])->assertCreated();
    $again = $this->postJson('/api/recipes', $body, ['Idempotency-Key' => $key])->assertCreated()->assertHeader('Idempotent-Replay', 'true');
    expect($again->json())->toEqual($first->json())->and($first->json('id'))->toBe($key)->and(Recipe::query()->where('title', 'Once')->count())->toBe(1);
    // one that was refused was not done: it may be sent again under its key
    $other = (string) Str::uuid();
    $this->postJson('/api/recipes', ['title' => ''], ['Idempotency-Key' => $other])->assertStatus(422);
    $this->postJson('/api/recipes', $body, ['Idempotency-Key' => $other])->assertCreated()->assertJsonPath('id', $other);
    $gone = (string) Str::uuid();
    $this->deleteJson("/api/recipes/$key", [], ['Idempotency-Key' => $gone])->assertNoContent();
    $this->deleteJson("/api/recipes/$key", [], ['Idempotency-Key' => $gone])->assertNoContent();
    $this->deleteJson("/api/recipes/$key")->assertNotFound();
    $this->postJson('/api/recipes', $body, ['Idempotency-Key' => 'again'])->assertStatus(422)->assertJsonPath('path', '/Idempotency-Key');
});

it('tells every page what is new since the number it knows', function (): void {
    $number = $this->getJson('/api/kitchen')->json('number');
    $news = fn (int $after): array => $this->getJson("/api/changes?after=$after")->assertOk()->json();
    expect($news($number))->toEqual(['number' => $number, 'anew' => false, 'kinds' => [], 'gone' => []]);
    $dog = quill();
    $this->patchJson("/api/dogs/{$dog->id}", ['allergies' => ['beef']])->assertOk();
    $this->patchJson('/api/kitchen', ['sizesAs' => 'in'])->assertOk();
    $recipe = $this->postJson('/api/recipes', ['title' => 'New', 'text' => '200 g oat flour'])->json();
    $product = $this->postJson('/api/products', ['name' => 'Tub', 'ingredients' => 'oats'])->json();
    $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'oats, salt'])->assertOk();
    $price = $this->postJson('/api/prices', ['ingredient' => 'oat-flour', 'grams' => 500, 'price' => 2])->json();
    $this->deleteJson("/api/prices/{$price['id']}")->assertNoContent();
    $this->postJson("/api/dogs/{$dog->id}/weighings", ['on' => '2026-05-14', 'kg' => 12.6])->assertCreated();
    $told = $this->getJson("/api/changes?after=$number")->assertOk();
    expect(schemaErrors(json_decode((string) $told->getContent()), 'kitchen.json#/$defs/changes'))->toBe('')
        ->and($told->json('kinds.dogs.0.allergies'))->toBe(['beef'])->and($told->json('kinds.kitchen.0.sizesAs'))->toBe('in')
        ->and($told->json('kinds.recipes.0.title'))->toBe('New')->and($told->json('kinds.products.0.ingredients'))->toBe('oats, salt')
        ->and($told->json('kinds.weighings.0.dogId'))->toBe($dog->id)->and($told->json('kinds.prices'))->toBe([])->and($told->json('gone'))->toBe([['kind' => 'prices', 'id' => $price['id']]]);
    expect($news($told->json('number'))['kinds'])->toBe([])->and($recipe['version'])->toBe(1);
    // a number of another kitchen, or of one that was set up anew
    expect($news($told->json('number') + 5)['anew'])->toBeTrue();
    DB::table('changes')->orderBy('number')->limit(1)->delete();
    expect($news(0)['anew'])->toBeTrue();
    foreach (['', '?after=', '?after=-1', '?after[]=1', '?after=x'] as $query) {
        $this->getJson("/api/changes$query")->assertStatus(422)->assertJsonPath('path', '/after');
    }
});

it('counts no change where nothing changed', function (): void {
    $number = $this->getJson('/api/kitchen')->json('number');
    $dog = quill();
    $this->patchJson("/api/dogs/{$dog->id}", ['breed' => 'whippet'])->assertOk()->assertJsonPath('version', 1);
    $this->patchJson('/api/kitchen', ['garlic' => 'avoid'])->assertOk()->assertJsonPath('version', 1);
    $this->patchJson("/api/dogs/{$dog->id}", ['weightKg' => 500])->assertStatus(422);
    expect($this->getJson('/api/kitchen')->json('number'))->toBe($number);
});

it('brings back whatever was taken away, for thirty days', function (string $kind, string $uri, array $fields): void {
    $uri = str_replace('{dog}', quill()->id, $uri);
    $id = $this->postJson($uri, $fields)->assertCreated()->json('id');
    $this->deleteJson("$uri/$id")->assertNoContent();
    $trash = $this->getJson('/api/trash')->assertOk();
    $found = collect($trash->json())->firstWhere('id', $id);
    expect($found['kind'])->toBe($kind)->and($found['name'])->not->toBe('')
        ->and($found['goneOn'])->toBe(CarbonImmutable::now()->addDays(30)->format('Y-m-d'));
    foreach ((array) json_decode((string) $trash->getContent()) as $one) {
        expect(schemaErrors($one, 'kitchen.json#/$defs/trashed'))->toBe('');
    }
    $this->postJson("/api/trash/$kind/$id", [])->assertOk()->assertJsonPath('id', $id);
    expect(array_column($this->getJson($uri)->json(), 'id'))->toContain($id)->and(array_column($this->getJson('/api/trash')->json(), 'id'))->not->toContain($id);
    $this->deleteJson("$uri/$id")->assertNoContent();
    $this->travel(29)->days();
    $this->patchJson('/api/kitchen', ['ovenFan' => true])->assertOk();
    $this->postJson("/api/trash/$kind/$id", [])->assertOk();
    $this->deleteJson("$uri/$id")->assertNoContent();
    $this->travel(31)->days();
    expect(array_column($this->getJson('/api/trash')->json(), 'id'))->not->toContain($id);
    $this->patchJson('/api/kitchen', ['ovenFan' => false])->assertOk();
    $this->postJson("/api/trash/$kind/$id", [])->assertNotFound();
})->with([
    ['dogs', '/api/dogs', ['name' => 'Kelso']],
    ['recipes', '/api/recipes', ['title' => 'Rounds', 'text' => '1 egg']],
    ['products', '/api/products', ['name' => 'Tub', 'ingredients' => 'oats']],
    ['names', '/api/names', ['words' => 'lock dust', 'ingredient' => 'rolled-oats']],
    ['foods', '/api/foods', ['name' => 'My crumb', 'groups' => ['wheat'], 'per100g' => ['kcal' => 400]]],
    ['swaps', '/api/own-swaps', ['out' => 'raisin', 'in' => 'pear']],
    ['prices', '/api/prices', ['ingredient' => 'oat-flour', 'grams' => 500, 'price' => 2]],
    ['weighings', '/api/dogs/{dog}/weighings', ['on' => '2026-05-14', 'kg' => 9]],
]);

it('brings a dog back under another name where its own was given away, and all that was its own with it', function (): void {
    $dog = quill();
    $this->postJson("/api/dogs/{$dog->id}/weighings", ['on' => '2026-05-14', 'kg' => 12.6])->assertCreated();
    $this->deleteJson("/api/dogs/{$dog->id}")->assertNoContent();
    $this->postJson('/api/dogs', ['name' => 'QUILL'])->assertCreated();
    $this->postJson("/api/trash/dogs/{$dog->id}", [])->assertOk()->assertJsonPath('name', 'Quill (2)');
    expect($this->getJson("/api/dogs/{$dog->id}/weighings")->json('0.kg'))->toBe(12.6);
    $this->postJson("/api/trash/dogs/{$dog->id}", [])->assertOk();
    $this->postJson('/api/trash/cats/'.$dog->id, [])->assertNotFound();
    $this->postJson('/api/trash/dogs/'.Str::uuid(), [])->assertNotFound();
});

it('lets no two of a kind bear one name, however it is written', function (string $name): void {
    $this->postJson('/api/dogs', ['name' => $name])->assertStatus(422)->assertJsonPath('path', '/name');
    $this->patchJson('/api/dogs/'.quill()->id, ['name' => $name])->assertOk();
})->with(['quill', 'QUILL', 'Quill ', 'qUiLl']);

it('seats as many dogs as one batch can be worked out for, and says so to the next', function (): void {
    Dog::factory()->count(46)->sequence(fn ($n): array => ['name' => "Dog {$n->index}", 'at_table' => true])->create();
    expect($this->postJson('/api/ask/formulate', ['recipe' => ['text' => '200 g oat flour']])->assertOk()->json('rations'))->toHaveCount(50);
    $next = $this->postJson('/api/dogs', ['name' => 'One more', 'weightKg' => 12, 'ageMonths' => 60, 'neutered' => true, 'bodyCondition' => 5])->assertCreated()->assertJsonPath('atTable', false)->json();
    $this->patchJson("/api/dogs/{$next['id']}", ['atTable' => true])->assertStatus(422)->assertJsonPath('path', '/atTable')
        ->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'let one go first'));
    $this->patchJson('/api/dogs/'.quill()->id, ['atTable' => false])->assertOk();
    $this->patchJson("/api/dogs/{$next['id']}", ['atTable' => true])->assertOk();
    // the shelf judges for every one of them, at the table or not
    $recipe = $this->postJson('/api/recipes', ['title' => 'For all', 'text' => '200 g oat flour'])->assertCreated()->json();
    expect($recipe['judged']['clearedFor'])->toContain($next['id'])->and(count($recipe['judged']['clearedFor']))->toBeGreaterThan(44);
});
