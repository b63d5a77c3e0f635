<?php

declare(strict_types=1);

it('keeps a version with its parent, notes and promotion', function (): void {
    $parent = $this->postJson('/api/recipes', ['title' => 'Loaf', 'text' => '2 cups oat flour'])
        ->assertCreated()
        ->json();
    $child = $this->postJson('/api/recipes', [
        'title' => 'Loaf without raisins',
        'text' => '2 cups rice flour',
        'parentId' => $parent['id'],
        'notes' => 'softer',
    ])
        ->assertCreated()
        ->json();
    expect($child['parentId'])->toBe($parent['id'])->and($child['notes'])->toBe('softer')->and($child['promoted'])->toBeFalse();
    $this->patchJson("/api/recipes/{$child['id']}", ['promoted' => true, 'title' => 'The good loaf'])
        ->assertOk()
        ->assertJsonPath('promoted', true);
    $this->patchJson("/api/recipes/{$parent['id']}", ['parentId' => $child['id']])
        ->assertStatus(422)
        ->assertJsonPath('path', '/parentId');
    $this->patchJson("/api/recipes/{$child['id']}", ['parentId' => $child['id']])->assertStatus(422);
    $this->postJson('/api/recipes', ['title' => 'X', 'text' => '', 'parentId' => fake()->uuid()])->assertStatus(422);
    $this->deleteJson("/api/recipes/{$parent['id']}")->assertNoContent();
    expect(
        $this->getJson("/api/recipes/{$child['id']}")
            ->assertOk()
            ->json('parentId')
    )->toBe($parent['id']);
    // the first of the family lies in the trash: it can come back, and the version is its again
    expect(array_column($this->getJson('/api/shelf')->json(), 'id'))->not->toContain($parent['id']);
    $this->postJson("/api/trash/recipes/{$parent['id']}", [])->assertOk();
    expect(array_column($this->getJson('/api/shelf')->json(), 'id'))->toContain($parent['id'], $child['id']);
});

it('keeps a swap of one\'s own and what one thinks of it', function (): void {
    $swap = $this->postJson('/api/own-swaps', ['out' => 'raisin', 'in' => 'pear', 'ratio' => 1.2, 'rating' => 'good'])
        ->assertCreated()
        ->json();
    expect($swap['swap']['rating'])->toBe('good');
    $this->postJson('/api/own-swaps', ['out' => 'raisin', 'in' => 'pear', 'rating' => 'bad'])
        ->assertCreated()
        ->assertJsonPath('id', $swap['id'])
        ->assertJsonPath('swap.rating', 'bad');
    $this->postJson('/api/own-swaps', ['out' => 'raisin', 'in' => 'raisin'])
        ->assertStatus(422)
        ->assertJsonPath('path', '/in');
    $this->postJson('/api/own-swaps', ['out' => 'nothing', 'in' => 'pear'])->assertStatus(422);
    $this->deleteJson("/api/own-swaps/{$swap['id']}")->assertNoContent();
});

it('rescues, swaps and mends over the API in the published shapes', function (string $path, array $more): void {
    $body =
        [
            'version' => 1,
            'recipe' => ['text' => "2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water"],
            'dogs' => [['name' => 'Bosun', 'weightKg' => 19, 'ageMonths' => 40]],
        ] + $more;
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
})->with([['rescue', ['goals' => ['gluten-free']]], ['swaps', ['line' => 1]], ['dough', ['feels' => 'crumbles']]]);
