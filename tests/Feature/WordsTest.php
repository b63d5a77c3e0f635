<?php

declare(strict_types=1);

use App\Models\Dog;
use Carbon\CarbonImmutable;

// What a person confirmed lasts: nothing is asked twice, and nothing that was said for one dog, one rule or one jar is taken for another.

beforeEach(fn () => $this->open('lock-cottage'));

function dogCalled(string $name): Dog
{
    return Dog::query()->where('name', $name)->firstOrFail();
}

/** @return list<string> codes of what a vet still has to say about a dog */
function vetsAsked(Dog $dog, string $text = '200 g oat flour'): array
{
    $answer = test()->postJson('/api/ask/formulate', ['recipe' => ['text' => $text], 'dogs' => [$dog->id]])->assertOk();
    $all = [...$answer->json('verdict.dogs.0.findings'), ...array_merge(...array_column($answer->json('lines'), 'findings'))];

    return array_values(array_unique(array_column(array_filter($all, static fn (array $one): bool => $one['level'] === 'ask-vet' && ($one['confirmed'] ?? false) !== true), 'code')));
}

/** @param  array<string, mixed>  $more */
function vetsWord(Dog $dog, string $code, array $more = []): array
{
    return test()->postJson('/api/confirmations', $more + ['code' => $code, 'level' => 'ask-vet', 'dog' => $dog->name, 'dogId' => $dog->id, 'words' => 'Ask your vet first.'])->assertCreated()->json();
}

it('takes a vet\'s word for its dog and its rule on every sheet, for a year', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $quill = dogCalled('Quill');
    $codes = vetsAsked($quill);
    expect($codes)->not->toBe([]);
    $word = vetsWord($quill, $codes[0]);
    expect($word['holdsUntil'])->toBe('2027-05-14')->and($word['known'])->toBe(['heart'])->and($word['saidBy'])->toBe('Ines Marlow');
    expect(vetsAsked($quill))->not->toContain($codes[0])->and(vetsAsked($quill, '100 g rice flour'))->not->toContain($codes[0]);
    // not for another dog with the same rule
    expect(vetsAsked(dogCalled('Ferris')))->not->toBe([]);
    expect(collect($this->getJson('/api/kitchen')->json('words'))->firstWhere('id', $word['id'])['holdsUntil'])->toBe('2027-05-14');
    $this->travelTo(CarbonImmutable::parse('2027-05-14T23:00:00Z'));
    expect(vetsAsked($quill))->not->toContain($codes[0]);
    $this->travelTo(CarbonImmutable::parse('2027-05-15T09:30:00Z'));
    expect(vetsAsked($quill))->toContain($codes[0]);
});

it('takes it for so long as was said', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $quill = dogCalled('Quill');
    [$code] = vetsAsked($quill);
    vetsWord($quill, $code, ['holdsUntil' => '2026-06-01']);
    $this->travelTo(CarbonImmutable::parse('2026-06-02T09:30:00Z'));
    expect(vetsAsked($quill))->toContain($code);
});

it('takes it no more once it is taken back', function (): void {
    $quill = dogCalled('Quill');
    [$code] = vetsAsked($quill);
    $word = vetsWord($quill, $code);
    expect(vetsAsked($quill))->not->toContain($code);
    $this->deleteJson("/api/confirmations/{$word['id']}")->assertOk();
    expect(vetsAsked($quill))->toContain($code)->and(array_column($this->getJson('/api/kitchen')->json('words'), 'id'))->not->toContain($word['id']);
});

it('takes it no more once the dog has what the vet did not know of', function (string $field, string $new): void {
    $quill = dogCalled('Quill');
    [$code] = vetsAsked($quill);
    vetsWord($quill, $code);
    $this->patchJson("/api/dogs/{$quill->id}", [$field => [...$quill->{$field}, $new]])->assertOk();
    expect(vetsAsked($quill))->toContain($code);
    $this->patchJson("/api/dogs/{$quill->id}", [$field => $quill->{$field}])->assertOk();
    expect(vetsAsked($quill))->not->toContain($code);
})->with([['conditions', 'kidney'], ['medicines', 'diuretic']]);

it('settles a rescue, a size, a week and the shelf as it settles the bench', function (): void {
    $quill = dogCalled('Quill');
    $recipe = $this->postJson('/api/recipes', ['title' => 'Plain', 'text' => '200 g oat flour', 'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 5]])->assertCreated()->json();
    expect($recipe['judged']['clearedFor'])->not->toContain($quill->id);
    foreach (vetsAsked($quill) as $code) {
        vetsWord($quill, $code);
    }
    // what stood there is not true any more, and is not shown
    expect($this->getJson("/api/recipes/{$recipe['id']}")->json('judged'))->toBeNull();
    $judged = $this->postJson('/api/shelf/judge', ['recipes' => [$recipe['id']]])->assertOk()->json('0.judged');
    expect($judged['clearedFor'])->toContain($quill->id);
    $week = $this->postJson('/api/ask/week', ['dogs' => [$quill->id], 'treats' => [['recipe' => ['id' => $recipe['id']]]]])->assertOk();
    expect($week->json('dogs.0.treats.0.piecesPerDay'))->toBeGreaterThan(0);
    $size = $this->postJson('/api/ask/size', ['recipe' => ['text' => '200 g oat flour'], 'dogs' => [$quill->id], 'cut' => ['shape' => 'round', 'thicknessMm' => 5], 'wishes' => [['dog' => $quill->id, 'piecesPerDay' => 2]], 'days' => 3])->assertOk();
    expect($size->json('possible'))->toBeTrue();
});

it('takes a label that was read for its jar wherever the jar is used, and for no other', function (): void {
    $jar = $this->postJson('/api/products', ['name' => 'Quay smooth', 'listLater' => true])->assertCreated()->json();
    $bosun = dogCalled('Bosun');
    $asked = fn (string $text, array $bound = []): array => array_merge(...array_map(
        static fn (array $line): array => array_column(array_filter($line['findings'], static fn (array $one): bool => $one['level'] === 'check-label' && ($one['confirmed'] ?? false) !== true), 'code'),
        $this->postJson('/api/ask/formulate', ['recipe' => ['text' => $text], 'dogs' => [$bosun->id], 'bound' => $bound])->assertOk()->json('lines'),
    ));
    [$code] = $asked('2 tbsp peanut butter');
    $this->postJson('/api/confirmations', ['code' => $code, 'level' => 'check-label', 'line' => '2 tbsp peanut butter', 'words' => 'Read it.', 'productId' => $jar['id']])->assertCreated()->assertJsonPath('holdsUntil', null);
    expect($asked('2 tbsp peanut butter', [['line' => '2 tbsp peanut butter', 'product' => $jar['id']]]))->toBe([])
        ->and($asked("200 g oat flour\n1 tbsp peanut butter", [['line' => '1 tbsp peanut butter', 'product' => $jar['id']]]))->toBe([])
        ->and($asked('2 tbsp Quay smooth peanut butter'))->toBe([])
        ->and($asked('2 tbsp peanut butter'))->toBe([$code])
        ->and($asked('2 tbsp peanut butter', [['line' => '3 tbsp peanut butter', 'product' => $jar['id']]]))->toBe([$code]);
});

it('keeps with a recipe what was read for its lines', function (): void {
    $text = "200 g oat flour\n2 tbsp peanut butter";
    [$code] = array_column($this->postJson('/api/ask/formulate', ['recipe' => ['text' => $text]])->json('lines.1.findings'), 'code');
    $recipe = $this->postJson('/api/recipes', ['title' => 'Read', 'text' => $text, 'confirmed' => [['code' => $code, 'line' => '2 tbsp peanut butter', 'dog' => null]]])->assertCreated()->json();
    $other = $this->postJson('/api/recipes', ['title' => 'Not read', 'text' => $text])->assertCreated()->json();
    $settled = fn (string $id): bool => $this->postJson('/api/ask/formulate', ['recipe' => ['id' => $id]])->assertOk()->json('lines.1.findings.0.confirmed') === true;
    expect($settled($recipe['id']))->toBeTrue()->and($settled($other['id']))->toBeFalse();
    foreach ([[['code' => 'x']], [['code' => 'x', 'line' => null, 'dog' => null, 'why' => 'so']], ['x']] as $wrong) {
        $this->patchJson("/api/recipes/{$recipe['id']}", ['confirmed' => $wrong])->assertStatus(422);
    }
});
