<?php

declare(strict_types=1);

use App\Models\Dog;

it('opens the demo kitchen with its dogs and recipes', function (): void {
    $kitchen = $this->getJson('/api/kitchen')->assertOk()->json();

    expect(array_column($kitchen['dogs'], 'name'))
        ->toBe(['Biscay', 'Quill', 'Tuppence', 'Ferris', 'Odette', 'Bosun'])
        ->and($this->getJson('/api/shelf')->assertOk()->json())
        ->toHaveCount(8)
        ->and($kitchen['kitchen']['name'])
        ->toBe('Lock Cottage');
});

it('adds, changes and removes a dog', function (): void {
    $added = $this->postJson('/api/dogs', [
        'name' => 'Fig',
        'weightKg' => 6.4,
        'ageMonths' => 30,
        'allergies' => ['beef'],
        'breed' => 'terrier cross',
    ])
        ->assertCreated()
        ->json();
    expect($added['weightKg'])
        ->toEqual(6.4)
        ->and($added['ageMonths'])
        ->toEqualWithDelta(30, 0.05)
        ->and($added['allergies'])
        ->toBe(['beef']);

    $changed = $this->patchJson("/api/dogs/{$added['id']}", ['weightKg' => 7])
        ->assertOk()
        ->json();
    expect($changed['weightKg'])
        ->toEqual(7)
        ->and($changed['allergies'])
        ->toBe(['beef']);

    $this->deleteJson("/api/dogs/{$added['id']}")->assertNoContent();
    $this->getJson("/api/dogs/{$added['id']}")->assertNotFound();
});

it('refuses what no dog can be, with code and place', function (array $fields, string $code, string $path): void {
    $problem = $this->postJson('/api/dogs', $fields + ['name' => 'Fig'])
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json')
        ->json();

    expect($problem['code'])->toBe($code)->and($problem['path'])->toBe($path)->and($problem['message'])->not->toBe('');
})->with([
    [['weightKg' => 0], 'out-of-range', '/weightKg'],
    [['weightKg' => 500], 'out-of-range', '/weightKg'],
    [['weightKg' => 'heavy'], 'wrong-type', '/weightKg'],
    [['ageMonths' => -1], 'out-of-range', '/ageMonths'],
    [['bodyCondition' => 12], 'out-of-range', '/bodyCondition'],
    [['conditions' => ['sad']], 'out-of-range', '/conditions/0'],
    [['allergies' => ['flurbl']], 'out-of-range', '/allergies/0'],
    [['wieght' => 3], 'unknown-key', '/wieght'],
    [['name' => ''], 'missing', '/name'],
    [['name' => str_repeat('x', 61)], 'too-long', '/name'],
    [['sex' => 'cat'], 'out-of-range', '/sex'],
]);

it('refuses a second dog of one name plainly', function (): void {
    $this->postJson('/api/dogs', ['name' => 'Quill'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/name')
        ->assertJsonPath('message', 'There is a dog of that name already: choose another.');
});

it('sets the table', function (): void {
    $this->open('lock-cottage');
    $ids = Dog::query()
        ->whereIn('name', ['Tuppence', 'Ferris'])
        ->pluck('id')
        ->all();
    $this->putJson('/api/table', ['dogs' => $ids])->assertOk();

    expect(Dog::query()->where('at_table', true)->pluck('name')->sort()->values()->all())->toBe(['Ferris', 'Tuppence']);
    $this->putJson('/api/table', ['dogs' => [fake()->uuid()]])->assertStatus(422);
});

it('keeps the age moving', function (): void {
    $this->open('lock-cottage');
    $dog = Dog::query()->where('name', 'Biscay')->firstOrFail();
    $before = $dog->ageMonths();
    $this->travel(61)->days();
    expect($dog->ageMonths())->toEqualWithDelta($before + 2, 0.05);
});
