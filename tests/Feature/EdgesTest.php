<?php

declare(strict_types=1);

use App\Support\Conflict;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Support\Facades\Route;
use MildBowl\Core\Questions\RequestRefused;

// What comes from outside at the edge of the application: other pages, wrong methods, wrong types, addresses that are none.

beforeEach(fn () => $this->open('lock-cottage'));

it('takes what is exactly JSON, and nothing that a browser sends unasked', function (string $type, int $status): void {
    $answer = $this->call('POST', '/api/recipes', [], [], [], ['CONTENT_TYPE' => $type, 'HTTP_ACCEPT' => 'application/json'], '{"title":"Rounds","text":""}');
    expect($answer->getStatusCode())->toBe($status);
})->with([
    ['application/json', 201], ['application/json; charset=utf-8', 201], ['Application/JSON;charset="UTF-8"', 201],
    ['text/plain; application/json', 415], ['text/plain', 415], ['application/jsonp', 415], ['multipart/form-data; boundary=application/json', 415], ['application/x-www-form-urlencoded', 415], ['application/json; text/plain', 415], ['', 415],
]);

it('does what the method itself says', function (): void {
    $this->postJson('/api/kitchen', ['garlic' => 'measured'], ['X-HTTP-Method-Override' => 'PATCH'])->assertStatus(405);
    $this->postJson('/api/kitchen?_method=PATCH', ['garlic' => 'measured'])->assertStatus(405);
    $this->postJson('/api/kitchen', ['_method' => 'PATCH', 'garlic' => 'measured'])->assertStatus(405);
    $this->getJson('/api/kitchen')->assertJsonPath('kitchen.policy.garlic', 'avoid');
});

it('lets no other page write, and offers nothing to one', function (string $site, int $status): void {
    $answer = $this->patchJson('/api/kitchen', ['ovenFan' => true], ['Sec-Fetch-Site' => $site, 'Origin' => 'http://elsewhere.invalid'])->assertStatus($status);
    expect($answer->headers->has('Access-Control-Allow-Origin'))->toBeFalse()->and($answer->headers->has('Access-Control-Allow-Credentials'))->toBeFalse();
    $read = $this->getJson('/api/kitchen', ['Origin' => 'http://elsewhere.invalid'])->assertOk()->assertHeader('Cross-Origin-Resource-Policy', 'same-origin');
    expect($read->headers->has('Access-Control-Allow-Origin'))->toBeFalse();
    expect($this->call('OPTIONS', '/api/kitchen', server: ['HTTP_ORIGIN' => 'http://elsewhere.invalid', 'HTTP_ACCESS_CONTROL_REQUEST_METHOD' => 'PATCH'])->headers->has('Access-Control-Allow-Origin'))->toBeFalse();
})->with([['same-origin', 200], ['none', 200], ['cross-site', 403], ['same-site', 403]]);

it('says in plain words what is not there, and names no part of the program', function (string $method, string $uri, int $status): void {
    $answer = $this->json($method, $uri)->assertStatus($status)->assertHeader('Content-Type', 'application/problem+json');
    expect(schemaErrors(json_decode((string) $answer->getContent()), 'problem.json'))->toBe('')
        ->and($answer->json('message'))->not->toMatch('/\\\\|App|Illuminate|Eloquent|model|route|exception|SQL/i')->not->toBe('');
})->with([
    ['GET', '/api/nothing', 404], ['GET', '/api/dogs/0192f0c8-7d1b-7e52-9c1e-6f4c2f3b8a11', 404], ['GET', '/api/dogs/none', 404], ['PATCH', '/api/recipes/none', 404],
    ['DELETE', '/api/prices/none', 404], ['PATCH', '/api/rules', 405], ['DELETE', '/api/kitchen', 405], ['GET', '/api/photos/none', 404],
    ['GET', '/api/search?words[]=a', 422], ['GET', '/api/changes?after[]=1', 422], ['POST', '/api/trash/dogs/none', 404],
]);

it('says nothing of its own parts where something breaks', function (): void {
    Route::get('api/breaks', static fn () => throw new LogicException('App\Models\Secret in /var/www'));
    $answer = $this->getJson('/api/breaks')->assertStatus(500);
    expect($answer->getContent())->not->toContain('Secret')->not->toContain('/var')->and($answer->json('code'))->toBe('failed');
});

it('writes no fault down where a person was told what to mend', function (Throwable $told): void {
    expect(app(ExceptionHandler::class)->shouldReport($told))->toBeFalse();
})->with([[fn () => RequestRefused::outOfRange('/x', 'No.')], [fn () => new Conflict([['field' => 'name', 'before' => 1, 'mine' => 2, 'theirs' => 3]], 2)]]);

it('refuses a price that would be kept as nothing', function (float $grams, int $status): void {
    $this->postJson('/api/prices', ['ingredient' => 'oat-flour', 'grams' => $grams, 'price' => 1])->assertStatus($status);
})->with([[0.001, 422], [0.0049, 422], [0.01, 201], [100000, 201]]);

it('keeps photographs and nothing that only says it is one', function (): void {
    $png = 'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
    $id = $this->postJson('/api/photos', ['image' => $png])->assertCreated()->json('id');
    $shown = $this->get("/api/photos/$id")->assertOk()->assertHeader('Content-Type', 'image/png');
    expect(base64_encode((string) $shown->getContent()))->toBe($png);
    foreach (['<svg onload=alert(1)>', '<html>', 'GIF89a', 'RIFFxxxxWAVE', "\xFF\xD8"] as $other) {
        $this->postJson('/api/photos', ['image' => base64_encode($other)])->assertStatus(422)->assertJsonPath('path', '/image');
    }
    $this->postJson('/api/photos', ['image' => 'no base64!'])->assertStatus(422);
    $large = "\x89PNG\r\n\x1A\n".pack('N', 13).'IHDR'.pack('NN', 9000, 6667)."\x08\x02\0\0\0".pack('N', 0);
    $this->postJson('/api/photos', ['image' => base64_encode($large)])->assertStatus(422)->assertJsonPath('message', 'A photograph may have at most 50 million points: this one has 9000 × 6667. Make it smaller first.');
    $recipe = $this->postJson('/api/recipes', ['title' => 'Seen', 'text' => '1 egg', 'photoId' => $id])->assertCreated()->assertJsonPath('photoId', $id)->json();
    expect(collect($this->getJson('/api/shelf')->json())->firstWhere('id', $recipe['id'])['photoId'])->toBe($id);
    $this->patchJson("/api/recipes/{$recipe['id']}", ['photoId' => fake()->uuid()])->assertStatus(422);
    $this->patchJson("/api/recipes/{$recipe['id']}", ['photoId' => null])->assertOk()->assertJsonPath('photoId', null);
});
