<?php

declare(strict_types=1);

use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Telling\HealthClaim;

/** @return array<string, mixed> */
function givenAway(string $text): array
{
    return (new Contract())->answerTo('give-away', (object) ['version' => 1, 'recipe' => (object) ['text' => $text, 'steps' => ''], 'dogs' => []]);
}

/** @return list<string> */
function namesOnLabel(string $text): array
{
    return array_column(givenAway($text)['foods'], 'name');
}

it('names what went in heaviest first, each food once, with what dogs react to marked', function (): void {
    $foods = givenAway("50 g oats\n2 cups barley flour\n1 large egg\n20 g peanut butter, unsweetened\n30 g oats\n100 g carrot, grated\n1 tbsp rapeseed oil")['foods'];
    expect(array_column($foods, 'name'))->toBe(['barley flour', 'carrot', 'rolled oats', 'whole egg', 'peanut butter', 'rapeseed oil'])
        ->and(array_column(array_filter($foods, static fn (array $one): bool => $one['isAllergen']), 'name'))->toBe(['barley flour', 'whole egg', 'peanut butter'])
        ->and($foods[2]['grams'])->toEqualWithDelta(80, 0.01);
});

it('loses no food of a row, whatever it is: one that nobody can read or weigh stands there as it was written', function (): void {
    expect(namesOnLabel("100 g oat flour\na handful of grackle dust\nsome parsley"))->toContain('a handful of grackle dust')
        ->and(implode(' ', namesOnLabel("100 g oat flour\n1 tbsp honey or maple syrup")))->toContain('honey')->toContain('maple');
});

it('names the same in the same order, however the rows are divided and ordered', function (): void {
    mt_srand(17);
    $foods = ['oat flour', 'barley flour', 'carrot', 'egg', 'pumpkin', 'turkey', 'parsley', 'pear', 'millet flour'];
    for ($n = 0; $n < 60; $n++) {
        $rows = [];
        foreach (array_rand(array_flip($foods), mt_rand(2, 6)) as $k => $food) {
            $rows[] = [10 * mt_rand(1, 40) + $k, $food];
        }
        $text = static fn (array $rows): string => implode("\n", array_map(static fn (array $row): string => "$row[0] g $row[1]", $rows));
        $told = givenAway($text($rows))['foods'];
        $grams = array_column($told, 'grams');
        $sorted = $grams;
        rsort($sorted);
        expect($grams)->toBe($sorted)->and(count($told))->toBe(count(array_unique(array_column($rows, 1))));
        // every row in two halves, and all of them in another order
        $halves = [];
        foreach ($rows as [$grams, $food]) {
            array_push($halves, [$grams / 2, $food], [$grams / 2, $food]);
        }
        shuffle($halves);
        $again = givenAway($text($halves))['foods'];
        expect(array_column($again, 'name'))->toBe(array_column($told, 'name'));
        foreach ($again as $k => $one) {
            expect($one['grams'])->toEqualWithDelta($told[$k]['grams'], 1e-6);
        }
    }
});

it('tells energy by the convention of pet-food labels beside its own, and nothing where nobody knows', function (): void {
    $away = givenAway('100 g oat flour');
    // oat flour by 3.5-8.5-3.5 of protein, fat and carbohydrate without fibre, worked out by hand: less than by 4-9-4
    expect($away['petFoodRatio'])->toBeGreaterThan(0.8)->toBeLessThan(1.0)
        ->and($away['pieceKcal'] / $away['pieceGrams'])->toBeGreaterThan(2.5)->toBeLessThan(5.0)
        ->and(givenAway("100 g oat flour\n50 g grackle dust")['petFoodRatio'] ?? null)->not->toBe(0);
});

it('finds a claim about health in a title, and none in a plain one', function (string $title, bool $is): void {
    expect(HealthClaim::in($title) !== null)->toBe($is, $title);
})->with([
    ['Calming lavender bones', true], ['Joint support coins', true], ['Immune boosters', true], ['Healthy paws', true], ['Hypoallergenic bites', true], ['Vet approved squares', true], ['Detox crisps', true],
    ['Beetroot and barley rounds', false], ['Quill\'s calm evening coins', false], ['Fennel and melon, frozen', false], ['Bones for Bosun', false], ['Cheese wheels', false], ['Jointly baked rounds', false], ['Treats for Mabel', false],
]);
