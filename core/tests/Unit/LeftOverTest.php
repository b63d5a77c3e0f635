<?php

declare(strict_types=1);

use MildBowl\Core\Keeping\LeftOver;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Tests\Support\Generated;

/** @param  list<string>  $ids */
function leftOf(array $ids): LeftOver
{
    return LeftOver::of(array_map(Asking::food(...), $ids), Catalogue::shipped());
}

/** @return list<string> */
function scrapsOf(LeftOver $left, bool $isForBowl): array
{
    return array_values(array_map(static fn (array $one): string => $one['scrap'], array_filter($left->scraps, static fn (array $one): bool => $one['isForBowl'] === $isForBowl)));
}

it('knows what of the foods of a recipe is left over', function (string $row): void {
    [$foods, $kept, $bin, $bowl] = array_map(trim(...), explode('|', $row));
    $left = leftOf(explode(' ', $foods));
    expect(implode(' ', array_map(static fn (array $one): string => "{$one['food']->id}={$one['kept']->kind}", $left->kept)))->toBe($kept)
        ->and(implode('; ', scrapsOf($left, false)))->toBe($bin)
        ->and(implode('; ', scrapsOf($left, true)))->toBe($bowl);
})->with(static fn (): array => array_map(static fn (string $row): array => [$row], Cases::rows('left-over.txt')));

it('calls out of reach what the screening warns of, and nothing else by that food', function (): void {
    foreach (table('scraps') as $row) {
        if ($row['entry'] === '') {
            continue;
        }
        $name = Asking::food($row['entry'])->name;
        $answer = Asking::of('formulate', ['version' => 1, 'recipe' => ['text' => "100 g {$name}"], 'dogs' => []]);
        $levels = array_column(array_merge(...array_column($answer['lines'], 'findings')), 'level');
        expect($row['reach'])->toBe('bin')->and(array_intersect(['never', 'caution', 'check-label'], $levels))->not->toBe([], $name);
    }
});

it('loses nothing by another order, and nothing by one food more', function (): void {
    always(300, static function (Generated $made): ?string {
        $ids = array_values(array_unique(array_map(static fn (): string => $made->one(Catalogue::ids()), range(1, $made->number(2, 9)))));
        $told = static function (array $ids): array {
            $left = leftOf($ids);
            $all = [...array_map(static fn (array $one): string => "{$one['food']->id} {$one['kept']->kind}", $left->kept), ...scrapsOf($left, false), ...scrapsOf($left, true)];
            sort($all);

            return $all;
        };
        if ($told(array_reverse($ids)) !== $told($ids)) {
            return 'another order of '.implode(' ', $ids);
        }

        return array_diff($told(array_slice($ids, 1)), $told($ids)) === [] ? null : "one food more: {$ids[0]} beside ".implode(' ', $ids);
    });
});
