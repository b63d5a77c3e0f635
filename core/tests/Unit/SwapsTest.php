<?php

declare(strict_types=1);

use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Swaps\Jobs;
use MildBowl\Core\Tests\Support\Asking;

/** @return array<string, mixed> */
function swapsFor(string $text, int $line, array $more = []): array
{
    $answer = Asking::json('swaps', (
        json_encode(
            ['version' => 1, 'recipe' => ['text' => $text], 'line' => $line, 'cut' => ['shape' => 'pieces', 'count' => 60]] + $more,
            JSON_THROW_ON_ERROR
        )
    )
    );
    expect(schemaErrors($answer, 'swaps-answer'))->toBe('');

    return $answer;
}

/** @return array<string, mixed> */
function doughFor(string $text, array $more = []): array
{
    $answer = Asking::json('dough', (json_encode(['version' => 1, 'recipe' => ['text' => $text]] + $more, JSON_THROW_ON_ERROR)));
    expect(schemaErrors($answer, 'dough-answer'))->toBe('');

    return $answer;
}

it('feels thirty formulas as the hand does', function (string $feel, string $formula): void {
    expect(answer(str_replace('; ', "\n", $formula))['batch']['feel'])->toBe($feel);
})->with(fn () => array_map(static fn (string $row): array => array_map(trim(...), explode('|', $row, 2)), cases('feels.txt')));

it('ranks what may stand in for a line, with its amount and its effect', function (): void {
    $answer = swapsFor("2 cups whole wheat flour\n1/2 cup raisins\n1/2 cup water", 1, ['dogs' => [dog()]]);
    $first = $answer['candidates'][0];

    expect($first['texts'])
        ->toBe(['½ cup blueberries'])
        ->and($first['serves'])
        ->toBe(['Rex'])
        ->and($first['recipeText'])
        ->toContain('½ cup blueberries')
        ->toContain('2 cups whole wheat flour')
        ->and($first['after']['kcalPerPiece'])
        ->toBeLessThan($answer['before']['kcalPerPiece'])
        ->and($first['after']['rations'][0]['pieces'])
        ->toBeGreaterThan(0)
        ->and($first['reason'])
        ->toContain('grape')
        ->and(array_column($answer['candidates'], 'action'))
        ->toContain('remove');
});

it('keeps the dough as it was, in the recipe\'s own units', function (): void {
    $byCup = swapsFor("2 cups oat flour\n1 large egg\n1/4 cup water", 1)['candidates'][0];
    $byGram = swapsFor("200 g oat flour\n50 g egg\n60 g water", 0, ['dogs' => [dog()]])['candidates'][0];

    expect($byCup['texts'][0])->toMatch('/tbsp|tsp|cup/')->and($byGram['texts'][0])->toMatch('/^\d+ g /');
    $answer = swapsFor("2 cups whole wheat flour\n1/2 cup water\n1 large egg", 0);
    foreach ($answer['candidates'] as $candidate) {
        if ($candidate['action'] === 'swap') {
            expect(abs($candidate['after']['wetness'] - $answer['before']['wetness']))->toBeLessThan(0.06, $candidate['texts'][0]);
        }
    }
});

it('says what the dough can still be made into', function (): void {
    $answer = swapsFor("2 cups oat flour\n1 large egg\n1/4 cup water", 0);
    expect($answer['before']['made'])->toBe('rolled');
    $made = [
        'crumbles' => 'pressed',
        'stiff, rolls with effort' => 'rolled',
        'rolls cleanly' => 'rolled',
        'tacky, drop or ball' => 'dropped',
        'spread in a tray' => 'spread',
        'a batter' => 'poured',
    ];
    foreach ($answer['candidates'] as $candidate) {
        // what the sheet itself would say of the recipe with the swap in it
        $feel = answer($candidate['recipeText'])['batch']['feel'];
        expect($candidate['after']['feel'])
            ->toBe($feel)
            ->and($candidate['after']['made'])
            ->toBe($feel === null ? null : $made[$feel]);
    }
});

it('shows what a swap costs where prices are known', function (): void {
    $prices = [
        ['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 4],
        ['ingredient' => 'raisin', 'grams' => 500, 'price' => 5],
        ['ingredient' => 'blueberry', 'grams' => 100, 'price' => 2],
    ];
    $answer = swapsFor("200 g oat flour\n50 g raisins\n100 g water", 1, ['dogs' => [dog()], 'prices' => $prices]);
    expect($answer['before']['cost']['known'])
        ->toEqualWithDelta(0.8 + 0.5, 1e-9)
        ->and($answer['before']['cost']['share'])
        ->toEqualWithDelta(1.0, 1e-9);
    $berries = array_values(
        array_filter($answer['candidates'], static fn (array $one): bool => str_contains($one['texts'][0] ?? '', 'blueberries'))
    )[0];
    expect($berries['after']['cost']['known'])->toBeGreaterThan($answer['before']['cost']['known']);
    $unknown = array_values(array_filter($answer['candidates'], static fn (array $one): bool => str_contains($one['texts'][0] ?? '', 'apple')))[0];
    expect($unknown['after']['cost']['share'])->toBeLessThan(1.0);
    expect(swapsFor("200 g oat flour\n50 g raisins", 1)['before']['cost'])->toBeNull();
});

it('refuses a price of nothing known, or for a pack of nothing', function (array $price, string $path): void {
    try {
        answer('1 cup oat flour', ['prices' => [$price]]);
        $found = null;
    } catch (RequestRefused $refused) {
        $found = $refused->path;
    }
    expect($found)->toBe($path);
})->with([
    [['ingredient' => 'flurbl', 'grams' => 100, 'price' => 1], '/prices/0/ingredient'],
    [['ingredient' => 'oat-flour', 'grams' => 0, 'price' => 1], '/prices/0/grams'],
    [['ingredient' => 'oat-flour', 'grams' => 100, 'price' => -1], '/prices/0/price'],
    [['ingredient' => 'oat-flour', 'grams' => 100], '/prices/0/price'],
]);

it('puts what worked in this kitchen first and what failed last', function (): void {
    $text = "2 cups barley flour\n1/2 cup raisins\n1/2 cup water";
    $own = [
        ['out' => 'raisin', 'in' => 'pear', 'ratio' => 1.2, 'rating' => 'good', 'note' => 'they loved it'],
        ['out' => 'raisin', 'in' => 'blueberry', 'rating' => 'bad'],
    ];
    $texts = array_map(static fn (array $one): string => $one['texts'][0] ?? '', swapsFor($text, 1, ['swaps' => $own])['candidates']);

    expect($texts[0])->toContain('pear')->and(array_search('½ cup blueberries', $texts, true))->toBeGreaterThan(2);
});

it('keeps to the jobs a person says the line does', function (): void {
    $texts = static fn (array $more): array => array_map(
        static fn (array $one): string => implode(', ', $one['texts']),
        swapsFor("2 cups barley flour\n1/2 cup mashed banana", 1, $more)['candidates']
    );
    // of all that may stand in for banana only a purée binds
    expect($texts(['jobs' => ['bind']]))
        ->toBe(['½ cup plain pumpkin purée'])
        ->and(count($texts([])))
        ->toBeGreaterThan(count($texts(['jobs' => ['bind']])))
        ->and($texts(['jobs' => ['leaven']]))
        ->toBe([]);
    expect(swapsFor("2 cups barley flour\n1 large egg", 1)['jobs'])->toContain('bind');
});

it('refuses a line that is none', function (array $more, string $path): void {
    expect(fn () => swapsFor('2 cups oat flour', ...$more))->toThrow(fn (RequestRefused $e) => expect($e->path)->toBe($path));
})->with([
    [[5], '/line'],
    [[0, ['jobs' => ['dance']]], '/jobs/0'],
    [[0, ['swaps' => [['out' => 'x', 'in' => 'apple']]]], '/swaps/0/out'],
    [[0, ['swaps' => [['out' => 'apple', 'in' => 'apple']]]], '/swaps/0/in'],
]);

it('needs flour to speak of wetness, and leaves a good dough alone', function (): void {
    expect(doughFor('1/2 cup water')['add'])->toBeNull()->and(doughFor("200 g oat flour\n1 large egg\n85 g water")['add'])->toBeNull();
});

it('knows what a kitchen\'s own food can do by its groups', function (string $group, string $job): void {
    $own = new Ingredient('own', 'own food', [$group => true], [], null, 'LABEL', 'B');
    expect(Jobs::can($own))->toBe([$job]);
})->with([
    ['meat', 'protein'],
    ['organ', 'protein'],
    ['fish', 'protein'],
    ['shellfish', 'protein'],
    ['cheese', 'protein'],
    ['oil', 'fat'],
    ['animal-fat', 'fat'],
    ['nut-butter', 'fat'],
    ['added-sugar', 'sweeten'],
    ['liquid', 'wet'],
    ['flour', 'bulk'],
    ['vegetable', 'bulk'],
    ['legume', 'bulk'],
    ['spice', 'flavour'],
    ['herb', 'flavour'],
    ['baking-leavener', 'leaven'],
    ['salt', 'flavour'],
]);

it('says of no swap what its mending says: how wet the dough becomes', function (): void {
    foreach (table('swaps') as $row) {
        expect($row['note'])->not->toMatch('/liquid|hold back|add (a little )?water/', $row['out'].' -> '.$row['in']);
    }
});

it('never speaks of more and of less liquid in one breath', function (): void {
    foreach (["250 g whole wheat flour\n100 g butter\n1 egg\n60 g water", "200 g coconut flour\n4 eggs\n200 g milk", "300 g plain flour\n80 g honey\n120 g milk", "250 g oat flour\n100 g peanut butter\n110 g water"] as $text) {
        for ($line = 0; $line < 3; $line++) {
            foreach (swapsFor($text, $line, ['dogs' => [dog()]])['candidates'] as $one) {
                $said = $one['reason'].' '.$one['mending'];
                expect(preg_match('/more/', (string) $one['mending']) === 1 && preg_match('/held back|less liquid/', $said) === 1)->toBeFalse($said);
            }
        }
    }
});
