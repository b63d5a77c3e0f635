<?php

declare(strict_types=1);

use App\Models\Recipe;

/** The database ends a text at a sign with the number 0: what stands behind it would be gone, a poison among it. */
it('refuses a text that could be kept only in part, says where, and keeps nothing of it', function (string $method, string $uri, array $body, string $path): void {
    $recipe = $this->postJson('/api/recipes', ['title' => 'Whole', 'text' => "1 egg\n2 cups oat flour", 'steps' => ''])->json();

    $this->json($method, str_replace('{id}', $recipe['id'], $uri), $body)
        ->assertStatus(422)
        ->assertJsonPath('path', $path)
        ->assertJsonPath('message', 'This holds a sign with the number 0, behind which nothing can be kept: take it out.');

    expect(Recipe::query()->where('title', 'Whole')->pluck('text')->all())->toBe(["1 egg\n2 cups oat flour"])
        ->and(Recipe::query()->where('title', 'Half')->count())->toBe(0);
})->with([
    ['POST', '/api/recipes', ['title' => 'Half', 'text' => "2 cups oat flour\0\n1/2 cup raisins", 'steps' => ''], '/text'],
    ['PATCH', '/api/recipes/{id}', ['text' => "1 egg\0\nraisins"], '/text'],
    ['PATCH', '/api/recipes/{id}', ['notes' => "good\0bad"], '/notes'],
    ['POST', '/api/names', ['words' => "lock\0dust", 'ingredient' => 'oat-flour'], '/words'],
    ['POST', '/api/recipes', ['title' => 'Half', 'text' => '1 egg', 'parts' => [['section' => "For\0it"]]], '/parts/0/section'],
    ['POST', '/api/ask/formulate', ['recipe' => ['text' => "1 egg\0raisins"]], '/recipe/text'],
]);

it('keeps every other sign, letter by letter', function (): void {
    $text = "2 cups\u{0007} oat flour \u{200B}\u{FEFF}\u{2028}1 egg 🥕 \u{FFFD}\t\\u0000";
    $id = $this->postJson('/api/recipes', ['title' => 'Signs', 'text' => $text, 'steps' => ''])->assertCreated()->json('id');

    expect($this->getJson("/api/recipes/$id")->json('text'))->toBe($text);
});
