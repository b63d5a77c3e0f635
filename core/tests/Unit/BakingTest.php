<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Values\Range;

const PLAIN = "200 g oat flour\n1 large egg\n90 ml water";

/** @return array<string, mixed> */
function cutInto(array $cut, string $texture = 'biscuit'): array
{
    return answer(PLAIN, ['cut' => $cut, 'bake' => ['texture' => $texture]]);
}

it('counts pieces by volume, with scraps rolled again', function (array $cut, float $areaMm2, float $used): void {
    $answer = cutInto($cut);
    // a dough that rolls weighs 1.15 g a ml
    expect($answer['batch']['feel'])->toBe('rolls cleanly');
    $pieceGrams = (($areaMm2 * 6) / 1000) * 1.15;

    expect($answer['piece']['doughGrams']['best'])
        ->toEqualWithDelta($pieceGrams, 1e-6)
        ->and($answer['piece']['count']['best'])
        ->toEqualWithDelta(($answer['batch']['doughGrams']['best'] * $used) / $pieceGrams, 1e-6);
})->with([
    [['shape' => 'round', 'diameterMm' => 25, 'thicknessMm' => 6], (M_PI / 4) * 625, 0.98],
    [['shape' => 'square', 'sideMm' => 20, 'thicknessMm' => 6], 400, 0.98],
    [['shape' => 'rectangle', 'widthMm' => 10, 'lengthMm' => 40, 'thicknessMm' => 6], 400, 0.98],
    [['shape' => 'bone', 'widthMm' => 20, 'lengthMm' => 40, 'thicknessMm' => 6], 0.62 * 800, 0.98],
    [['shape' => 'heart', 'widthMm' => 20, 'lengthMm' => 20, 'thicknessMm' => 6], 0.72 * 400, 0.98],
    [['shape' => 'star', 'widthMm' => 20, 'lengthMm' => 20, 'thicknessMm' => 6], 0.5 * 400, 0.98],
    [['shape' => 'area', 'areaMm2' => 300, 'thicknessMm' => 6], 300, 0.98],
    [['shape' => 'log', 'diameterMm' => 20, 'sliceMm' => 6], (M_PI / 4) * 400, 1.0],
]);

it('keeps the energy of the bowl in the pieces', function (array $cut, string $texture): void {
    $answer = cutInto($cut, $texture);

    expect($answer['piece']['count']['best'] * $answer['piece']['kcal']['best'])->toEqualWithDelta(
        $answer['batch']['kcal']['best'],
        0.001 * $answer['batch']['kcal']['best']
    );
})->with([
    [['shape' => 'pieces', 'count' => 30], 'biscuit'],
    [['shape' => 'slices', 'count' => 12], 'cake'],
    [['shape' => 'ball', 'diameterMm' => 20], 'soft'],
    [['shape' => 'scoop', 'ml' => 5], 'chewy'],
    [['shape' => 'mould', 'cavityMl' => 6, 'cavities' => 40], 'frozen'],
    [['shape' => 'round', 'diameterMm' => 25, 'thicknessMm' => 6], 'hard'],
]);

it('loses water and no solids in the oven', function (string $texture, float $moisture): void {
    $baked = Texture::of($texture)->bakedGrams(Range::exact(300), Range::exact(150));

    expect($baked->best)
        ->toEqualWithDelta(150 / (1 - $moisture), 1e-6)
        ->and($baked->low)
        ->toBeLessThanOrEqual($baked->best)
        ->and($baked->high)
        ->toBeGreaterThanOrEqual($baked->best);
})->with([['cake', 0.375], ['soft', 0.275], ['chewy', 0.2], ['biscuit', 0.105], ['hard', 0.065], ['jerky', 0.225]]);

it('never bakes more than went in', function (): void {
    expect(Texture::of('tray')->bakedGrams(Range::exact(100), Range::exact(95))->best)->toBe(100.0);
    expect(Texture::of('none')->bakedGrams(Range::exact(100), Range::exact(40))->best)->toBe(100.0);
});

it('lets what was weighed and counted overrule the estimate', function (): void {
    $answer = answer(PLAIN, ['measured' => ['count' => 50, 'bakedGrams' => 200, 'wasteGrams' => null]]);
    $wasted = answer(PLAIN, ['measured' => ['count' => 45, 'bakedGrams' => 180, 'wasteGrams' => 20]]);

    expect($answer['piece']['count']['best'])
        ->toEqual(50)
        ->and($answer['batch']['bakedGrams']['best'])
        ->toEqual(200)
        ->and($answer['piece']['bakedGrams']['best'])
        ->toEqualWithDelta(4.0, 1e-9)
        ->and($wasted['batch']['kcal']['best'])
        ->toEqualWithDelta($answer['batch']['kcal']['best'] * 0.9, 1e-6);
});

it('feels the dough by its wetness', function (string $text, ?string $feel): void {
    expect(answer($text)['batch']['feel'])->toBe($feel);
})->with([
    ["100 g oat flour\n40 g water", 'crumbles'],
    ["100 g oat flour\n50 g water", 'stiff, rolls with effort'],
    ["100 g oat flour\n68 g water", 'rolls cleanly'],
    ["100 g oat flour\n85 g water", 'tacky, drop or ball'],
    ["100 g oat flour\n110 g water", 'spread in a tray'],
    ["100 g oat flour\n200 g water", 'a batter'],
    ['100 g carrot, grated', null],
]);

it('measures the largest side of a cut against the safe bite', function (float $kg, float $bite): void {
    $small = cutInto(['shape' => 'ball', 'diameterMm' => $bite]);
    $answer = fn (float $mm): array => found(
        answer(PLAIN, ['cut' => ['shape' => 'ball', 'diameterMm' => $mm], 'dogs' => [dog('Rex', ['weightKg' => $kg])]])
    );

    expect($small['lines'])
        ->not->toBeEmpty()
        ->and($answer($bite))
        ->not->toContain('caution:bite')
        ->and($answer($bite + 1))
        ->toContain('caution:bite');
})->with([[5, 10], [5.1, 15], [10, 15], [25, 25], [26, 40]]);

it('describes every shape of the contract', function (): void {
    expect(Shapes::ids())->toBe([
        'round',
        'square',
        'rectangle',
        'bone',
        'heart',
        'star',
        'area',
        'strip',
        'log',
        'ball',
        'scoop',
        'mould',
        'grid',
        'slices',
        'pieces',
    ]);
});

it('says nothing about a bowl with nothing in it', function (): void {
    $answer = answer('For the dough:');

    expect($answer['lines'])
        ->toBe([])
        ->and($answer['verdict']['cleared'])
        ->toBeFalse()
        ->and($answer['batch']['wetness'])
        ->toBeNull()
        ->and($answer['batch']['feel'])
        ->toBeNull()
        ->and($answer['batch']['doughGrams'])
        ->toEqual(['low' => 0, 'best' => 0, 'high' => 0]);
});
