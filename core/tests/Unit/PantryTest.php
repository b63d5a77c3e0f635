<?php

declare(strict_types=1);

use MildBowl\Core\Pantry\Nearest;

it('offers the nearest foods with a reason', function (string $words, string $ingredient): void {
    $offers = Nearest::to($words);
    expect(array_column($offers, 'ingredient'))
        ->toContain($ingredient)
        ->and(count($offers))
        ->toBeLessThanOrEqual(3)
        ->and($offers[0]['reason'])
        ->not->toBe('');
})->with([
    ['brocoli', 'broccoli'],
    ['paenut buter', 'peanut-butter'],
    ['flour, oat', 'oat-flour'],
    ['Wholesome Farms oat flour', 'oat-flour'],
    ['courgete', 'courgette'],
    ['blueberrys', 'blueberry'],
    ['qinoa', 'quinoa'],
    ['cinamon', 'cinnamon'],
    ['rasins', 'raisin'],
    ['choclate', 'chocolate'],
]);

it('offers nothing for what resembles nothing', function (string $words): void {
    expect(Nearest::to($words))->toBe([]);
})->with(['flurbl', 'xqzzt', '123', '']);

it('shows the offers on an unread line and takes none of them', function (): void {
    $line = answer('2 tbsp choclate', ['explain' => true])['lines'][0];
    expect($line['ingredient'])
        ->toBeNull()
        ->and(array_column($line['explain']['nearest'], 'ingredient'))
        ->toContain('chocolate');
});

it('takes a kitchen\'s own word for a food', function (): void {
    $names = [['words' => 'flurbl', 'ingredient' => 'oat-flour']];
    expect(answer('2 cups flurbl', ['names' => $names])['lines'][0]['ingredient'])
        ->toBe('oat-flour')
        ->and(answer('2 cups flurbl')['lines'][0]['ingredient'])
        ->toBeNull();
});

it('lets no own word take the name of a poison', function (array $more, string $path): void {
    try {
        answer('1 cup oat flour', $more);
        $refused = null;
    } catch (MildBowl\Core\Questions\RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path);
})->with([
    [['names' => [['words' => 'raisins', 'ingredient' => 'blueberry']]], '/names/0/words'],
    [['names' => [['words' => 'Birch  sugar', 'ingredient' => 'sugar']]], '/names/0/words'],
    [['pantry' => [['name' => 'onion powder']]], '/pantry/0/name'],
    [['pantry' => [['name' => 'flurbl', 'names' => ['cocoa powder']]]], '/pantry/0/names/0'],
    [['names' => [['words' => 'flurbl', 'ingredient' => 'nothing']]], '/names/0/ingredient'],
    [['pantry' => [['name' => 'x', 'per100g' => ['fatG' => 90, 'proteinG' => 40]]]], '/pantry/0/per100g'],
    [['pantry' => [['name' => 'x', 'groups' => ['blob']]]], '/pantry/0/groups/0'],
]);

it('computes with a kitchen\'s own food and screens its label', function (): void {
    $own = [
        'name' => 'quay crunch',
        'groups' => ['wheat'],
        'gramsPerCup' => 100,
        'per100g' => ['kcal' => 400, 'proteinG' => 10, 'fatG' => 5, 'carbohydrateG' => 75, 'sodiumMg' => 200],
    ];
    $line = answer('2 cups quay crunch', ['pantry' => [$own], 'dogs' => [dog('Rex', ['allergies' => ['gluten']])]])['lines'][0];

    expect($line['grams']['best'])
        ->toEqualWithDelta(200, 1e-6)
        ->and($line['kcal']['best'])
        ->toEqualWithDelta(800, 1e-6)
        ->and(array_column($line['findings'], 'code'))
        ->toContain('allergy-gluten')
        ->toContain('own-food');
    expect(found(answer('2 cups quay crunch', ['pantry' => [$own + ['ingredients' => 'wheat flour, raisins']]])))
        ->toContain('never:grape')
        ->not->toContain('check-label:own-food');
});
