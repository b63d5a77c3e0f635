<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Cases;

/**
 * @param  string  $recipe  lines divided by semicolons
 * @param  string  $cut  "round diameterMm=30 thicknessMm=6"
 * @return array<string, mixed>
 */
function heated(string $recipe, string $cut, string $texture, string $process = '-', array $part = [], array $more = []): array
{
    $sizes = explode(' ', $cut);
    $request = ['shape' => array_shift($sizes)];
    foreach ($sizes as $size) {
        [$key, $value] = explode('=', $size);
        $request[$key] = (float) $value;
    }
    $parts = $process === '-' && $part === [] ? [] : [['section' => null, 'role' => 'body'] + ($process === '-' ? [] : ['process' => $process]) + $part];

    return answer(str_replace('; ', "\n", $recipe), ['explain' => true, 'cut' => $request, 'bake' => ['texture' => $texture]] + $more + ['recipe' => ['parts' => $parts]]);
}

it('gives the minutes of every class within a quarter', function (string $recipe, string $cut, string $texture, string $process, string $stage, string $from, string $to, string $celsius): void {
    $given = heated($recipe, $cut, $texture, $process)['portions'][0]['heat']['stages'][(int) $stage - 1];
    $middle = ((float) $from + (float) $to) / 2;
    expect(($given['minutesLow'] + $given['minutesHigh']) / 2)->toEqualWithDelta($middle, 0.25 * $middle)
        ->and($given['celsius'])->toBe($celsius === '-' ? null : (int) $celsius)
        ->and($given['firstLookMinutes'])->toBe(max(1, (int) floor(0.8 * $given['minutesLow'] + 1e-9)), 'first look')
        ->and($given['sign'])->not->toBe('');
})->with(fn (): array => Cases::cells('heat-classes.txt'));

it('loses what leaves, not more: meat about a quarter, a cake a tenth, a crisp all but its last water', function (string $recipe, string $cut, string $texture, string $process, float $least, float $most): void {
    $answer = heated($recipe, $cut, $texture, $process);
    $lost = 1 - $answer['parts'][0]['keptGrams']['best'] / $answer['parts'][0]['doughGrams']['best'];
    expect($lost)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
})->with([
    'meatballs' => ['600 g minced pork; 100 g oat flour; 1 egg', 'ball diameterMm=25', 'soft', '-', 0.20, 0.28],
    'a meat drop by the spoon' => ['500 g minced turkey; 60 g rolled oats; 1 egg', 'scoop ml=15', 'biscuit', '-', 0.20, 0.28],
    'a thick patty called a biscuit' => ['500 g minced turkey; 60 g rolled oats; 1 egg', 'round diameterMm=50 thicknessMm=20', 'biscuit', '-', 0.20, 0.28],
    'a thin one is a crisp' => ['500 g minced turkey; 60 g rolled oats; 1 egg', 'round diameterMm=40 thicknessMm=4', 'biscuit', '-', 0.50, 0.70],
    'a loaf of meat' => ['600 g minced pork; 100 g oat flour; 1 egg', 'slices count=10', 'cake', '-', 0.18, 0.28],
    'patties' => ['500 g tinned salmon, drained; 60 g rice flour; 1 egg', 'round diameterMm=40 thicknessMm=15', 'soft', '-', 0.20, 0.28],
    'pancakes' => ['200 g plain flour; 280 g milk; 2 eggs', 'round diameterMm=80 thicknessMm=6', 'soft', 'griddle', 0.14, 0.22],
    'a tray that was wetter than it leaves' => ['400 g lamb liver, liquidised; 300 g rice flour; 1 egg', 'grid sheetWidthMm=200 sheetLengthMm=300 depthMm=11 columns=5 rows=10', 'tray', '-', 0.10, 0.30],
    'a cake' => ['200 g plain flour; 300 g mashed banana; 2 eggs', 'slices count=10', 'cake', '-', 0.07, 0.14],
    'small cakes' => ['150 g oat flour; 200 g plain pumpkin purée; 2 eggs', 'mould cavityMl=30 cavities=24', 'cake', '-', 0.08, 0.151],
    'seeds' => ['200 g pumpkin seeds, hulled', 'pieces count=10', 'hard', '-', 0.0, 0.06],
    'a biscuit' => ['300 g whole wheat flour; 195 g water', 'round diameterMm=40 thicknessMm=6', 'biscuit', '-', 0.30, 0.42],
    'boiled chicken' => ['500 g chicken breast, diced', 'pieces count=60', 'none', 'hob', 0.20, 0.30],
]);

it('keeps every solid, whatever the class', function (): void {
    foreach (['ball diameterMm=25', 'mould cavityMl=30 cavities=24', 'round diameterMm=40 thicknessMm=6', 'slices count=8', 'scoop ml=10'] as $cut) {
        foreach (['cake', 'tray', 'soft', 'chewy', 'biscuit', 'hard', 'jerky', 'frozen', 'none'] as $texture) {
            foreach (['500 g minced beef; 20 g oat flour', '300 g dried apple; 50 g oat flour', '300 g plain flour; 400 g water', '6 eggs; 20 g oat flour'] as $recipe) {
                $answer = heated($recipe, $cut, $texture);
                $kept = $answer['parts'][0]['keptGrams'];
                $water = $answer['piece']['nutrients']['waterG'] * $answer['piece']['count']['best'];
                $solids = $answer['batch']['doughGrams']['best'] - $water;
                expect($kept['best'])->toBeGreaterThanOrEqual(min($solids, $kept['high']) - 1, "$recipe, $cut, $texture")
                    ->toBeLessThanOrEqual($answer['parts'][0]['doughGrams']['best'] + 1e-6)
                    ->and($kept['low'])->toBeLessThanOrEqual($kept['best'])->and($kept['high'])->toBeGreaterThanOrEqual($kept['best']);
            }
        }
    }
});

it('dries longer what is thicker, wetter, cooler, and to less', function (): void {
    $minutes = static fn (string $recipe, float $mm, array $part = [], array $more = []): int => heated($recipe, "round diameterMm=50 thicknessMm=$mm", 'chewy', 'dried', $part, $more)['portions'][0]['heat']['stages'][0]['minutesLow'];
    $usual = $minutes('500 g sweet potato, sliced', 5);
    expect($minutes('500 g sweet potato, sliced', 8))->toBeGreaterThan($usual)
        ->and($minutes('500 g courgette, sliced', 5))->toBeGreaterThan($usual)
        ->and($minutes('500 g sweet potato, sliced', 5, [], ['oven' => ['celsius' => 70]]))->toBeGreaterThan($usual)
        ->and($minutes('500 g sweet potato, sliced', 5, ['keeps' => ['grams' => 300]]))->toBeLessThan($usual)
        ->and($minutes('500 g sweet potato, sliced', 5, ['keeps' => ['grams' => 130]]))->toBeGreaterThan($usual - 30);
});

it('fills a mould as full as its leaven allows', function (): void {
    $pieces = static fn (string $recipe): float => heated($recipe, 'mould cavityMl=30 cavities=24', 'cake')['piece']['count']['best'];
    $flat = $pieces('150 g oat flour; 200 g plain pumpkin purée; 2 eggs');
    expect($pieces('150 g oat flour; 200 g plain pumpkin purée; 2 eggs; 1 tsp baking powder'))->toEqualWithDelta($flat / 0.7, 1.0)
        ->and($pieces('150 g self-raising flour; 200 g plain pumpkin purée; 2 eggs'))->toBeGreaterThan($flat);
});

it('fills a pie with crust and filling together', function (): void {
    $pies = heated('300 g plain flour; 120 g butter; 80 g water; For the filling:; 300 g apple, peeled, cored and diced', 'mould cavityMl=90 cavities=12', 'biscuit');
    expect($pies['piece']['count']['best'])->toBe(8.0)->and($pies['parts'][1]['gramsPerPiece']['best'])->toBeGreaterThan(30);
});

it('holds the ration by the most that an unknown food may bring', function (): void {
    $text = "200 g oat flour\n80 g water";
    $with = answer("$text\n100 g five-spice powder", ['dogs' => [dog('Rex', ['weightKg' => 10])]]);
    $without = answer($text, ['dogs' => [dog('Rex', ['weightKg' => 10])]]);
    expect($with['lines'][2]['kcal'])->toBeNull()
        ->and($with['batch']['kcal']['low'])->toBeLessThanOrEqual($without['batch']['kcal']['best'] + 1e-6)
        ->and($with['batch']['kcal']['high'])->toEqualWithDelta($without['batch']['kcal']['best'] + 900, 1e-6)
        ->and($with['piece']['kcal']['best'])->toBeGreaterThan($without['piece']['kcal']['best'])
        ->and(array_column($with['rations'][0]['limits'], 'code'))->toContain('unknown-energy')
        ->and(implode(' ', array_column($with['assumptions'], 'message')))->toContain('held by the most');
});
