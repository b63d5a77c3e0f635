<?php

declare(strict_types=1);

use MildBowl\Core\Data;

/**
 * A dog each dose row holds for, by the row's own words.
 *
 * @return array<string, mixed>
 */
function dogFor(string $who): array
{
    $one = explode('|', $who)[0];

    return dog('Rex', match ($one) {
        '', 'healthy', 'grown', 'garlic-measured' => [],
        'growing' => ['ageMonths' => 6, 'expectedAdultWeightKg' => 14],
        'growing-large' => ['weightKg' => 20, 'ageMonths' => 6, 'expectedAdultWeightKg' => 45],
        default => ['conditions' => [$one]],
    });
}

/** A food that brings the substance of a row, plainly written. */
const BRINGERS = [
    'sodiumMg' => 'salt', 'fatG' => 'olive oil', 'addedSugarG' => 'honey', 'coumarinMg' => 'cassia cinnamon', 'retinolUg' => 'beef liver', 'vitaminDUg' => 'cod liver oil',
    'calciumMg' => 'ground eggshell', 'newFibreG' => 'psyllium husk', 'kelpG' => 'kelp powder', 'garlicG' => 'fresh garlic',
];

it('holds a ration by every dose row of its dog', function (string $code, string $substance, string $who): void {
    $food = BRINGERS[$substance];
    $ask = static fn (float $grams): array => answer("300 g oat flour\n150 g water\n".number_format($grams, 3, '.', '')." g $food", [
        'dogs' => [dogFor($who)], 'cut' => ['shape' => 'pieces', 'count' => 60], 'policy' => ['garlic' => $code === 'garlic' ? 'measured' : 'avoid'],
    ]);
    // the more of it there is, the fewer pieces its own limit leaves, and at last it is the one that holds
    $before = INF;
    $held = false;
    foreach ([0.05, 0.5, 2, 8, 30, 120, 400, 4000] as $grams) {
        $ration = $ask($grams)['rations'][0];
        $limit = array_column($ration['limits'], 'piecesPerDay', 'code')[$code] ?? null;
        expect($limit)->not->toBeNull("$code with $grams g $food")->and($limit)->toBeLessThan($before);
        $before = $limit;
        $least = min(array_column($ration['limits'], 'piecesPerDay'));
        expect($ration['ifCleared'])->toBeLessThanOrEqual($least + 1e-9);
        $held = $held || $limit <= $least + 1e-9;
    }
    // a grown dog's whole budget in liver stays just under its vitamin A
    expect($held || ($code === 'vitamin-a' && $who === 'grown'))->toBeTrue("$code never holds");
})->with(function () {
    foreach (Data::tables()['doses'] as $row) {
        if ($row['limit'] !== '' && ! in_array(explode('|', $row['who'])[0], ['pregnant'], true)) {
            yield "{$row['code']} for ".($row['who'] === '' ? 'every dog' : $row['who']) => [$row['code'], $row['substance'], $row['who']];
        }
    }
});

it('takes the stricter row for a dog with a condition', function (string $condition, string $code, string $line): void {
    $pieces = static fn (array $more): float => array_column(answer("300 g oat flour\n150 g water\n$line", ['dogs' => [dog('Rex', $more)], 'cut' => ['shape' => 'pieces', 'count' => 60]])['rations'][0]['limits'], 'piecesPerDay', 'code')[$code];
    expect($pieces(['conditions' => [$condition]]))->toBeLessThan($pieces([]));
})->with([
    ['heart', 'sodium', '1 g salt'],
    ['heart-advanced', 'sodium', '1 g salt'],
    ['kidney', 'sodium', '1 g salt'],
    ['pancreatitis', 'fat', '10 g olive oil'],
    ['hyperlipidaemia', 'fat', '10 g olive oil'],
    ['sensitive-stomach', 'fat', '10 g olive oil'],
]);

it('takes off what the dog had today, dose by dose', function (string $key, string $code, string $line, float $had): void {
    $limits = static fn (array $already): array => array_column(answer("300 g oat flour\n150 g water\n$line", ['dogs' => [dog('Rex', ['alreadyToday' => (object) $already])], 'cut' => ['shape' => 'pieces', 'count' => 60]])['rations'][0]['limits'], 'piecesPerDay', 'code');
    expect($limits([$key => $had])[$code])->toBeLessThan($limits([])[$code])->and($limits([$key => 1e6])[$code])->toBe(0.0);
})->with([
    ['kcal', 'budget', '1 g parsley', 10.0],
    ['sodiumMg', 'sodium', '2 g salt', 40.0],
    ['fatG', 'fat', '20 g olive oil', 1.0],
    ['addedSugarG', 'added-sugar', '20 g honey', 1.0],
    ['vitaminAUg', 'vitamin-a', '20 g beef liver', 200.0],
    ['coumarinMg', 'coumarin', '2 g cassia cinnamon', 0.2],
]);

it('names in the finding what it comes to in this dog\'s full ration', function (): void {
    $answer = answer("300 g oat flour\n150 g water\n8 g salt", ['dogs' => [dog('Ada')], 'cut' => ['shape' => 'pieces', 'count' => 60]]);
    $finding = array_values(array_filter($answer['lines'][2]['findings'], static fn (array $one): bool => $one['code'] === 'sodium'))[0];
    expect($finding['level'])->toBe('limit')->and($finding['dog'])->toBe('Ada')->and($finding['figure'])->toContain('Ada')->toContain('200')->and($finding['message'])->toMatch('/Sodium is \d+ mg/');
});

it('stands a dose on the lines that bring it, and always on the largest', function (): void {
    $answer = answer("300 g oat flour\n3 g salt\n2.5 g salt\n100 g water", ['dogs' => [dog()], 'cut' => ['shape' => 'pieces', 'count' => 60]]);
    $has = array_map(static fn (array $line): bool => in_array('sodium', array_column($line['findings'], 'code'), true), $answer['lines']);
    expect($has)->toBe([false, true, true, false]);
});
