<?php

declare(strict_types=1);

/**
 * What must hold of every row: nothing that is said vanishes, and how a row is joined, cut, marked or shouted changes nothing. Rows are put
 * together by chance from amounts and foods of every kind.
 */

use MildBowl\Core\Questions\RequestRefused;
use Random\Engine\Mt19937;
use Random\Randomizer;

const MEASURED_LINES = [
    '2 cups oat flour', '1 1/2 cups rice flour', '½ cup honey', '3 tbsp olive oil', '1 tsp ground ginger', '200 g minced turkey', '2 large eggs', '1 carrot, grated', '1 cup plain pumpkin purée',
    '100 ml water', '1 cup (90 g) rolled oats', 'a cup and a half of barley flour', 'half a banana', '1/4 cup raisins', '1 onion', '2 tbsp cocoa powder', '50 g dark chocolate', '1 tsp nutmeg',
    '100 g chicken liver', '1 tin sardines in water', '2 x 400 g tins chickpeas, drained', '30 g cheddar, grated', '1 tsp xylitol', '100 g dried mango', '1 tbsp beetroot powder', '100 g smoked haddock',
    '1 kg pork ribs', '100 g plum pudding', '1 cup seasoned breadcrumbs', '1 cup flurbl', '50 g butter', '1 handful parsley', '3 sticks of celery', '1 pinch salt', '1 tbsp chia seeds', '5 g zinc oxide',
    '1 medium sweet potato', '12 blueberries', '1 cup milk', '250 g minced beef liver', '1 clove garlic', '2 tsp tahini', '1/2 cup frozen peas', '100 g banana bread', '75 g cooked rice', '1 egg white',
];

/** @return array{list<string>, float, float} what is found, grams and energy of all lines of a text */
function sumOf(string $text): array
{
    $found = [];
    $grams = $kcal = 0.0;
    foreach (answer($text)['lines'] as $line) {
        $grams += $line['grams']['best'] ?? 0.0;
        $kcal += $line['kcal']['best'] ?? 0.0;
        $found[] = $line['ingredient'] ?? '?';
        foreach ($line['findings'] as $one) {
            $found[] = "{$one['level']}:{$one['code']}";
        }
    }
    $found = array_values(array_unique($found));
    sort($found);

    return [$found, round($grams, 3), round($kcal, 3)];
}

/** @return list<list<string>> lines by chance, the same each time */
function somePairs(int $seed, int $of, int $most = 4): array
{
    $chance = new Randomizer(new Mt19937($seed));
    $sets = [];
    for ($n = 0; $n < $of; $n++) {
        $keys = $chance->pickArrayKeys(MEASURED_LINES, $chance->getInt(2, $most));
        $sets[] = $chance->shuffleArray(array_map(static fn (int $key): string => MEASURED_LINES[$key], $keys));
    }

    return $sets;
}

it('reads a row of several amounts as so many rows', function (string $joint): void {
    $odd = [];
    foreach (somePairs(strlen($joint) + ord($joint[0]), 120) as $lines) {
        $apart = sumOf(implode("\n", $lines));
        $joined = sumOf(implode($joint, $lines));
        if ($apart !== $joined) {
            $odd[] = implode($joint, $lines).': '.json_encode($joined).' instead of '.json_encode($apart);
        }
    }
    expect($odd)->toBe([]);
})->with([', ', ' and ', '; ', ' + ', ' & ', ', and ', ' plus ', '. ', ' with ', ' ']);

it('reads a row alike whatever stands around it', function (string $before, string $after): void {
    $odd = [];
    foreach (MEASURED_LINES as $line) {
        if (sumOf($line) !== sumOf("$before$line$after")) {
            $odd[] = "$before$line$after: ".json_encode(sumOf("$before$line$after")).' instead of '.json_encode(sumOf($line));
        }
    }
    expect($odd)->toBe([]);
})->with([
    ['', ':'], ['', ' :'], ['(', ')'], ['[', ']'], ['- ', ''], ['• ', ''], ['1. ', ''], ['3) ', ''], ['* ', ''], ['[ ] ', ''], ['**', '**'], ['## ', ''], ['', '.'], ['', ','], ['', ';'], ['  ', '  '],
    ['Topping: ', ''], ['For the dough: ', ''], ['Ingredients: ', ''], ['You need ', ''], ['> ', ''], ['', ' !'], ['– ', ''], ['☐ ', ''], ["\u{200B}", "\u{FEFF}"], ['and ', ''], ['plus ', ''], ['then ', ''],
]);

it('reads capitals as small letters, but for spoons', function (): void {
    $odd = array_values(array_filter(MEASURED_LINES, static fn (string $line): bool => sumOf($line) !== sumOf(mb_strtoupper($line))));

    expect($odd)->toBe([]);
});

it('finds in a row no less than in each of its parts', function (): void {
    $odd = [];
    foreach (somePairs(77, 150, 3) as [$one, $two]) {
        foreach ([', ', ' or ', ' (', ' in ', ' of ', ' on ', ' with no ', ' '] as $joint) {
            $said = sumOf("$one$joint$two")[0];
            $lost = array_diff(array_filter(sumOf($one)[0], static fn (string $found): bool => str_starts_with($found, 'never:') || str_starts_with($found, 'check-label:form') || $found === 'unknown:form-unknown'), $said);
            if ($lost !== []) {
                $odd[] = "$one$joint$two loses ".implode(' ', $lost);
            }
        }
    }
    expect($odd)->toBe([]);
});

it('gives every word of a row to a food, to an amount, to what is harmless, or asks', function (): void {
    $chance = new Randomizer(new Mt19937(5));
    $odd = [];
    for ($n = 0; $n < 400; $n++) {
        $strange = ['flurbl', 'wurzelled', 'glumly', 'zworging', 'brandywined', 'Sauterned', 'grumbish'][$chance->getInt(0, 6)];
        $line = MEASURED_LINES[$chance->getInt(0, count(MEASURED_LINES) - 1)];
        $words = explode(' ', $line);
        array_splice($words, $chance->getInt(0, count($words)), 0, [$strange]);
        $row = implode(' ', $words);
        $levels = array_column(array_merge(...array_column(answer($row)['lines'], 'findings')), 'level');
        if (array_intersect($levels, ['unknown', 'never']) === []) {
            $odd[] = $row;
        }
    }
    expect($odd)->toBe([]);
});

it('refuses in words a number nobody can mean', function (string $number): void {
    $found = array_column(array_merge(...array_column(answer("$number oat flour")['lines'], 'findings')), 'code');

    expect($found)->toContain('number-odd');
})->with(['1/0 cups', '1,000,000 g', '1e308 cups', '99999999999/3 cups', '2OO g', '12345678 g', '1.000.000 g', '900 kg', '40000 cups']);

it('takes no longer than a moment for one row of twenty thousand letters', function (string $piece): void {
    $row = mb_substr(str_repeat($piece, 20000), 0, 19900);
    $start = hrtime(true);
    try {
        answer($row);
    } catch (RequestRefused $refused) {
        expect($refused->getMessage())->toContain('At most 200 lines');
    }
    expect((hrtime(true) - $start) / 1e9)->toBeLessThan(15.0);
})->with(['1 egg, ', 'a ', 'no ', '(', '1/2 ', 'oat flour and ', 'without onion or ', '½', '🥕', 'cup ']);

it('scores no less than it did on the sets that were written before it', function (string $set, float $least): void {
    $score = MildBowl\Core\Tests\Support\Measured::of($set);

    expect($score->right / $score->of)->toBeGreaterThanOrEqual($least, implode("\n", $score->misses));
})->with([['stops', 1.0], ['ordinary', 0.99], ['weighed', 0.97], ['rows', 1.0], ['label-lists', 0.95]]);
