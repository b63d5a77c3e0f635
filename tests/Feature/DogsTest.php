<?php

declare(strict_types=1);

use App\Models\Dog;
use Carbon\CarbonImmutable;

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
