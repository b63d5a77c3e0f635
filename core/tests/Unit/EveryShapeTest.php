<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Baking\Shapes\Shape;
use MildBowl\Core\Baking\Shapes\Shapes;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Contract\Choices;
use MildBowl\Core\Kitchen\Tray;
use MildBowl\Core\Tests\Support\Asking;

/** Every registered shape through all that reads one: nobody lists them here, so a new one is walked too. */
function startsOf(Shape $shape): array
{
    $sizes = [];
    foreach ($shape->sizes() as $size) {
        $sizes[$size->key] = $size->start;
    }

    return $sizes;
}

dataset('every shape', static function (): iterable {
    foreach (Shapes::all() as $shape) {
        yield $shape->id() => [$shape];
    }
});

it('is sized, bitten, laid out, heated and written alike', function (Shape $shape): void {
    $cut = Cut::of($shape, startsOf($shape));
    $isCounted = $shape->lies() === Lies::Uncounted;
    if ($isCounted) {
        expect([$cut->pieceMl(), $cut->largestMm(), $cut->footprintMm(), SheetPlan::of($cut, new Tray(300, 400, 5, 1), 10)])->toBe([null, null, null, null]);
        expect($cut->count())->toBeGreaterThan(0.0);

        return;
    }
    $footprint = $cut->footprintMm();
    $plan = SheetPlan::of($cut, new Tray(300, 400, 5, 1), 10);
    expect($cut->pieceMl())
        ->toBeGreaterThan(0.0)
        // nothing fits into a ball that is smaller than it is long
        ->and(($cut->pieceMl() ?? 0.0) * 1000)
        ->toBeLessThanOrEqual($footprint[0] * $footprint[1] * ($cut->thicknessMm() ?? 0.0) * 1.0001)
        ->and($cut->largestMm())
        ->toBeGreaterThanOrEqual(max(...$footprint, ...[$cut->thicknessMm() ?? INF]) - 1e-9)
        ->and($plan?->perSheet)
        ->toBeGreaterThan(0)
        ->and(Heat::of($cut, Texture::of('biscuit'), dough(['oat-flour' => 200.0, 'water' => 120.0]), null)->stages ?? [])
        ->not->toBe([]);
})->with('every shape');

it('is held by the safe bite of a dog, whichever size is too large', function (Shape $shape): void {
    if ($shape->lies() === Lies::Uncounted) {
        expect(true)->toBeTrue();

        return;
    }
    $most = [];
    foreach ($shape->sizes() as $size) {
        $most[$size->key] = $size->unit === '' ? 1.0 : $size->most / 10;
    }
    $answer = Asking::of('formulate', ['version' => 1, 'recipe' => ['text' => "2 kg oat flour\n2 l water"], 'cut' => ['shape' => $shape->id()] + $most, 'dogs' => [['name' => 'Tiny', 'weightKg' => 2]]]);
    expect(array_column($answer['verdict']['dogs'][0]['findings'], 'code'))->toContain('bite');
    foreach ([8.0, 15.0, 40.0] as $bite) {
        $fitted = Cut::largest($shape, [], 500.0, $bite);
        expect($fitted === null || $fitted->largestMm() <= $bite + 1e-9)->toBeTrue();
    }
})->with('every shape');

it('is in the schema, the list and the drawing', function (Shape $shape): void {
    $sizes = startsOf($shape);
    $schema = json_decode((string) file_get_contents(__DIR__.'/../../../schemas/formulate-request.json'), true);
    $mine = array_values(array_filter($schema['$defs']['cut']['oneOf'], static fn (array $one): bool => $one['properties']['shape']['const'] === $shape->id()));
    expect($mine)->toHaveCount(1)->and(array_keys($mine[0]['properties']))->toBe(['shape', ...array_keys($sizes)]);
    $listed = array_column(Choices::all()['shapes'], null, 'id')[$shape->id()];
    expect(array_column($listed['sizes'], 'key'))->toBe(array_keys($sizes))->and($listed['name'])->not->toBe('');
    $drawing = $shape->drawing();
    foreach ($drawing === null ? [] : [...$drawing->across, ...$drawing->down, ...($drawing->thick === null ? [] : [$drawing->thick])] as $key) {
        expect(array_keys($sizes))->toContain($key);
    }
    $answer = Asking::of('formulate', ['version' => 1, 'recipe' => ['text' => "200 g oat flour\n120 g water"], 'cut' => ['shape' => $shape->id()] + $sizes, 'tray' => ['widthMm' => 300, 'lengthMm' => 400, 'gapMm' => 5, 'atOnce' => 1]]);
    expect($answer['portions'][0]['cut'])->toEqual(['shape' => $shape->id()] + $sizes);
})->with('every shape');
