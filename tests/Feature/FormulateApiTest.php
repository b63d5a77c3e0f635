<?php

declare(strict_types=1);

use App\Models\Dog;
use Illuminate\Support\Facades\DB;

const REQUEST = [
    'version' => 1,
    'recipe' => ['text' => "2 cups oat flour\n1 egg\n1/4 cup raisins"],
    'dogs' => [['name' => 'Quill', 'weightKg' => 12.5]],
];

it('answers as core does, in the published shape', function (): void {
    $answer = $this->postJson('/api/formulate', REQUEST)->assertOk();

    expect(schemaErrors(json_decode((string) $answer->getContent()), 'formulate-answer.json'))
        ->toBe('')
        ->and($answer->json('lines.2.findings.0.code'))
        ->toBe('grape')
        ->and($answer->json('verdict.cleared'))
        ->toBeFalse();
});

it('refuses with the code, message and path of core', function (string $body, int $status, string $code, string $path): void {
    $response = $this->call(
        'POST',
        '/api/formulate',
        server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        content: $body
    );
    $response->assertStatus($status)->assertHeader('Content-Type', 'application/problem+json');
    expect($response->json('code'))
        ->toBe($code)
        ->and($response->json('path'))
        ->toBe($path)
        ->and(schemaErrors(json_decode((string) $response->getContent()), 'problem.json'))
        ->toBe('');
})->with([
    ['{', 400, 'invalid-json', ''],
    ['', 400, 'invalid-json', ''],
    ['{"version":3,"recipe":{"text":"x"}}', 422, 'unsupported-version', '/version'],
    ['{"version":1}', 422, 'missing', '/recipe'],
    ['{"version":1,"recipe":{"text":"1 egg"},"dogs":[{"name":"A","weightKg":0}]}', 422, 'out-of-range', '/dogs/0/weightKg'],
    ['{"version":1,"recipe":{"text":"1 egg","x":1}}', 422, 'unknown-key', '/recipe/x'],
    ['{"version":1,"recipe":{"text":5}}', 422, 'wrong-type', '/recipe/text'],
    ['{"version":1,"recipe":{"text":"'.str_repeat('x', 20001).'"}}', 422, 'too-long', '/recipe/text'],
]);

it('asks no database', function (): void {
    DB::enableQueryLog();
    $this->postJson('/api/formulate', REQUEST)->assertOk();
    expect(DB::getQueryLog())->toBe([]);
});

it('says plainly that the database is down, and still screens', function (): void {
    config(['database.connections.gone' => ['port' => 1] + config('database.connections.pgsql'), 'database.default' => 'gone']);
    $this->getJson('/api/kitchen')->assertStatus(503)->assertJsonPath('code', 'database-down');
    $this->get('/bench')->assertStatus(503)->assertSee('The kitchen is closed for a moment');
    $this->postJson('/api/formulate', REQUEST)->assertOk();
    config(['database.default' => 'pgsql']);
});

it('takes writes as JSON from its own page only', function (): void {
    $this->post('/api/dogs', ['name' => 'Fig'])->assertStatus(415);
    $this->postJson('/api/dogs', ['name' => 'Fig'], ['Sec-Fetch-Site' => 'cross-site'])->assertStatus(403);
    $this->open('lock-cottage');
    expect(Dog::query()->where('name', 'Fig')->exists())->toBeFalse();
});

it('lets no page of another origin read the kitchen or ask whether it may write', function (): void {
    $other = ['Origin' => 'http://elsewhere.invalid'];
    $preflight = $other + ['Access-Control-Request-Method' => 'DELETE', 'Access-Control-Request-Headers' => 'content-type'];
    foreach ([
        $this->getJson('/api/kitchen', $other),
        $this->postJson('/api/formulate', REQUEST, $other),
        $this->call('OPTIONS', '/api/kitchen', server: $this->transformHeadersToServerVars($preflight)),
        $this->call('OPTIONS', '/api/dogs', server: $this->transformHeadersToServerVars($preflight)),
    ] as $response) {
        expect(array_filter(array_keys($response->headers->all()), static fn (string $name): bool => str_starts_with($name, 'access-control-')))->toBe([]);
    }
});

it('sends the page with a policy that keeps it on this machine', function (): void {
    $policy = (string) $this->get('/bench')->assertOk()->headers->get('Content-Security-Policy');
    expect($policy)->toContain("default-src 'none'")->toContain("connect-src 'self'")->not->toContain('unsafe')->not->toContain('http');
});

it('answers every read in the shape that is published', function (string $path, string $schema): void {
    expect(schemaErrors(json_decode((string) $this->getJson($path)->assertOk()->getContent()), $schema))->toBe('');
})->with([['/api/choices', 'choices.json'], ['/api/vocabulary', 'vocabulary.json'], ['/api/kitchen', 'kitchen.json']]);

it('changes the house rules and refuses impossible ones', function (): void {
    $this->patchJson('/api/kitchen', ['garlic' => 'measured', 'energySchool' => 'nrc', 'budgetPercent' => 6])
        ->assertOk()
        ->assertJsonPath('policy.garlic', 'measured');
    $this->patchJson('/api/kitchen', ['budgetPercent' => 20])->assertStatus(422);
    $this->patchJson('/api/kitchen', ['garlic' => 'lots'])->assertStatus(422);
});
