<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;

/** What is wrong with a whole file of cases, a row each; one test for a file, since there are thousands. */
function wrongs(array $cases, callable $check): array
{
    return array_values(array_filter(array_map(static fn (array $case): ?string => $check(...$case), $cases)));
}

/** @return list<string> */
function weighed(string $file): array
{
    return wrongs(Cases::cells($file), static function (string $line, string $low, string $best, string $high): ?string {
        $grams = answer($line)['lines'][0]['grams'] ?? ['low' => null, 'best' => null, 'high' => null];

        return abs($grams['low'] - (float) $low) < 0.01 && abs($grams['best'] - (float) $best) < 0.01 && abs($grams['high'] - (float) $high) < 0.01
            ? null
            : "$line: $low, $best, $high g, not ".implode(', ', array_map(strval(...), $grams));
    });
}

it('weighs a cup of a food as a household does', function (): void {
    expect(weighed('densities.txt'))->toBe([]);
});

it('weighs one of a food as a household does', function (): void {
    expect(weighed('pieces.txt'))->toBe([]);
});

it('knows at least 1,500 names, and each for its food', function (): void {
    $names = 0;
    $wrong = [];
    foreach (Cases::rows('names.txt') as $row) {
        [$food, $list] = array_map(trim(...), explode(':', $row, 2));
        foreach (array_map(trim(...), explode('|', $list)) as $name) {
            $names++;
            $lines = answer("100 g $name")['lines'];
            if (count($lines) !== 1 || $lines[0]['ingredient'] !== $food) {
                $wrong[] = "$name is ".($lines[0]['ingredient'] ?? 'nothing').", not $food";
            }
        }
    }
    expect($wrong)->toBe([])->and($names)->toBeGreaterThanOrEqual(1500);
});

it('takes a food in its stated form', function (): void {
    expect(
        wrongs(
            Cases::cells('forms.txt'),
            static fn (string $line, string $food): ?string => (answer($line)['lines'][0]['ingredient'] ?? null) === $food
                ? null
                : "$line is ".(answer($line)['lines'][0]['ingredient'] ?? 'nothing').", not $food"
        )
    )->toBe([]);
});

it('lets a dry food take up as much water as it does', function (): void {
    expect(
        wrongs(Cases::cells('uptake.txt'), static function (string $food, string $uptake): ?string {
            $answer = answer("100 g $food\n150 g water", ['cut' => ['shape' => 'pieces', 'count' => 1]]);
            $nutrients = $answer['piece']['nutrients'];
            // at rest; stirred in it takes up what its class does of that, seeds and coconut least (doughs.csv), and its fat shortens
            $expected = 150 / (100 * (float) $uptake * max(0.5, 1 - 0.2 * ($nutrients['fatG'] ?? 0.0) / 100));
            $ratio = $expected / $answer['batch']['wetness'];

            return $ratio > 0.55 && $ratio < 1.2 ? null : "$food: {$answer['batch']['wetness']} is $ratio of its uptake at rest";
        })
    )->toBe([]);
});

it('knows a group of foods by its other names', function (): void {
    $wrong = wrongs(
        Cases::cells('aliases.txt'),
        static fn (string $word, string $group): ?string => (Asking::kitchen()->catalogue->resolveGroupOrId($word) ?? '-') === $group
            ? null
            : "$word is ".(Asking::kitchen()->catalogue->resolveGroupOrId($word) ?? '-').", not $group"
    );
    expect($wrong)->toBe([]);
});

it('counts a food of a group to every group above it, and to none other', function (): void {
    $cases = Cases::cells('groups.txt');
    $groups = array_values(array_unique(array_merge(array_column($cases, 0), ...array_map(static fn (array $case): array => explode(' ', $case[1]), $cases))));
    $dogs = array_map(static fn (string $group): array => dog($group, ['allergies' => [$group]]), $groups);
    $wrong = wrongs($cases, static function (string $group, string $above) use ($dogs): ?string {
        $findings = answer('100 g quay meal', [
            'dogs' => $dogs,
            'pantry' => [['name' => 'quay meal', 'groups' => [$group], 'per100g' => ['kcal' => 350]]],
        ])['lines'][0]['findings'];
        $reacts = array_column(array_filter($findings, static fn (array $one): bool => $one['level'] === 'allergen'), 'dog');
        sort($reacts);
        $expected = [$group, ...explode(' ', $above)];
        sort($expected);

        return $reacts === $expected ? null : "$group: ".implode(' ', $reacts);
    });
    expect($wrong)->toBe([]);
});
