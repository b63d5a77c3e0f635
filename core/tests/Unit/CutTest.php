<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Measured;
use MildBowl\Core\Baking\Texture;

it('has the volume of its shape', function (string $shape, array $sizes, float $ml): void {
    expect(Cut::of($shape, $sizes)->pieceMl())->toEqualWithDelta($ml, 0.001);
})->with([
    ['round', ['diameterMm' => 20.0, 'thicknessMm' => 6.0], (M_PI / 4) * 2 * 2 * 0.6],
    ['square', ['sideMm' => 20.0, 'thicknessMm' => 5.0], 2.0],
    ['rectangle', ['widthMm' => 10.0, 'lengthMm' => 40.0, 'thicknessMm' => 5.0], 2.0],
    ['bone', ['widthMm' => 20.0, 'lengthMm' => 50.0, 'thicknessMm' => 8.0], 0.62 * 8.0],
    ['heart', ['widthMm' => 30.0, 'lengthMm' => 30.0, 'thicknessMm' => 6.0], 0.72 * 5.4],
    ['star', ['widthMm' => 30.0, 'lengthMm' => 30.0, 'thicknessMm' => 6.0], 0.5 * 5.4],
    ['area', ['areaMm2' => 500.0, 'thicknessMm' => 6.0], 3.0],
    ['strip', ['widthMm' => 15.0, 'lengthMm' => 80.0, 'thicknessMm' => 5.0], 6.0],
    ['log', ['diameterMm' => 28.0, 'sliceMm' => 7.0], (M_PI / 4) * 2.8 * 2.8 * 0.7],
    ['ball', ['diameterMm' => 20.0], (M_PI / 6) * 8],
    ['scoop', ['ml' => 15.0], 15.0],
    ['mould', ['cavityMl' => 6.0, 'cavities' => 24.0], 6.0],
    ['grid', ['sheetWidthMm' => 200.0, 'sheetLengthMm' => 300.0, 'depthMm' => 10.0, 'columns' => 10.0, 'rows' => 15.0], 4.0],
]);

it('gives every gram of dough to some piece but for what scraps lose', function (string $shape, array $sizes, float $used): void {
    $dough = dough(['oat-flour' => 300.0, 'water' => 230.0]);
    $cut = Cut::of($shape, $sizes);
    $batch = new Batch($dough, $cut, Texture::of('biscuit'));
    expect($cut->used())
        ->toBe($used)
        ->and($batch->count->best * $batch->pieceDoughGrams->best + $batch->leftGrams)
        ->toEqualWithDelta($used * $dough->grams->best, 0.01)
        ->and($batch->count->best * $batch->pieceKcal->best)
        ->toEqualWithDelta($dough->kcal->best * (1 - $batch->leftGrams / $dough->grams->best), 0.01)
        ->and($batch->pieceDoughGrams->best)
        ->toEqualWithDelta($cut->pieceMl() * $dough->density(), 0.001);
})->with([
    ['round', ['diameterMm' => 25.0, 'thicknessMm' => 6.0], 0.98],
    ['square', ['sideMm' => 20.0, 'thicknessMm' => 5.0], 0.98],
    ['bone', ['widthMm' => 20.0, 'lengthMm' => 50.0, 'thicknessMm' => 8.0], 0.98],
    ['log', ['diameterMm' => 28.0, 'sliceMm' => 7.0], 1.0],
    ['ball', ['diameterMm' => 20.0], 1.0],
    ['scoop', ['ml' => 10.0], 1.0],
    ['grid', ['sheetWidthMm' => 200.0, 'sheetLengthMm' => 300.0, 'depthMm' => 10.0, 'columns' => 10.0, 'rows' => 15.0], 1.0],
]);

it('is denser the stiffer the dough', function (float $water, float $density): void {
    expect(dough(['oat-flour' => 200.0, 'water' => $water])->density())->toBe($density);
})->with([
    'crumbles' => [60.0, 1.2],
    'stiff' => [110.0, 1.2],
    'rolls cleanly' => [140.0, 1.15],
    'tacky' => [170.0, 1.1],
    'spreads' => [230.0, 1.05],
    'batter' => [400.0, 1.0],
]);

it('leaves the oven at the moisture of its texture, and never heavier than it went in', function (string $texture, float $low, float $high): void {
    $dough = dough(['oat-flour' => 200.0, 'water' => 150.0]);
    $batch = new Batch($dough, Cut::of('pieces', ['count' => 40.0]), Texture::of($texture));
    $moisture = 1 - $dough->solids->best / $batch->bakedGrams->best;
    expect($moisture)
        ->toBeGreaterThanOrEqual($low)
        ->toBeLessThanOrEqual($high)
        ->and($batch->bakedGrams->high)
        ->toBeLessThanOrEqual($dough->grams->high + 1e-9)
        ->and($batch->kcal->best)
        ->toBe($dough->kcal->best);
})->with([
    ['cake', 0.35, 0.4],
    ['soft', 0.25, 0.3],
    ['chewy', 0.18, 0.22],
    ['biscuit', 0.09, 0.12],
    ['hard', 0.05, 0.08],
    ['jerky', 0.2, 0.25],
    ['frozen', 0.4, 0.6],
    ['none', 0.4, 0.6],
]);

it('lets what was weighed and counted overrule the estimate', function (): void {
    $dough = dough(['oat-flour' => 200.0, 'water' => 150.0]);
    $cut = Cut::of('round', ['diameterMm' => 25.0, 'thicknessMm' => 6.0]);
    $batch = new Batch($dough, $cut, Texture::of('biscuit'), new Measured(80.0, 210.0));
    expect($batch->count->best)
        ->toBe(80.0)
        ->and($batch->pieceBakedGrams->best)
        ->toEqualWithDelta(210 / 80, 1e-9)
        ->and($batch->pieceKcal->best)
        ->toEqualWithDelta($dough->kcal->best / 80, 1e-9);
    $wasted = new Batch($dough, $cut, Texture::of('biscuit'), new Measured(72.0, 189.0, 21.0));
    expect($wasted->kcal->best)
        ->toEqualWithDelta(0.9 * $dough->kcal->best, 1e-6)
        ->and($wasted->pieceKcal->best)
        ->toEqualWithDelta($dough->kcal->best / 80, 1e-6);
});

it('knows its largest side, its footprint and the parts it breaks into', function (string $shape, array $sizes, float $largest, array $parts): void {
    $cut = Cut::of($shape, $sizes);
    expect($cut->largestMm())->toEqualWithDelta($largest, 0.01)->and($cut->partsFor(25.0))->toBe($parts);
})->with([
    ['round', ['diameterMm' => 40.0, 'thicknessMm' => 6.0], 40.0, [2, 2]],
    ['square', ['sideMm' => 25.0, 'thicknessMm' => 6.0], 25.0, [1, 1]],
    ['bone', ['widthMm' => 26.0, 'lengthMm' => 76.0, 'thicknessMm' => 6.0], 76.0, [4, 2]],
    ['strip', ['widthMm' => 15.0, 'lengthMm' => 100.0, 'thicknessMm' => 5.0], 100.0, [4, 1]],
    ['log', ['diameterMm' => 28.0, 'sliceMm' => 7.0], 28.0, [2, 2]],
]);
