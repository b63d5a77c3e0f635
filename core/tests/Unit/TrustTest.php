<?php

declare(strict_types=1);

/** The worst level of a line for no dog in particular; a caution counts as clear. */
function worstOf(string $line): string
{
    $levels = [];
    $answer = answer($line);
    foreach ([...$answer['lines'], ...$answer['steps']] as $part) {
        foreach ($part['findings'] as $finding) {
            $levels[$finding['level']] = true;
        }
    }
    foreach (['never', 'unknown', 'allergen', 'limit', 'ask-vet', 'check-label'] as $level) {
        if (isset($levels[$level])) {
            return $level;
        }
    }

    return 'clear';
}

/** @return list<array{string, string}> expected level and line */
function trustCases(): array
{
    return array_map(static fn (string $row): array => array_map(trim(...), explode('|', $row, 2)), cases('trust.txt'));
}

it('keeps a set of at least 400 lines', function (): void {
    expect(count(trustCases()))->toBeGreaterThanOrEqual(400);
});

it('never passes a line that must stop', function (string $expected, string $line): void {
    $worst = worstOf($line);
    $order = ['never', 'unknown', 'allergen', 'limit', 'ask-vet', 'check-label', 'clear'];

    expect(array_search($worst, $order, true))->toBeLessThanOrEqual(array_search($expected, $order, true), "$line is $worst");
})->with(fn () => array_values(array_filter(trustCases(), static fn (array $case): bool => $case[0] !== 'clear')));

it('names a poison as one', function (string $expected, string $line): void {
    expect(worstOf($line))->toBe('never');
})->with(fn () => array_values(array_filter(trustCases(), static fn (array $case): bool => $case[0] === 'never')));

it('raises no false alarm', function (): void {
    $clear = array_values(array_filter(trustCases(), static fn (array $case): bool => $case[0] === 'clear'));
    $alarms = array_values(array_filter($clear, static fn (array $case): bool => worstOf($case[1]) !== 'clear'));

    expect(array_map(static fn (array $case): string => worstOf($case[1]).': '.$case[1], $alarms))->toBe([])->and(count($clear))->toBeGreaterThan(200);
});
