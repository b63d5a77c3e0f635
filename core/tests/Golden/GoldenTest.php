<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Golden\Golden;

it('answers as it did when the answers were last taken over', function (string $theme): void {
    // bin/golden shows what changed, and takes it over when told
    expect(array_keys(Golden::changed($theme)))->toBe([]);
})->with(
    fn (): array => array_values(
        array_filter(Golden::themes(), static fn (string $theme): bool => preg_match('#^(ledger|rescue|swaps|size|scale)/#', $theme) !== 1)
    )
);

it('keeps at least 300 requests, and every command of the console among them', function (): void {
    $commands = $cases = [];
    foreach (Golden::themes() as $theme) {
        $commands[explode('/', $theme)[0]] = true;
        $cases[] = count(Golden::kept($theme));
    }
    expect(array_keys($commands))
        ->toContain('formulate', 'read', 'rescue', 'size', 'scale', 'occasion', 'week', 'give-away', 'profile', 'swaps', 'dough', 'raid', 'label')
        ->and(array_sum($cases))
        ->toBeGreaterThan(300);
});
