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

it('never passes a line that must stop, and names a poison as one', function (): void {
    $order = ['never', 'unknown', 'allergen', 'limit', 'ask-vet', 'check-label', 'clear'];
    $passed = [];
    foreach (array_filter(trustCases(), static fn (array $case): bool => $case[0] !== 'clear') as [$expected, $line]) {
        $worst = worstOf($line);
        if (array_search($worst, $order, true) > array_search($expected, $order, true)) {
            $passed[] = "$line is $worst, not $expected";
        }
    }
    expect($passed)->toBe([]);
});

it('raises no false alarm', function (): void {
    $clear = array_values(array_filter(trustCases(), static fn (array $case): bool => $case[0] === 'clear'));
    $alarms = array_values(array_filter($clear, static fn (array $case): bool => worstOf($case[1]) !== 'clear'));

    expect(array_map(static fn (array $case): string => worstOf($case[1]).': '.$case[1], $alarms))
        ->toBe([])
        ->and(count($clear))
        ->toBeGreaterThan(200);
});
