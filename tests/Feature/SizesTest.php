<?php

declare(strict_types=1);

use App\Models\Dog;
use App\Models\Weighing;
use Carbon\CarbonImmutable;

it('keeps a dog\'s weight over time, and the latest one is its weight', function (): void {
    $this->open('lock-cottage');
    $dog = Dog::query()->where('name', 'Bosun')->firstOrFail();
    Weighing::query()->where('dog_id', $dog->id)->forceDelete();
    $this->postJson("/api/dogs/{$dog->id}/weighings", ['on' => CarbonImmutable::today()->format('Y-m-d'), 'kg' => 19.6])->assertCreated();
    expect($this->getJson("/api/dogs/{$dog->id}")->json('weightKg'))->toBe(19.6);
    $old = $this->postJson("/api/dogs/{$dog->id}/weighings", ['on' => '2025-01-02', 'kg' => 17])
        ->assertCreated()
        ->json();
    expect($this->getJson("/api/dogs/{$dog->id}")->json('weightKg'))
        ->toBe(19.6)
        ->and(schemaErrors(json_decode((string) json_encode($old)), 'kitchen.json#/$defs/weighing'))
        ->toBe('');
    $weighings = $this->getJson("/api/dogs/{$dog->id}/weighings")
        ->assertOk()
        ->json();
    expect(array_column($weighings, 'kg'))
        ->toBe([17, 19.6])
        ->and($weighings[1]['ageMonths'])
        ->toEqualWithDelta(40.0, 0.1)
        ->and($weighings[0]['ageMonths'])
        ->toBeLessThan($weighings[1]['ageMonths']);
    $this->deleteJson("/api/dogs/{$dog->id}/weighings/{$old['id']}")->assertNoContent();
    $this->postJson("/api/dogs/{$dog->id}/weighings", ['on' => '2099-01-01', 'kg' => 17])
        ->assertStatus(422)
        ->assertJsonPath('path', '/on');
    $this->postJson("/api/dogs/{$dog->id}/weighings", ['on' => '2025-01-02', 'kg' => 0])
        ->assertStatus(422)
        ->assertJsonPath('path', '/kg');
});

it('does not let one dog\'s weighing be taken through another', function (): void {
    $this->open('lock-cottage');
    [$one, $two] = Dog::query()
        ->whereIn('name', ['Bosun', 'Quill'])
        ->get()
        ->all();
    $weighing = Weighing::query()->create(['dog_id' => $one->id, 'weighed_on' => '2025-03-03', 'kg' => 12]);
    $this->deleteJson("/api/dogs/{$two->id}/weighings/{$weighing->id}")->assertNotFound();
    expect(Weighing::query()->whereKey($weighing->id)->exists())->toBeTrue();
});

it('takes a weight as it is said, and the low end of a range', function (): void {
    $dog = $this->postJson('/api/dogs', ['name' => 'Kelso', 'weight' => '50 to 60 lb', 'meals' => 2])
        ->assertCreated()
        ->json();
    expect($dog['weightKg'])
        ->toBe(22.68)
        ->and($dog['weightSaid'])
        ->toBe('50 to 60 lb')
        ->and($dog['meals'])
        ->toBe(2)
        ->and(schemaErrors(json_decode((string) json_encode($dog)), 'kitchen.json#/$defs/dog'))
        ->toBe('');
    expect(Weighing::query()->where('dog_id', $dog['id'])->sole()->kg)->toBe(22.68);
    $this->patchJson("/api/dogs/{$dog['id']}", ['weight' => '24'])
        ->assertOk()
        ->assertJsonPath('weightKg', 24)
        ->assertJsonPath('weightSaid', null);
    $this->patchJson("/api/dogs/{$dog['id']}", ['weight' => 'heavy'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/weight');
    $this->patchJson("/api/dogs/{$dog['id']}", ['weight' => '900 lb'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/weight');
    $this->patchJson("/api/dogs/{$dog['id']}", ['weight' => '30 kg', 'expectedAdultWeightKg' => 20])
        ->assertStatus(422)
        ->assertJsonPath('path', '/expectedAdultWeightKg');
});

it('keeps the baker\'s tray and oven, and the portions of a recipe', function (): void {
    $this->patchJson('/api/kitchen', ['trayWidthMm' => 280, 'traysAtOnce' => 2, 'ovenFan' => true])
        ->assertOk()
        ->assertJsonPath('tray.widthMm', 280)
        ->assertJsonPath('tray.atOnce', 2)
        ->assertJsonPath('ovenFan', true);
    $this->patchJson('/api/kitchen', ['trayWidthMm' => 10])
        ->assertStatus(422)
        ->assertJsonPath('path', '/trayWidthMm');
    $portions = [
        [
            'name' => 'small and soft',
            'dogs' => ['Quill'],
            'share' => 0.3,
            'cut' => ['shape' => 'round', 'diameterMm' => 12, 'thicknessMm' => 5],
            'bake' => ['texture' => 'soft'],
        ],
    ];
    $recipe = $this->postJson('/api/recipes', ['title' => 'Two lots', 'text' => '2 cups oat flour', 'portions' => $portions])
        ->assertCreated()
        ->json();
    expect($recipe['portions'][0]['cut']['diameterMm'])
        ->toBe(12)
        ->and(schemaErrors(json_decode((string) json_encode($recipe)), 'kitchen.json#/$defs/recipe'))
        ->toBe('');
    $this->postJson('/api/recipes', ['title' => 'X', 'text' => '', 'portions' => [['share' => 2]]])
        ->assertStatus(422)
        ->assertJsonPath('path', '/portions/0/share');
});

it('answers sizes, scaling, occasions, weeks, give-aways and profiles in the published shapes', function (string $path, array $more): void {
    $dogs = [['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40, 'neutered' => true]];
    $body =
        $path === 'profile'
            ? ['version' => 1, 'dog' => $dogs[0]]
            : ($path === 'week'
                ? ['version' => 1, 'dogs' => $dogs]
                : ['version' => 1, 'recipe' => ['text' => "2 cups oat flour\n1/2 cup water"], 'dogs' => $dogs]);
    $body += $more;
    expect(schemaErrors(json_decode((string) json_encode($body)), "$path-request.json"))
        ->toBe('')
        ->and(
            schemaErrors(
                json_decode(
                    (string) $this->postJson("/api/$path", $body)
                        ->assertOk()
                        ->getContent()
                ),
                "$path-answer.json"
            )
        )
        ->toBe('');
    $this->postJson("/api/$path", ['version' => 1, 'nothing' => 1])
        ->assertStatus(422)
        ->assertJsonPath('code', 'unknown-key');
})->with([
    ['size', ['wishes' => [['dog' => 'Bosun', 'piecesPerDay' => 4]], 'days' => 5]],
    ['scale', ['by' => ['factor' => 1.5]]],
    ['occasion', ['occasion' => ['dog' => 'Bosun', 'pieces' => 2]]],
    ['week', ['treats' => [['name' => 'rounds', 'recipe' => ['text' => '2 cups oat flour']]]]],
    ['give-away', []],
    ['profile', []],
]);
