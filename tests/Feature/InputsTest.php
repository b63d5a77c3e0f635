<?php

declare(strict_types=1);

it('refuses what no dog can be, beside its field, in plain words', function (array $fields, string $path, string $says): void {
    $this->postJson('/api/dogs', $fields + ['name' => 'Kelso'])
        ->assertStatus(422)
        ->assertHeader('Content-Type', 'application/problem+json')
        ->assertJsonPath('path', $path)
        ->assertJsonPath('message', fn (string $message): bool => str_contains($message, $says));
    $this->getJson('/api/dogs')
        ->assertOk()
        ->assertJsonMissing(['name' => 'Kelso']);
})->with([
    'no name' => [['name' => ''], '/name', 'name'],
    'a name of blanks' => [['name' => '   '], '/name', 'name'],
    'a name that is taken' => [['name' => 'Quill'], '/name', 'already'],
    'a name too long' => [['name' => str_repeat('a', 61)], '/name', '60'],
    '0 kg' => [['weightKg' => 0], '/weightKg', '0.3 to 120'],
    '121 kg' => [['weightKg' => 121], '/weightKg', '0.3 to 120'],
    'a weight in words' => [['weightKg' => 'heavy'], '/weightKg', 'number'],
    'younger than born' => [['ageMonths' => -1], '/ageMonths', '0 to 400'],
    'older than any' => [['ageMonths' => 401], '/ageMonths', '0 to 400'],
    'born tomorrow' => [['bornOn' => '2999-01-01'], '/bornOn', 'future'],
    'no such body condition' => [['bodyCondition' => 10], '/bodyCondition', '1 to 9'],
    'no such activity' => [['activity' => 'lazy'], '/activity', ''],
    'no such sex' => [['sex' => 'yes'], '/sex', ''],
    'neutered in words' => [['neutered' => 'yes'], '/neutered', ''],
    'no such teeth' => [['teeth' => 'gold'], '/teeth', ''],
    'no such manner' => [['eating' => 'slowly'], '/eating', ''],
    'no such stage' => [['stage' => 'teenager'], '/stage', ''],
    'reacts to nothing known' => [['allergies' => ['flurbl']], '/allergies/0', 'neither a group'],
    'may have nothing known' => [['allowList' => ['flurbl']], '/allowList/0', 'neither a group'],
    'new to nothing known' => [['newIngredients' => ['flurbl']], '/newIngredients/0', 'neither a group'],
    'no such condition' => [['conditions' => ['grumpy']], '/conditions/0', ''],
    'no such medicine' => [['medicines' => ['sweets']], '/medicines/0', ''],
    'food without energy' => [['foodKcalPer100g' => 5], '/foodKcalPer100g', '20 to 900'],
    'a raised budget' => [['budgetPercent' => 12], '/budgetPercent', 'never raised'],
    'grown smaller than it is' => [['weightKg' => 20, 'expectedAdultWeightKg' => 10], '/expectedAdultWeightKg', 'under the present'],
    'too many meals' => [['meals' => 30], '/meals', '10 meals'],
    'a key nobody knows' => [['colour' => 'brindle'], '/colour', 'Nobody knows'],
]);

it('refuses house rules and recipes that cannot be, beside their field', function (string $method, string $uri, array $fields, string $path): void {
    $this->json($method, $uri, $fields)
        ->assertStatus(422)
        ->assertJsonPath('path', $path)
        ->assertJsonPath('message', fn (string $message): bool => $message !== '');
})->with([
    'no such school' => ['PATCH', '/api/kitchen', ['energySchool' => 'guess'], '/energySchool'],
    'no such cups' => ['PATCH', '/api/kitchen', ['units' => 'buckets'], '/units'],
    'a budget raised' => ['PATCH', '/api/kitchen', ['budgetPercent' => 11], '/budgetPercent'],
    'no such unit of heat' => ['PATCH', '/api/kitchen', ['temperature' => 'K'], '/temperature'],
    'a tray too small' => ['PATCH', '/api/kitchen', ['trayLengthMm' => 5], '/trayLengthMm'],
    'a gap too wide' => ['PATCH', '/api/kitchen', ['trayGapMm' => 500], '/trayGapMm'],
    'no tray at all' => ['PATCH', '/api/kitchen', ['traysAtOnce' => 0], '/traysAtOnce'],
    'a recipe without a title' => ['POST', '/api/recipes', ['text' => '1 egg'], '/title'],
    'a title too long' => ['POST', '/api/recipes', ['title' => str_repeat('a', 201), 'text' => ''], '/title'],
    'a text too long' => ['POST', '/api/recipes', ['title' => 'x', 'text' => str_repeat('a', 20001)], '/text'],
    'no such texture' => ['POST', '/api/recipes', ['title' => 'x', 'text' => '', 'texture' => 'fried'], '/texture'],
    'a cut without its size' => [
        'POST',
        '/api/recipes',
        ['title' => 'x', 'text' => '', 'cut' => ['shape' => 'round', 'thicknessMm' => 5]],
        '/cut/diameterMm',
    ],
    'a cut of nothing' => [
        'POST',
        '/api/recipes',
        ['title' => 'x', 'text' => '', 'cut' => ['shape' => 'ball', 'diameterMm' => 0]],
        '/cut/diameterMm',
    ],
    'a parent from nowhere' => [
        'POST',
        '/api/recipes',
        ['title' => 'x', 'text' => '', 'parentId' => '6a1f3c36-93c0-4c8b-9f0e-000000000000'],
        '/parentId',
    ],
    'a table of strangers' => ['PUT', '/api/table', ['dogs' => ['6a1f3c36-93c0-4c8b-9f0e-000000000000']], '/dogs/0'],
]);

it('answers every question of the core with a problem, never a page, when it is asked wrongly', function (string $question): void {
    foreach (
        [
            '{',
            '[]',
            '{"version":2}',
            '{"version":1,"dogs":3}',
            '{"version":1,"recipe":{"text":7}}',
            'null',
            '"text"',
            '{"version":1,"recipe":{"text":"1 egg"},"dogs":[{"name":"A","weightKg":1e400}]}',
        ] as $body
    ) {
        $this->call('POST', "/api/$question", server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], content: $body)
            ->assertStatus(json_decode($body) === null && $body !== 'null' ? 400 : 422)
            ->assertHeader('Content-Type', 'application/problem+json')
            ->assertJsonStructure(['code', 'message', 'path']);
    }
})->with(['formulate', 'read', 'label', 'raid', 'rescue', 'swaps', 'dough', 'size', 'scale', 'occasion', 'week', 'give-away', 'profile']);

it('takes JSON only, and knows what is not there', function (): void {
    $this->call(
        'POST',
        '/api/dogs',
        ['name' => 'Kelso'],
        server: ['CONTENT_TYPE' => 'application/x-www-form-urlencoded', 'HTTP_ACCEPT' => 'application/json']
    )->assertStatus(415);
    $this->getJson('/api/nothing-here')->assertNotFound()->assertHeader('Content-Type', 'application/problem+json');
    $this->getJson('/api/dogs/not-an-id')->assertNotFound();
    $this->json('PATCH', '/api/formulate', [])->assertStatus(405);
});

it('lets the page talk to nobody but this machine', function (): void {
    $policy = (string) $this->get('/bench')->assertOk()->headers->get('Content-Security-Policy');
    foreach (["default-src 'none'", "connect-src 'self'", "frame-ancestors 'none'", "base-uri 'none'"] as $rule) {
        expect($policy)->toContain($rule);
    }
    expect($policy)->not->toContain('http:')->not->toContain('https:')->not->toContain('unsafe-eval');
});
