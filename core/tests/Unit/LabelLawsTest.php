<?php

declare(strict_types=1);

/**
 * What must hold of every printed list: a longer list says no less than a shorter, and order, marks, case and brackets change nothing that
 * is found. Lists are put together by chance.
 */

use MildBowl\Core\Tests\Support\Asking;
use Random\Engine\Mt19937;
use Random\Randomizer;

const LABEL_PARTS = [
    'oats', 'rice flour', 'water', 'chicken', 'milk', 'sugar', 'salt', 'carrot', 'honey', 'natural flavouring', 'vegetables', 'spices', 'nuts', 'dried fruit', 'onion powder',
    'Zwiebeln', 'ail', 'raisins', 'uvetta', 'xylitol', 'maltitol', 'cocoa mass', 'noix de muscade', 'flurbl', 'seasoned chicken', 'sunflower oil', 'E330', 'sweetener', 'butter',
];

/** @return list<string> level and code of every finding, in no order */
function labelSays(string $list): array
{
    $found = [];
    foreach (Asking::of('label', ['version' => 1, 'ingredients' => $list])['parts'] as $part) {
        foreach ($part['findings'] as $finding) {
            $found[] = "{$finding['level']}:{$finding['code']}";
        }
    }
    $found = array_values(array_unique($found));
    sort($found);

    return $found;
}

/** @return list<list<string>> */
function labelsByChance(int $seed, int $count): array
{
    $chance = new Randomizer(new Mt19937($seed));
    $lists = [];
    for ($n = 0; $n < $count; $n++) {
        $keys = $chance->pickArrayKeys(LABEL_PARTS, $chance->getInt(2, 7));
        $lists[] = array_map(static fn (int $key): string => LABEL_PARTS[$key], $chance->shuffleArray($keys));
    }

    return $lists;
}

it('says of a longer list no less than of a shorter', function (): void {
    foreach (labelsByChance(11, 120) as $parts) {
        $shorter = array_slice($parts, 0, -1);
        expect(array_diff(labelSays(implode(', ', $shorter)), labelSays(implode(', ', $parts))))->toBe([], implode(', ', $parts));
    }
});

it('finds the same in any order, with any mark between, in any case, with a head or without', function (): void {
    foreach (labelsByChance(12, 80) as $parts) {
        $plain = labelSays(implode(', ', $parts));
        foreach (
            [
                implode(', ', array_reverse($parts)), implode('; ', $parts), implode("\n", $parts), implode(' | ', $parts).'.', mb_strtoupper(implode(', ', $parts)),
                'Ingredients: '.implode(', ', $parts).'.', 'Zutaten: '.implode(', ', $parts), implode(' 5 %, ', $parts),
            ] as $other
        ) {
            expect(labelSays($other))->toBe($plain, $other);
        }
    }
});

it('finds what stands in brackets as if it stood alone', function (): void {
    foreach (labelsByChance(13, 80) as $parts) {
        expect(array_diff(labelSays(implode(', ', $parts)), labelSays('biscuit crumb ('.implode(', ', $parts).')')))->toBe([], implode(', ', $parts));
    }
});

it('makes of a trace a caution, of xylitol a question, and of nothing a poison', function (): void {
    foreach (labelsByChance(14, 60) as $parts) {
        $says = labelSays('oats. May contain '.implode(', ', $parts).'.');
        expect(array_filter($says, static fn (string $one): bool => str_starts_with($one, 'never:')))->toBe([]);
        if (in_array('raisins', $parts, true)) {
            expect($says)->toContain('caution:trace-grape');
        }
        if (in_array('nuts', $parts, true)) {
            expect($says)->toContain('caution:trace-category');
        }
        if (in_array('xylitol', $parts, true)) {
            expect($says)->toContain('check-label:trace-xylitol');
        }
    }
});
