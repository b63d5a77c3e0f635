<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Vocabulary;

it('offers no food that may never go in, and every food it offers is read as that food', function (): void {
    $words = Vocabulary::all();
    $names = array_column($words['foods'], 'ingredient', 'name');

    expect(count($names))->toBeGreaterThan(800)->toBe(count($words['foods']));
    foreach (array_chunk($names, 150, true) as $some) {
        $lines = answer(implode("\n", array_map(static fn (int|string $name): string => "100 g $name", array_keys($some))))['lines'];
        $never = array_filter($lines, static fn (array $line): bool => in_array('never', array_column($line['findings'], 'level'), true));
        expect(array_column($never, 'text'))->toBe([])
            ->and(array_map(static fn (array $line): bool => $line['ingredient'] !== null, $lines))->not->toContain(false);
    }
});

it('leads nobody to a poison', function (string $poison): void {
    expect(array_column(Vocabulary::all()['foods'], 'name'))->not->toContain($poison);
})->with(['raisins', 'onion', 'xylitol', 'dark chocolate', 'macadamia nuts', 'garlic', 'nutmeg', 'flour']);

it('offers units and forms in words', function (): void {
    ['units' => $units, 'forms' => $forms] = Vocabulary::all();

    expect($units)->toContain('cup', 'tbsp', 'g', 'fl oz', 'pinch')->and($forms)->toContain('mashed', 'grated')
        ->and(array_filter([...$units, ...$forms], static fn (string $word): bool => preg_match('/^[a-z][a-z ]*$/', $word) !== 1))->toBe([]);
});
