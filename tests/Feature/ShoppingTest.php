<?php

declare(strict_types=1);

use App\Models\Bag;
use App\Models\Dog;
use App\Models\Place;
use App\Models\Price;
use App\Models\Recipe;

beforeEach(fn () => $this->open('lock-cottage'));

it('makes the list of what this kitchen keeps: its recipes, less what stands there, in its packs at its prices', function (): void {
    Price::query()->get()->each->delete();
    $recipe = Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail();
    $ask = fn (array $more = []): array => $this->postJson('/api/ask/shopping', ['treats' => [['recipe' => ['id' => $recipe->id]] + $more]])->assertOk()->json();
    $names = static fn (array $answer): array => array_merge(...array_map(static fn (array $aisle): array => array_column($aisle['items'], 'ingredient'), $answer['aisles']));
    $first = $ask();
    expect(schemaErrors($first, 'shopping-answer.json'))->toBe('')->and($names($first))->toContain('barley-flour', 'beetroot', 'egg', 'rapeseed-oil')->and($first['price'])->toBeNull();
    $this->postJson('/api/stock', ['ingredient' => 'rapeseed-oil', 'state' => 'at-hand'])->assertCreated();
    $this->postJson('/api/stock', ['ingredient' => 'egg', 'state' => 'out'])->assertCreated();
    $this->postJson('/api/prices', ['ingredient' => 'barley-flour', 'grams' => 500, 'price' => 1.8])->assertCreated();
    Bag::query()->create(['number' => 90, 'title' => 'beetroot', 'content' => 'food', 'ingredient' => 'beetroot', 'grams' => 1000, 'made' => '2026-06-19', 'keeps' => [], 'because' => '', 'for_dogs' => [], 'pieces' => 1, 'put_pieces' => 1, 'frozen' => false, 'thawed_days' => 1, 'state' => 'here', 'place_id' => Place::query()->firstOrFail()->id]);
    $second = $ask(['times' => 3]);
    expect($names($second))->not->toContain('rapeseed-oil')->not->toContain('beetroot')->toContain('egg')
        ->and(array_column($second['atHand'], 'ingredient'))->toEqualCanonicalizing(['rapeseed-oil', 'beetroot'])
        ->and($second['price'])->toEqualWithDelta(3.6, 1e-9)
        ->and($second['costs'][0]['name'])->toBe('Beetroot and barley rounds');
});

it('asks how much dogs eat in some days, and whom it costs what', function (): void {
    $recipe = Recipe::query()->where('title', 'Beetroot and barley rounds')->firstOrFail();
    $dogs = Dog::query()->whereIn('name', ['Bosun', 'Odette'])->pluck('id')->all();
    $answer = $this->postJson('/api/ask/shopping', ['dogs' => $dogs, 'treats' => [['recipe' => ['id' => $recipe->id], 'days' => 30]]])->assertOk()->json();
    expect($answer['costs'][0]['times'])->toBeGreaterThanOrEqual(1)->and(array_column($answer['costs'][0]['dogs'], 'dog'))->toEqualCanonicalizing(['Bosun', 'Odette']);
    $this->postJson('/api/ask/shopping', ['treats' => [['recipe' => ['id' => fake()->uuid()]]]])->assertStatus(404);
    $this->postJson('/api/ask/shopping', ['treats' => []])->assertStatus(422)->assertJsonPath('path', '/treats');
});

it('tells what a swap would save at the prices that are kept, and nothing where it is not asked', function (): void {
    $recipe = Recipe::query()->create(['title' => 'Squares', 'text' => "250 g sorghum flour\n1 large egg\n80 g water"]);
    $ask = fn (array $more): array => $this->postJson('/api/ask/shopping', $more + ['treats' => [['recipe' => ['id' => $recipe->id]]]])->assertOk()->json('costs.0');
    $cost = $ask(['savings' => true, 'dogs' => Dog::query()->whereIn('name', ['Bosun', 'Tuppence'])->pluck('id')->all()]);
    expect($cost['savings'][0]['line'])->toBe('250 g sorghum flour')->and($cost['savings'][0]['saves'])->toBeGreaterThan(0)->toBeLessThan($cost['known'])
        // what Tuppence may have now it may have then
        ->and($cost['savings'][0]['to'])->not->toContain('barley')->not->toContain('oats');
    expect($ask([])['savings'])->toBe([]);
});
