<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Panel;

/** @return array{float, list<string>} share that is right, and what is wrong */
function panelScore(string $aspect): array
{
    $right = $of = 0;
    $misses = [];
    foreach (Panel::all() as $recipe) {
        $wrong = $recipe->wrong($aspect);
        $of += $wrong === false ? 0 : 1;
        $right += $wrong === null ? 1 : 0;
        if (is_string($wrong)) {
            $misses[] = "{$recipe->title}: $wrong";
        }
    }

    return [$right / $of, $misses];
}

it('agrees with the panel of recipes that was worked out by hand', function (string $aspect, float $least): void {
    [$share, $misses] = panelScore($aspect);
    expect($share)->toBeGreaterThanOrEqual($least, implode("\n", $misses));
})->with([['verdict', 0.98], ['count', 0.9], ['mass', 0.9], ['energy', 0.9], ['feel', 2 / 3], ['minutes', 0.9], ['swap', 0.9]]);

it('feels nearly every dough of the panel at least as its neighbour', function (): void {
    $all = array_filter(Panel::all(), static fn (Panel $recipe): bool => $recipe->wrong('feel') !== false);
    expect(count(array_filter($all, static fn (Panel $recipe): bool => $recipe->feelIsNear())) / count($all))->toBeGreaterThanOrEqual(0.95);
});

it('holds at least eighty recipes', function (): void {
    expect(count(Panel::all()))->toBeGreaterThanOrEqual(80);
});
