<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Golden\Golden;

// a file of its own, so that it runs beside the others
it('searches as it did when the answers were last taken over', function (string $theme): void {
    expect(array_keys(Golden::changed($theme)))->toBe([]);
})->with(
    fn (): array => array_values(
        array_filter(Golden::themes(), static fn (string $theme): bool => preg_match('#^(rescue|swaps|size|scale)/#', $theme) === 1)
    )
);
