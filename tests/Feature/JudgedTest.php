<?php

declare(strict_types=1);

use Carbon\CarbonImmutable;

// What is said of a kept recipe and of a label when it is kept, and when that is said anew.

it('judges a kept recipe for the dogs at the table, its method and texture too, and again when any of these changes', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $table = fn (string ...$names) => $this->putJson('/api/table', [
        'dogs' => collect($this->getJson('/api/dogs')->json())
            ->whereIn('name', $names)
            ->pluck('id')
            ->values()
            ->all(),
    ])->assertOk();
    $cleared = fn (array $recipe): ?bool => $this->postJson('/api/recipes', $recipe + ['title' => fake()->unique()->words(3, true)])
        ->assertCreated()
        ->json('judged.cleared');
    $table('Bosun');
    expect($cleared(['text' => '200 g oat flour']))
        ->toBeTrue()
        ->and($cleared(['text' => "200 g oat flour\n1 onion"]))
        ->toBeFalse()
        ->and($cleared(['text' => '200 g oat flour', 'steps' => 'Dust with cocoa.']))
        ->toBeFalse()
        ->and($cleared(['text' => '200 g salmon']))
        ->toBeTrue()
        ->and($cleared(['text' => '200 g salmon', 'texture' => 'frozen']))
        ->toBeFalse()
        ->and($cleared(['text' => '']))
        ->toBeNull();
    $table('Tuppence');
    expect($cleared(['text' => '200 g rye flour']))->toBeFalse();
    $table('Bosun');
    $recipe = $this->postJson('/api/recipes', ['title' => 'Loaf', 'text' => '200 g oat flour', 'steps' => 'Mix.'])->json();
    expect(array_intersect_key($recipe['judged'], ['dataVersion' => 1, 'cleared' => 1, 'on' => 1]))->toEqual([
        'dataVersion' => $this->getJson('/api/choices')->json('dataVersion'),
        'cleared' => true,
        'on' => '2026-05-14',
    ]);
    $uri = "/api/recipes/{$recipe['id']}";
    $this->travel(1)->days();
    $this->patchJson($uri, ['title' => 'The loaf'])
        ->assertOk()
        ->assertJsonPath('judged.on', '2026-05-14');
    $this->patchJson($uri, ['steps' => 'Dust with cocoa.'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', false)
        ->assertJsonPath('judged.on', '2026-05-15');
    // the text alone is sent: the method that is kept is judged with it
    $this->patchJson($uri, ['text' => '250 g oat flour'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', false);
    $this->patchJson($uri, ['steps' => 'Mix.'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', true);
    $this->patchJson($uri, ['text' => '250 g trout'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', true);
    $this->patchJson($uri, ['texture' => 'none'])
        ->assertOk()
        ->assertJsonPath('judged.cleared', false);
    $this->patchJson($uri, ['text' => str_repeat("1 egg\n", 205)])
        ->assertOk()
        ->assertJsonPath('judged', null);
});

it('judges a label when it is read, and keeps every wording with what changed in it', function (): void {
    $this->travelTo(CarbonImmutable::parse('2026-05-14T09:30:00Z'));
    $product = $this->postJson('/api/products', ['name' => 'Quay paste', 'ingredients' => 'peanuts, salt'])
        ->assertCreated()
        ->json();
    expect([$product['worst'], $product['readOn'], $product['difference'], count($product['readings'])])->toBe(['clear', '2026-05-14', null, 1]);
    $this->travel(3)->days();
    $this->patchJson("/api/products/{$product['id']}", ['ingredients' => ' peanuts, salt '])
        ->assertOk()
        ->assertJsonPath('readOn', '2026-05-17')
        ->assertJsonCount(1, 'readings');
    $changed = $this->patchJson("/api/products/{$product['id']}", ['ingredients' => 'peanuts, xylitol'])
        ->assertOk()
        ->json();
    expect($changed['worst'])
        ->toBe('never')
        ->and($changed['readings'])
        ->toHaveCount(2)
        ->and($changed['readings'][1]['worst'])
        ->toBe('clear')
        ->and($changed['difference']['added'])
        ->toBe(['xylitol'])
        ->and($changed['difference']['gone'])
        ->toBe(['salt'])
        ->and($changed['dataVersion'])
        ->toBe($this->getJson('/api/choices')->json('dataVersion'));
    $this->patchJson("/api/products/{$product['id']}", ['number' => '123'])
        ->assertOk()
        ->assertJsonCount(2, 'readings');
    $this->patchJson("/api/products/{$product['id']}", ['number' => '12a'])->assertStatus(422);
});
