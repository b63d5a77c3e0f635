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
    $this->postJson('/api/planned', ['recipeId' => $this->recipe, 'on' => '2026-06-21'])->assertCreated()->assertJsonPath('id', $first['id']);
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
