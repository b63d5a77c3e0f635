<?php

declare(strict_types=1);

it('keeps, reopens and changes a recipe', function (): void {
    $kept = $this->postJson('/api/recipes', [
        'title' => 'Harbour rounds',
        'text' => "2 cups oat flour\n3 tbsp flurbl",
        'steps' => 'Mix.',
        'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6],
        'texture' => 'soft',
    ])
        ->assertCreated()
        ->json();
    expect($kept['text'])->toContain('flurbl')->and($kept['cut']['diameterMm'])->toEqual(20);

    $this->patchJson("/api/recipes/{$kept['id']}", ['text' => '', 'texture' => null])->assertOk();
    $again = $this->getJson("/api/recipes/{$kept['id']}")
        ->assertOk()
        ->json();
    expect($again['text'])->toBe('')->and($again['texture'])->toBeNull()->and($again['steps'])->toBe('Mix.');
    $this->deleteJson("/api/recipes/{$kept['id']}")->assertNoContent();
    $this->getJson("/api/recipes/{$kept['id']}")->assertNotFound();
});

it('refuses what cannot be kept, with code and place', function (array $fields, string $code, string $path): void {
    $problem = $this->postJson('/api/recipes', $fields + ['title' => 'Rounds', 'text' => '1 egg'])
        ->assertStatus(422)
        ->json();
    expect($problem['code'])->toBe($code)->and($problem['path'])->toBe($path);
})->with([
    [['title' => ''], 'missing', '/title'],
    [['text' => str_repeat('x', 20001)], 'too-long', '/text'],
    [['texture' => 'raw'], 'out-of-range', '/texture'],
    [['cut' => ['shape' => 'blob']], 'out-of-range', '/cut/shape'],
    [['cut' => ['shape' => 'round', 'diameterMm' => 0, 'thicknessMm' => 6]], 'out-of-range', '/cut/diameterMm'],
    [['colour' => 'red'], 'unknown-key', '/colour'],
]);

it('keeps odd text word for word', function (string $text): void {
    $id = $this->postJson('/api/recipes', ['title' => 'Odd', 'text' => $text])
        ->assertCreated()
        ->json('id');
    expect($this->getJson("/api/recipes/$id")->json('text'))->toBe($text);
})->with(["  2 cups oats  \n\n\ttab", '<script>alert(1)</script>', "½ cup purée 🐕 сосоа\u{200B}", "a'b\"c\\d%s"]);

it('answers an id that is none with not found', function (): void {
    $this->getJson('/api/recipes/17')->assertNotFound();
    $this->getJson('/api/nothing')->assertNotFound()->assertJsonPath('code', 'not-found');
});
