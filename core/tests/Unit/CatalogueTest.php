<?php

declare(strict_types=1);

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Composition;
use MildBowl\Core\Tests\Support\Asking;

function exempt(string $id, string $check): bool
{
    foreach (table('exceptions') as $row) {
        if ($row['ingredient'] === $id && ($row['check'] === $check || $row['check'] === 'both')) {
            return $row['reason'] !== '';
        }
    }

    return false;
}

it('holds enough foods, each with a known source and a confidence', function (): void {
    $rows = table('ingredients');
    expect(count($rows))->toBeGreaterThanOrEqual(350);
    foreach ($rows as $row) {
        expect(Compiled::tables()['sources'])
            ->toHaveKey($row['source'])
            ->and($row['confidence'])
            ->toBeIn(['A', 'B', 'C']);
    }
});

it('sums the parts of every food to 100 g, and its energy to its parts', function (): void {
    $wrong = [];
    foreach (array_column(table('ingredients'), 'id') as $id) {
        $composition = Asking::food($id)->composition;
        assert($composition instanceof Composition);
        if (
            (! exempt($id, 'mass') && abs($composition->massG() - 100) > 2) ||
            (! exempt($id, 'energy') && abs($composition->kcal - $composition->kcalByFactors()) > max(8.0, 0.12 * $composition->kcal)) ||
            $composition->fibreG + $composition->sugarsG > $composition->carbohydrateG + 2
        ) {
            $wrong[] = $id;
        }
    }
    expect($wrong)->toBe([]);
});

it('needs every named exception', function (): void {
    foreach (table('exceptions') as $row) {
        if (! in_array($row['check'], ['energy', 'both'], true)) {
            continue;
        }
        $composition = Asking::food($row['ingredient'])->composition;
        assert($composition !== null);
        $massHolds = abs($composition->massG() - 100) <= 2;
        $energyHolds = abs($composition->kcal - $composition->kcalByFactors()) <= max(8.0, 0.12 * $composition->kcal);
        expect($massHolds && $energyHolds)->toBeFalse("{$row['ingredient']} passes both checks and needs no exception");
    }
});

it('knows the foods it must know by more than one name', function (string $name, string $id): void {
    expect(Asking::kitchen()->catalogue->lexicon->idOf($name))->toBe($id);
})->with([
    ['courgette', 'courgette'],
    ['zucchini', 'courgette'],
    ['eggplant', 'aubergine'],
    ['aubergine', 'aubergine'],
    ['swede', 'swede'],
    ['rutabaga', 'swede'],
    ['canola oil', 'rapeseed-oil'],
    ['rapeseed oil', 'rapeseed-oil'],
    ['wholemeal flour', 'whole-wheat-flour'],
    ['porridge oats', 'rolled-oats'],
    ['cornstarch', 'corn-starch'],
    ['garbanzo beans', 'chickpea-cooked'],
]);

it('weighs a millilitre of every oil as oil', function (): void {
    foreach (Catalogue::ids() as $id) {
        $food = Asking::food($id);
        if ($food->inGroup('oil') && $food->composition !== null) {
            expect(answer("100 ml {$food->name}")['lines'][0]['grams']['best'])->toEqualWithDelta(90.0, 5.0, $id);
        }
    }
});

it('reads back each food by its own first name', function (string $id): void {
    $name = Compiled::tables()['names'][$id][0];
    $read = answer("100 g $name")['lines'];

    expect($read)
        ->toHaveCount(1)
        ->and([$read[0]['ingredient'], ...$read[0]['alternatives'] ?? []])
        ->toContain($id);
})->with(fn () => array_column(table('ingredients'), 'id'));

it('leaves what is unknown null', function (): void {
    $unknown = array_filter(Catalogue::ids(), static fn (string $id): bool => Asking::food($id)->composition === null);

    expect($unknown)->not->toBeEmpty();
    $answer = answer('1 piece horse chestnut');
    expect($answer['lines'][0]['kcal'])->toBeNull();
});
