<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;

/**
 * @param  array<string, mixed>  $more
 * @return array<string, mixed>
 */
function shopped(array $treats, array $more = []): array
{
    return (new Contract())->answerTo('shopping', json_decode((string) json_encode(['version' => 1, 'treats' => $treats] + $more)));
}

/** @return array<string, array<string, mixed>> what is bought, by food */
function bought(array $answer): array
{
    $items = [];
    foreach ($answer['aisles'] as $aisle) {
        foreach ($aisle['items'] as $item) {
            $items[$item['ingredient']] = $item;
        }
    }

    return $items;
}

const SHOPPED_ROUNDS = ['name' => 'Rounds', 'recipe' => ['text' => "2 cups barley flour\n1 large egg\n1/4 cup water\n1 tbsp rapeseed oil\n100 g carrot"]];

it('adds up what several treats want, takes off what lies open, and buys whole packs', function (): void {
    $answer = shopped([['times' => 2] + SHOPPED_ROUNDS, ['name' => 'Coins', 'recipe' => ['text' => "150 g carrot\n200 g oat flour"]]], [
        'open' => [['ingredient' => 'carrot', 'grams' => 60]], 'packs' => [['ingredient' => 'carrot', 'grams' => 100, 'price' => 0.5], ['ingredient' => 'barley-flour', 'grams' => 1000, 'price' => 3]],
        'stock' => [['ingredient' => 'rapeseed-oil', 'state' => 'at-hand'], ['ingredient' => 'egg', 'state' => 'low']],
    ]);
    $items = bought($answer);
    // 2 × 100 + 150 − 60 = 290 g of carrot: three packs of 100
    expect($items['carrot'])->toMatchArray(['buyGrams' => 290.0, 'packs' => 3, 'price' => 1.5, 'haveGrams' => 60.0, 'for' => ['Rounds', 'Coins']])
        ->and($items['barley-flour']['packs'])->toBe(1)
        ->and($items)->not->toHaveKey('rapeseed-oil')->not->toHaveKey('water')
        ->and(array_column($answer['atHand'], 'ingredient'))->toBe(['rapeseed-oil'])
        ->and($items['egg']['state'])->toBe('low')
        ->and($answer['price'])->toEqualWithDelta(4.5, 1e-9)
        ->and($answer['withoutPrice'])->toBe(['whole egg', 'oat flour'])
        ->and(array_column($answer['aisles'], 'aisle'))->toBe(['greens', 'dairy', 'flour']);
});

it('loses no food of a row: what nobody can read or weigh stands on the list as it was written', function (): void {
    $answer = shopped([['name' => 'Odd', 'recipe' => ['text' => "100 g oat flour\nsome parsley\na bit of grackle dust\n1 tbsp honey or maple syrup"]]]);
    expect(array_column($answer['unread'], 'text'))->toBe(['a bit of grackle dust'])
        ->and(bought($answer))->toHaveKey('parsley')->toHaveKey('honey')
        ->and(bought($answer)['parsley']['grams'])->toBeNull()->and(bought($answer)['parsley']['buyGrams'])->toBeNull();
});

it('wants the same whether a batch is told once doubled or twice, and in whatever order', function (): void {
    mt_srand(3);
    $foods = ['oat flour', 'barley flour', 'carrot', 'egg', 'pumpkin', 'turkey', 'parsley', 'pear'];
    for ($n = 0; $n < 40; $n++) {
        $treats = [];
        for ($k = mt_rand(1, 4); $k > 0; $k--) {
            $treats[] = ['name' => "T$k", 'times' => 1, 'recipe' => ['text' => implode("\n", array_map(static fn (string $food): string => mt_rand(5, 300)." g $food", (array) array_rand(array_flip($foods), mt_rand(2, 4))))]];
        }
        $double = bought(shopped(array_map(static fn (array $one): array => ['times' => 2] + $one, $treats)));
        $twice = [...$treats, ...array_map(static fn (array $one): array => ['name' => $one['name'].' again'] + $one, $treats)];
        shuffle($twice);
        $told = bought(shopped($twice));
        expect(array_keys($told))->toEqualCanonicalizing(array_keys($double));
        foreach ($told as $food => $item) {
            expect($item['grams']['best'])->toEqualWithDelta($double[$food]['grams']['best'], 1e-6);
        }
        // having more open never makes it buy more
        $less = bought(shopped($treats, ['open' => [['ingredient' => 'carrot', 'grams' => mt_rand(1, 400)]]]));
        foreach (bought(shopped($treats)) as $food => $item) {
            expect($less[$food]['buyGrams'] ?? 0.0)->toBeLessThanOrEqual($item['buyGrams']);
        }
    }
});

it('bakes as many batches as the dogs eat in the days, and none for one that is not cleared', function (): void {
    $quill = ['name' => 'Quill', 'weightKg' => 12.5, 'ageMonths' => 60, 'neutered' => true];
    $of = static fn (array $dogs, int $days): float => shopped([['days' => $days] + SHOPPED_ROUNDS], ['dogs' => $dogs])['costs'][0]['times'];
    $cost = shopped([['days' => 7] + SHOPPED_ROUNDS], ['dogs' => [$quill], 'packs' => array_map(static fn (string $food): array => ['ingredient' => $food, 'grams' => 100, 'price' => 1], ['barley-flour', 'egg', 'rapeseed-oil', 'carrot'])])['costs'][0];
    $pieces = $cost['dogs'][0]['piecesPerDay'];
    expect($pieces)->toBeGreaterThan(0)
        ->and($of([$quill], 60))->toBe(max(1.0, ceil(60 * $pieces / $cost['pieces'])))
        ->and($cost['aPiece'])->toEqualWithDelta($cost['known'] / $cost['pieces'], 1e-9)
        ->and($cost['dogs'][0]['aWeek'])->toEqualWithDelta(7 * $pieces * $cost['aPiece'], 1e-9);
    $poisoned = ['days' => 30, 'name' => 'Loaf', 'recipe' => ['text' => "200 g oat flour\n50 g raisins"]];
    expect(shopped([$poisoned], ['dogs' => [$quill]])['costs'][0]['dogs'][0]['piecesPerDay'])->toEqual(0);
});

it('does not tell what a piece costs where a price is missing', function (): void {
    $cost = shopped([SHOPPED_ROUNDS], ['packs' => [['ingredient' => 'carrot', 'grams' => 500, 'price' => 2]]])['costs'][0];
    expect($cost['known'])->toEqualWithDelta(0.4, 1e-9)->and($cost['aPiece'])->toBeNull()->and($cost['unknown'])->toBe(['barley flour', 'whole egg', 'rapeseed oil']);
});

it('names the place of what cannot be', function (array $treats, array $more, string $path): void {
    try {
        shopped($treats, $more);
        $this->fail('It was taken.');
    } catch (RequestRefused $refused) {
        expect($refused->path)->toBe($path);
    }
})->with([
    [[], [], '/treats'],
    [[['times' => 0] + SHOPPED_ROUNDS], [], '/treats/0/times'],
    [[['days' => 61] + SHOPPED_ROUNDS], [], '/treats/0/days'],
    [[SHOPPED_ROUNDS], ['packs' => [['ingredient' => 'carrot', 'grams' => 0, 'price' => 1]]], '/packs/0/grams'],
    [[SHOPPED_ROUNDS], ['stock' => [['ingredient' => 'carrot', 'state' => 'plenty']]], '/stock/0/state'],
]);

const SHOPPED_PRICES = [
    ['ingredient' => 'buckwheat-flour', 'grams' => 500, 'price' => 6], ['ingredient' => 'oat-flour', 'grams' => 1000, 'price' => 2], ['ingredient' => 'brown-rice-flour', 'grams' => 1000, 'price' => 2.4], ['ingredient' => 'sorghum-flour', 'grams' => 500, 'price' => 3],
    ['ingredient' => 'millet-flour', 'grams' => 500, 'price' => 2], ['ingredient' => 'wheat-flour', 'grams' => 1000, 'price' => 0.9], ['ingredient' => 'egg', 'grams' => 300, 'price' => 2.5], ['ingredient' => 'almond-butter', 'grams' => 180, 'price' => 7], ['ingredient' => 'sunflower-seed-butter', 'grams' => 180, 'price' => 4],
    ['ingredient' => 'peanut-butter', 'grams' => 340, 'price' => 2], ['ingredient' => 'pumpkin-puree', 'grams' => 400, 'price' => 2],
];

it('tells what a swap would save: so much less it costs then, and nobody goes without for it', function (array $dogs, string $text): void {
    $asked = ['name' => 'Squares', 'recipe' => ['text' => $text]];
    $answer = shopped([$asked], ['dogs' => $dogs, 'packs' => SHOPPED_PRICES, 'savings' => true]);
    $cost = $answer['costs'][0];
    expect($cost['savings'])->not->toBe([]);
    $cleared = static fn (string $of): array => array_column(array_filter((new Contract())->answerTo('formulate', json_decode((string) json_encode(['version' => 1, 'recipe' => ['text' => $of], 'dogs' => $dogs])))['verdict']['dogs'], static fn (array $one): bool => $one['cleared']), 'name');
    foreach ($cost['savings'] as $saving) {
        $after = shopped([['recipe' => ['text' => $saving['recipeText']]] + $asked], ['dogs' => $dogs, 'packs' => SHOPPED_PRICES])['costs'][0];
        expect($after['known'])->toEqualWithDelta($cost['known'] - $saving['saves'], 0.005)->and($after['unknown'])->toBe([])->and($saving['saves'])->toBeGreaterThan(0.0)
            ->and(array_diff($cleared($text), $cleared($saving['recipeText'])))->toBe([])
            ->and($saving['recipeText'])->not->toContain($saving['line']);
    }
    expect(array_column($cost['savings'], 'saves'))->toBe(array_reverse(array_values(array_unique(array_map(static fn (array $one): float => $one['saves'], array_reverse($cost['savings']))))));
    expect(shopped([$asked], ['dogs' => $dogs, 'packs' => SHOPPED_PRICES])['costs'][0]['savings'])->toBe([]);
})->with([
    [[['name' => 'Quill', 'weightKg' => 12.5, 'ageMonths' => 60]], "300 g buckwheat flour\n1 egg\n60 g plain pumpkin purée"],
    [[['name' => 'Tuppence', 'weightKg' => 9, 'ageMonths' => 49, 'allergies' => ['gluten']]], "300 g buckwheat flour\n1 egg\n60 g plain pumpkin purée\n40 g almond butter"],
    [[], "300 g buckwheat flour\n1 egg\n60 g plain pumpkin purée"],
]);

it('saves nothing where the price of the swap is not known', function (): void {
    $only = array_values(array_filter(SHOPPED_PRICES, static fn (array $one): bool => in_array($one['ingredient'], ['buckwheat-flour', 'egg', 'pumpkin-puree'], true)));
    expect(shopped([['name' => 'Squares', 'recipe' => ['text' => "300 g buckwheat flour\n1 egg\n60 g plain pumpkin purée"]]], ['packs' => $only, 'savings' => true])['costs'][0]['savings'])->toBe([]);
});

it('counts by the piece what is bought by the piece, and never too few', function (): void {
    $items = bought(shopped([['times' => 3, 'name' => 'Rounds', 'recipe' => ['text' => "1 large egg\n1 medium beetroot\n200 g oat flour\n10 g raspberries\n120 g turkey"]]]));
    expect($items['egg']['pieces'])->toBe(3)->and($items['oat-flour']['pieces'])->toBeNull()->and($items['raspberry']['pieces'])->toBeNull();
    foreach ($items as $item) {
        expect($item['pieces'] === null || $item['pieces'] >= 1)->toBeTrue();
    }
    expect($items['beetroot']['pieces'])->toBeGreaterThanOrEqual(3);
});
