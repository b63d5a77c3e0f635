<?php

declare(strict_types=1);

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Measuring\KitchenMeasure;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Measuring\Weigher;
use MildBowl\Core\Tests\Support\Asking;

it('writes measures a kitchen has, never a decimal of a cup', function (float $ml, string $units, string $written): void {
    expect(KitchenMeasure::of($ml, $units))->toBe($written);
})->with([
    [236.6, 'us', '1 cup'],
    [118.3, 'us', '½ cup'],
    [354.9, 'us', '1 ½ cups'],
    [78.9, 'us', '⅜ cup'],
    [59.2, 'us', '¼ cup'],
    [29.58, 'us', '2 tbsp'],
    [14.79, 'us', '1 tbsp'],
    [22.2, 'us', '1 ½ tbsp'],
    [4.93, 'us', '1 tsp'],
    [2.47, 'us', '½ tsp'],
    [1.2, 'us', '¼ tsp'],
    [0.2, 'us', 'a pinch'],
    [250, 'metric', '1 cup'],
    [20, 'australian', '1 tbsp'],
    [284, 'imperial', '1 cup'],
]);

it('names every food of the catalogue so that it reads back as that food', function (): void {
    $lost = [];
    foreach (Compiled::tables()['entries'] as $id => $entry) {
        if ($entry['composition'] === null || isset($entry['groups']['category-word'])) {
            continue;
        }
        $line = Asking::kitchen()->reader->lines->read('100 g '.Asking::kitchen()->writer()->name($id));
        // a tin of pumpkin is what its label says: nothing ever writes it
        if ($line->food?->id !== $id && $id !== 'pumpkin-tin') {
            $lost[] = $id;
        }
    }
    expect($lost)->toBe([]);
});

it('writes amounts that read back as what was meant', function (string $units, bool $byWeight): void {
    mt_srand(11);
    $weigher = new Weigher($units);
    $writer = new LineWriter(Asking::kitchen()->reader->lines, $weigher, $byWeight);
    foreach (
        [
            'oat-flour',
            'water',
            'olive-oil',
            'pumpkin-puree',
            'blueberry',
            'honey',
            'chia',
            'peanut-butter',
            'sorghum-flour',
            'ground-flaxseed',
            'parsley',
            'carob-powder',
        ] as $food
    ) {
        for ($n = 0; $n < 12; $n++) {
            $grams = mt_rand(20, 4000) / 10;
            $text = $writer->nearly($food, $grams, 0.05 * $grams);
            $read = Asking::kitchen()->reader->lines->read($text);
            expect($read->food?->id)
                ->toBe($food, $text)
                ->and($read->unread)
                ->toBe([], $text)
                ->and($weigher->weigh($read)?->best)
                ->toEqualWithDelta($grams, max(0.5, 0.05 * $grams), $text);
        }
    }
})->with([
    'american cups' => ['us', false],
    'american scales' => ['us', true],
    'metric cups' => ['metric', false],
    'imperial cups' => ['imperial', false],
    'australian spoons' => ['australian', false],
]);

it('follows the recipe\'s own way of measuring', function (array $lines, bool $byWeight): void {
    expect(LineWriter::isByWeight(...array_map(static fn (string $line) => Asking::kitchen()->reader->lines->read($line), $lines)))->toBe($byWeight);
})->with([
    [['200 g oat flour', '1 egg', '100 ml water'], true],
    [['2 cups oat flour', '1 egg', '1/2 cup water'], false],
    [['2 cups oat flour', '100 g butter', '1 egg'], false],
    [[], false],
]);
