<?php

declare(strict_types=1);

use MildBowl\Core\Values\Figure;

it('says of what may be reached never more than it is, and hardly less', function (): void {
    mt_srand(12);
    foreach ([4.6, 0.29, 1.15, 57.3, 8.2, ...array_map(static fn (): float => mt_rand(1, 999999) / 10 ** mt_rand(1, 5), range(1, 2000))] as $value) {
        $said = (float) Figure::atMost($value);
        $step = $value >= 100 ? 1.0 : ($value >= 10 ? 0.1 : ($value >= 0.1 ? 0.01 : 0.0001));
        expect($said)->toBeLessThanOrEqual($value + 1e-6)->toBeGreaterThan($value - $step);
    }
    expect(Figure::atMost(4.6))->toBe('4.6');
});

it('says no more than is known', function (float $value, string $said): void {
    expect(Figure::rough($value))->toBe($said);
})->with([[88.46, '88'], [20.2, '20'], [8.46, '8.5'], [2.04, '2'], [0.256, '0.26']]);

it('is as careful in a sentence', function (float $value, string $said): void {
    expect(Figure::roughAtMost($value))->toBe($said);
})->with([[4.66, '4.6'], [15.27, '15.2'], [0.47, '0.4'], [0.047, '0.047'], [120.9, '120'], [5.0, '5']]);
