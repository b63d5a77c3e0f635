<?php

declare(strict_types=1);

use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Feeding\TakenDays;
use MildBowl\Core\Values\Day;

it('takes whole days first, and of the last what is left', function (float $kcal, array $taken, ?array $days): void {
    $borrowing = Borrowing::of($kcal, 50.0, Day::read('2026-06-27'), $taken);
    expect($borrowing?->days)->toEqual($days)->and($borrowing?->kcal)->toBe($days === null ? null : $kcal);
})->with([
    'nothing' => [0.0, [], []],
    'a crumb' => [1e-6, [], []],
    'a part of a day' => [20.0, [], ['2026-06-28' => 20.0]],
    'a day' => [50.0, [], ['2026-06-28' => 50.0]],
    'a day and a part' => [70.0, [], ['2026-06-28' => 50.0, '2026-06-29' => 20.0]],
    'a day that is taken in part' => [70.0, ['2026-06-28' => 30.0], ['2026-06-28' => 20.0, '2026-06-29' => 50.0]],
    'one that is taken whole' => [50.0, ['2026-06-28' => 50.0], ['2026-06-29' => 50.0]],
    'one that is taken twice over' => [50.0, ['2026-06-28' => 120.0], ['2026-06-29' => 50.0]],
    'the day itself is none of them' => [50.0, ['2026-06-27' => 50.0], ['2026-06-28' => 50.0]],
    'all seven' => [350.0, [], array_fill_keys(['2026-06-28', '2026-06-29', '2026-06-30', '2026-07-01', '2026-07-02', '2026-07-03', '2026-07-04'], 50.0)],
    'more than seven' => [351.0, [], null],
    'seven, one of them taken' => [350.0, ['2026-07-04' => 1.0], null],
    'the eighth is not asked' => [350.0, ['2026-07-05' => 50.0], array_fill_keys(['2026-06-28', '2026-06-29', '2026-06-30', '2026-07-01', '2026-07-02', '2026-07-03', '2026-07-04'], 50.0)],
]);

it('knows what is taken, what is free and what the week can give', function (): void {
    $none = TakenDays::none();
    $some = $none->and(0, 10.0, 'The fair')->and(3, 20.0, 'Advent')->and(3, 5.0, 'The fair')->and(5, 0.0, 'Advent')->and(6, 99.0, 'Advent');
    expect($none->ahead(50.0))->toBe(350.0)->and($none->free())->toBe([0, 1, 2, 3, 4, 5, 6, 7])->and($none->isFreeUntil(7))->toBeTrue()->and($none->for)->toBe([])
        ->and($some->on(0))->toBe(10.0)->and($some->on(1))->toBe(0.0)->and($some->on(3))->toBe(25.0)->and($some->for)->toBe(['Advent', 'The fair'])
        ->and($some->free())->toBe([1, 2, 4, 7])->and($some->ahead(50.0))->toBe(275.0)->and($some->isFreeUntil(0))->toBeFalse()
        ->and($none->and(3, 1.0, 'Advent')->isFreeUntil(2))->toBeTrue()->and($none->and(3, 1.0, 'Advent')->isFreeUntil(3))->toBeFalse()
        ->and($none->and(0, 10.0, 'The fair', spreads: false)->free())->toBe([0, 1, 2, 3, 4, 5, 6, 7])->and($none->and(0, 10.0, 'The fair', spreads: false)->and(0, 1.0, 'Advent')->and(0, 1.0, 'The fair', spreads: false)->free())->not->toContain(0)
        // whoever adds a day changes no other's
        ->and($none->all())->toBe([]);
});
