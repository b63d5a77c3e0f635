<?php

declare(strict_types=1);

use MildBowl\Core\Feeding\PieceShare;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

const BIRTHDAY = "For the cake:\n180 g whole wheat flour\n200 g mashed banana\n2 eggs\n50 g rapeseed oil\nFor the frosting:\n150 g low-fat cream cheese";

/**
 * @param  array<string, mixed>  $occasion
 * @return array<string, mixed>
 */
function feast(array $occasion, array $dogs, string $text = BIRTHDAY, array $more = []): array
{
    $answer = Asking::of('occasion', $more + ['version' => 1, 'recipe' => ['text' => $text], 'cut' => ['shape' => 'slices', 'count' => 12], 'bake' => ['texture' => 'cake'], 'dogs' => $dogs, 'occasion' => $occasion]);
    expect(schemaErrors($answer, 'occasion-answer'))->toBe('');

    return $answer;
}

it('understands how many pieces somebody means', function (string $said, ?float $pieces): void {
    $is = PieceShare::read($said, 12.0);
    $pieces === null ? expect($is)->toBeNull($said) : expect($is)->toEqualWithDelta($pieces, 1e-9, $said);
})->with([
    ['2', 2.0], ['1.5', 1.5], ['1,5 slices', 1.5], ['two slices', 2.0], ['a slice', 1.0], ['one slice', 1.0], ['half a slice', 0.5], ['½ slice', 0.5], ['1/2 a slice', 0.5],
    ['1 1/2 slices', 1.5], ['one and a half slices', 1.5], ['a quarter of a slice', 0.25], ['three quarters of a slice', 0.75], ['1½ slices', 1.5],
    ['a sixth', 2.0], ['one sixth', 2.0], ['two thirds', 8.0], ['half the cake', 6.0], ['half of the cake', 6.0], ['a third of the cake', 4.0], ['the whole cake', 12.0], ['1/6 of the cake', 2.0],
    ['one of six slices', 2.0], ['1 of 6', 2.0], ['two out of eight pieces', 3.0], ['one in six', 2.0], ['a twelfth', 1.0],
    ['plenty', null], ['', null], ['a slice of life and more', null], ['some', null],
]);

it('takes words for an amount, and refuses what nobody can tell', function (): void {
    $dogs = [dog('Bosun', ['weightKg' => 30])];
    expect(feast(['dog' => 'Bosun', 'pieces' => 'half a slice'], $dogs)['party'][0]['pieces'])->toBe(0.5)
        ->and(feast(['dog' => 'Bosun', 'pieces' => 'one of twenty-four slices'], $dogs)['party'][0]['pieces'] ?? null)->not->toBeNull();
})->throws(RequestRefused::class);

it('refuses an amount that cannot be, at its place', function (mixed $pieces): void {
    expect(fn () => feast(['dog' => 'Bosun', 'pieces' => $pieces], [dog('Bosun')]))->toThrow(fn (RequestRefused $e) => expect($e->path)->toBe('/occasion/pieces'));
})->with([[0], [-1], [1000.5], [true], ['x'], [''], [[1]]]);

it('spreads a healthy dog\'s fat over the borrowed days, and no illness\'s', function (): void {
    $rich = "200 g plain flour\n150 g butter\n3 eggs\n100 g full-fat cream cheese";
    $healthy = feast(['dog' => 'Rex', 'pieces' => 1], [dog('Rex', ['weightKg' => 15])], $rich);
    expect($healthy['possible'])->toBeTrue($healthy['says'])->and($healthy['daysWithout'])->toBeGreaterThan(0);
    $ill = feast(['dog' => 'Rex', 'pieces' => 1], [dog('Rex', ['weightKg' => 15, 'conditions' => ['pancreatitis']])], $rich, ['confirmed' => [['code' => 'ask-vet', 'line' => null, 'dog' => 'Rex']]]);
    expect($ill['possible'])->toBeFalse()->and($ill['why'])->toContain('fat')->toContain('never borrowed');
});

it('never borrows against another dose', function (): void {
    $salty = "200 g plain flour\n1 1/2 tsp salt\n2 eggs\n100 g water";
    $answer = feast(['dog' => 'Rex', 'pieces' => 2], [dog('Rex', ['weightKg' => 8])], $salty);
    expect($answer['possible'])->toBeFalse()->and($answer['why'])->toContain('sodium');
});

it('goes without for as many days as the fat takes, when that is longer', function (): void {
    $lean = feast(['dog' => 'Rex', 'pieces' => 1], [dog('Rex', ['weightKg' => 15])], "200 g plain flour\n200 g mashed banana\n2 eggs");
    $fat = feast(['dog' => 'Rex', 'pieces' => 1], [dog('Rex', ['weightKg' => 15])], "200 g plain flour\n170 g butter\n2 eggs");
    expect($fat['daysWithout'])->toBeGreaterThan($lean['daysWithout']);
});

it('asks for all dogs of a party at once, and draws who gets which slice', function (): void {
    $dogs = [dog('Bosun', ['weightKg' => 30]), dog('Quill', ['weightKg' => 12]), dog('Pip', ['weightKg' => 3]), dog('Ferris', ['weightKg' => 30, 'without' => ['For the frosting']]), dog('Sorrel', ['allergies' => ['dairy'], 'weightKg' => 20])];
    $answer = feast(['dogs' => array_map(static fn (array $one): array => ['dog' => $one['name']], $dogs)], $dogs);
    $given = array_column($answer['party'], 'pieces', 'dog');
    expect($given['Bosun'])->toBe(1.0)->and($given['Sorrel'])->toBe(0.0)->and($given['Pip'])->toBeLessThan(1.0);
    $shared = [];
    foreach ($answer['slices'] as $slice) {
        expect(array_sum(array_column($slice['parts'], 'share')))->toBeLessThanOrEqual(1.0 + 1e-9);
        foreach ($slice['parts'] as $part) {
            $shared[$part['dog']] = ($shared[$part['dog']] ?? 0.0) + $part['share'];
            expect($part['without'])->toBe($part['dog'] === 'Ferris' ? ['For the frosting'] : []);
        }
    }
    foreach ($given as $dog => $pieces) {
        expect($shared[$dog] ?? 0.0)->toEqualWithDelta($pieces, 1e-9, $dog);
    }
    expect($answer['leftPieces'])->toEqualWithDelta(12 - array_sum($given), 1e-9);
});
