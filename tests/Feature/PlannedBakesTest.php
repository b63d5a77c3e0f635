<?php

declare(strict_types=1);

use App\Models\PlannedBake;
use App\Models\Recipe;
use Illuminate\Support\Str;

beforeEach(function (): void {
    $this->open('lock-cottage');
    $this->recipe = Recipe::query()->create(['title' => 'Oat rounds', 'text' => "200 g oat flour\n60 g water"])->id;
    $this->bake = fn (string $at) => $this->postJson('/api/batches', ['asked' => ['recipe' => ['id' => $this->recipe, 'text' => '200 g oat flour']], 'at' => $at, 'startAt' => substr($at, 0, 16), 'by' => 'Ines'])->assertCreated()->json('id');
});

it('plans a bake, the latest word holds, and a batch that is begun answers it', function (): void {
    $first = $this->postJson('/api/planned', ['recipeId' => $this->recipe, 'on' => '2026-06-24'])->assertCreated()->json();
    expect(schemaErrors($first, 'kitchen.json#/$defs/plannedBake'))->toBe('');
    $this->postJson('/api/planned', ['recipeId' => $this->recipe, 'on' => '2026-06-22'])->assertCreated()->assertJsonPath('id', $first['id']);
    $this->patchJson("/api/planned/{$first['id']}", ['on' => '2026-06-19'])->assertStatus(422)->assertJsonPath('path', '/on');
    $this->patchJson("/api/planned/{$first['id']}", ['on' => '2026-06-21'])->assertOk()->assertJsonPath('version', 3);
    expect($this->getJson('/api/planned')->json('*.on'))->toBe(['2026-06-21'])
        ->and($this->get('/api/calendar')->getContent())->toContain('SUMMARY:Bake: Oat rounds')->toContain('DTSTART;VALUE=DATE:20260621');
    $batch = ($this->bake)('2026-06-20T09:00:00.000Z');
    expect($this->getJson('/api/planned')->json())->toBe([])->and(PlannedBake::query()->firstOrFail()->batch_id)->toBe($batch)
        ->and($this->get('/api/calendar')->getContent())->not->toContain('Bake: Oat rounds');
    // the next of it is a plan of its own
    $this->postJson('/api/planned', ['recipeId' => $this->recipe, 'on' => '2026-06-30'])->assertCreated();
    ($this->bake)('2026-06-20T09:30:00.000Z');
    expect($this->getJson('/api/planned')->json('*.on'))->toBe(['2026-06-30']);
    $this->deleteJson('/api/planned/'.$this->getJson('/api/planned')->json('0.id'))->assertNoContent();
    $this->getJson('/api/planned')->assertExactJson([]);
});

it('lies in the trash by the name of its recipe, and comes back where no newer one stands', function (): void {
    $plan = fn (): string => $this->postJson('/api/planned', ['recipeId' => $this->recipe, 'on' => '2026-06-24'])->assertCreated()->json('id');
    $first = $plan();
    $this->deleteJson("/api/planned/$first")->assertNoContent();
    expect(collect($this->getJson('/api/trash')->json())->firstWhere('id', $first)['name'])->toBe('Oat rounds');
    $second = $plan();
    $this->postJson("/api/trash/planned/$first", [])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'newer one stands'));
    $this->deleteJson("/api/planned/$second")->assertNoContent();
    $this->postJson("/api/trash/planned/$first", [])->assertSuccessful();
    expect($this->getJson('/api/planned')->json('*.id'))->toBe([$first]);
    $stock = $this->postJson('/api/stock', ['ingredient' => 'teff-flour', 'state' => 'low'])->assertCreated()->json('id');
    $this->deleteJson("/api/stock/$stock")->assertNoContent();
    $this->postJson('/api/stock', ['ingredient' => 'teff-flour', 'state' => 'out'])->assertCreated();
    $this->postJson("/api/trash/stock/$stock", [])->assertStatus(422)->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'newer one stands'));
});

it('says in words what cannot be planned', function (array $said, string $path, string $says): void {
    $this->postJson('/api/planned', $said + ['recipeId' => $this->recipe, 'on' => '2026-06-24'])->assertStatus(422)->assertJsonPath('path', $path)->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    expect(PlannedBake::query()->count())->toBe(0);
})->with([
    'yesterday' => [['on' => '2026-06-19'], '/on', 'That day is over'],
    'in two years' => [['on' => '2028-06-19'], '/on', 'more than a year away'],
    'no date' => [['on' => 'soon'], '/on', 'date'],
    'no recipe' => [['recipeId' => (string) Str::uuid()], '/recipeId', 'No recipe of this kitchen'],
    'something else' => [['dog' => 'Quill'], '/dog', 'dog'],
]);
