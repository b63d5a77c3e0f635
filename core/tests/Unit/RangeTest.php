<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Presenter;
use MildBowl\Core\Values\Range;

it('adds independent amounts by the root of their squares', function (): void {
    $sum = Range::sum([Range::of(7, 10, 14), Range::of(16, 20, 23)]);

    expect($sum->best)
        ->toBe(30.0)
        ->and($sum->low)
        ->toBe(30 - 5.0)
        ->and($sum->high)
        ->toBe(30 + 5.0);
});

it('adds amounts of one thing in full', function (): void {
    expect(Presenter::range(Range::of(7, 10, 14)->plus(Range::of(16, 20, 23))))->toBe(['low' => 23.0, 'best' => 30.0, 'high' => 37.0]);
});

it('keeps its order whatever it is made from', function (): void {
    expect(Presenter::range(Range::of(5, 3, 2)))
        ->toBe(['low' => 3.0, 'best' => 3.0, 'high' => 3.0])
        ->and(Range::exact(2)->isExact())
        ->toBeTrue();
});
