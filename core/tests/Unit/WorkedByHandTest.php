<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;

/** Batches that bakers worked by hand, and what they found wrong in use. */
const BALLS = ['cut' => ['shape' => 'ball', 'diameterMm' => 25], 'bake' => ['texture' => 'soft']];

it('weighs out of the oven what a baker weighs', function (string $text, array $more, float $grams): void {
    $baked = answer($text, $more)['batch']['bakedGrams'];
    expect($baked['best'])->toEqualWithDelta($grams, 0.05 * $grams)
        ->and($baked['low'])->toBeLessThanOrEqual($grams)
        ->and($baked['high'])->toBeGreaterThanOrEqual($grams);
})->with([
    'soft meatballs' => ["600 g minced turkey\n98 g oat flour\n1 egg", BALLS, 570],
    'pancakes' => ["200 g plain flour\n300 g milk\n2 eggs\n26 g rapeseed oil", ['recipe' => ['parts' => [['section' => null, 'role' => 'body', 'process' => 'griddle']]], 'cut' => ['shape' => 'pieces', 'count' => 20], 'bake' => ['texture' => 'soft']], 510],
]);

it('loses a fifth to two sevenths where meat is the body, whatever soft thing it is to be', function (string $texture, array $cut): void {
    foreach (["400 g cod fillet, minced\n300 g mashed potato\n2 eggs\n100 g oat flour", "500 g minced beef\n80 g rolled oats\n1 egg"] as $text) {
        $answer = answer($text, ['bake' => ['texture' => $texture], 'cut' => $cut]);
        $lost = 1 - $answer['parts'][0]['keptGrams']['best'] / $answer['batch']['doughGrams']['best'];
        expect($lost)->toBeGreaterThanOrEqual(0.20)->toBeLessThanOrEqual(0.28);
    }
})->with(['soft', 'tray', 'cake'])->with([
    'a tray' => [['shape' => 'grid', 'sheetWidthMm' => 200, 'sheetLengthMm' => 300, 'depthMm' => 15, 'columns' => 5, 'rows' => 10]],
    'counted' => [['shape' => 'pieces', 'count' => 40]],
    'rounds' => [['shape' => 'round', 'diameterMm' => 40, 'thicknessMm' => 8]],
    'drops' => [['shape' => 'scoop', 'ml' => 15]],
    'moulds' => [['shape' => 'mould', 'cavityMl' => 15, 'cavities' => 24]],
    'slices' => [['shape' => 'slices', 'count' => 12]],
]);

it('counts what nobody knows from nothing to pure fat, so that the truth lies within', function (string $text, float $kcal): void {
    $answer = answer($text, BALLS);
    expect($answer['batch']['kcal']['low'])->toBeLessThan($kcal)->and($answer['batch']['kcal']['high'])->toBeGreaterThan($kcal);
    expect(array_filter($answer['lines'], static fn (array $line): bool => $line['kcal'] === null))->not->toBe([]);
})->with([
    'sweetened cranberries' => ["500 g minced turkey\n100 g dried cranberries\n60 g rolled oats\n1 egg", 1500],
    'candy melts' => ["200 g oat flour\n100 g water\n150 g yogurt-flavoured candy melts", 1600],
]);

it('reads organs as the organs they are', function (string $line, string $food): void {
    $answer = answer($line, ['dogs' => [dog('Stone', ['conditions' => ['urate-stones']])]]);
    expect($answer['lines'][0]['ingredient'])->toBe($food)
        ->and($answer['verdict']['dogs'][0]['cleared'])->toBeFalse();
})->with([
    ['100 g beef lung', 'beef-lung'], ['100 g lamb kidney', 'lamb-kidney'], ['100 g pork kidney', 'pork-kidney'],
    ['100 g lung', 'offal-unnamed'], ['100 g kidney', 'offal-unnamed'],
]);

it('knows the skin of a fish from its flesh', function (): void {
    expect(answer('50 g cod skin')['lines'][0]['ingredient'])->toBe('hake-skin');
});

it('makes a piece as much leaner as was asked, baked', function (): void {
    $text = "250 g oat flour\n60 g butter\n2 tbsp honey\n1 egg\n60 g water";
    $cut = ['cut' => ['shape' => 'round', 'diameterMm' => 30, 'thicknessMm' => 6]];
    $before = answer($text, $cut)['piece']['kcal']['best'];
    foreach (Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => $text], 'dogs' => [dog()], 'goals' => ['fewer-calories:30']] + $cut)['rescues'] as $rescue) {
        expect($rescue['cut'])->toBeNull()
            ->and(answer($rescue['recipeText'], $cut)['piece']['kcal']['best'])->toBeLessThanOrEqual(0.7 * $before + 0.05);
    }
});

it('is careful with the very young', function (string $text, array $dog, array $more): void {
    expect(answer($text, ['dogs' => [dog('Pup', $dog)]] + $more)['verdict']['dogs'][0]['cleared'])->toBeFalse();
})->with([
    'jerky at ten weeks' => ['600 g chicken breast, sliced', ['ageMonths' => 2.3, 'weightKg' => 4], ['cut' => ['shape' => 'strip', 'widthMm' => 20, 'lengthMm' => 80, 'thicknessMm' => 5], 'bake' => ['texture' => 'jerky']]],
    'raw egg in frozen pops' => ["300 g plain yoghurt\n1 raw egg", ['ageMonths' => 4, 'weightKg' => 6], ['cut' => ['shape' => 'mould', 'cavityMl' => 15, 'cavities' => 20], 'bake' => ['texture' => 'frozen']]],
]);

it('counts a batter as a batter, and chips as chocolate', function (): void {
    $raid = static fn (string $food): array => Asking::of('raid', ['version' => 1, 'dog' => dog(), 'food' => $food]);
    $batter = $raid('200 g cake batter with 1 tsp baking powder');
    $salt = array_column($batter['doses'], null, 'substance')['saltG']['perKg']['high'] ?? 0.0;
    expect($salt)->toBeLessThan(0.6)->and($batter['emergency'])->toBeFalse();
    expect($raid('choc chips 50 g')['emergency'])->toBeTrue();
});
