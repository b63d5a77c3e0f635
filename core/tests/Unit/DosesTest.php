<?php

declare(strict_types=1);

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Dose;
use MildBowl\Core\Tests\Support\Cases;

/** A meal that brings energy and nothing that is dosed. */
const PLAIN_MEAL = ['name' => 'plain meal', 'per100g' => ['kcal' => 350, 'proteinG' => 0, 'fatG' => 0, 'carbohydrateG' => 87.5, 'sodiumMg' => 0]];

/** @return array<string, mixed> */
function dosedDog(string $who): array
{
    return dog(
        'Rex',
        match ($who) {
            'healthy' => [],
            'puppy' => ['ageMonths' => 6, 'expectedAdultWeightKg' => 14],
            'large puppy' => ['weightKg' => 20, 'ageMonths' => 6, 'expectedAdultWeightKg' => 45],
            default => ['conditions' => [$who]],
        }
    );
}

/** @return array<string, mixed> the answer for 300 g of plain meal with so much of a food, cut in sixty */
function dosed(string $food, float $grams, array $dog, string $code, array $more = []): array
{
    return answer(
        "300 g plain meal\n".number_format($grams, 6, '.', '')." g $food",
        $more + [
            'dogs' => [$dog],
            'cut' => ['shape' => 'pieces', 'count' => 60],
            'pantry' => [PLAIN_MEAL],
            'policy' => ['garlic' => $code === 'garlic' ? 'measured' : 'avoid'],
        ]
    );
}

/** What the reference's figure comes to in a day for this dog. @param  array<string, mixed>  $ration @param  array<string, mixed>  $dog */
function capOf(float $figure, string $per, array $ration, array $dog): float
{
    return $figure *
        match ($per) {
            'treat' => $ration['treatBudgetKcal'] / 100,
            'kcal' => $ration['treatBudgetKcal'],
            'day' => $ration['dailyKcal']['best'] / 100,
            'kg' => $dog['weightKg'],
            '10kg' => $dog['weightKg'] / 10,
        };
}

it('holds a ration by the figures of the reference, and says so from a hundredth over', function (
    string $code,
    string $substance,
    string $figure,
    string $per,
    string $kind,
    string $who,
    string $food
): void {
    $dog = dosedDog($who);
    $hundred = dosed($food, 100, $dog, $code);
    $batchKcal = $hundred['batch']['kcal']['best'];
    $aGram = (($hundred['piece']['nutrients'][$substance] ?? 0.0) * 60) / 100;
    $kcalAGram = ($batchKcal - 1050) / 100;
    $ration = $hundred['rations'][0];
    $budget = $ration['treatBudgetKcal'];
    $cap = capOf((float) $figure, $per, $ration, $dog);
    expect($aGram)->toBeGreaterThan(0.0);
    if ($kind === 'limit') {
        expect(array_column($ration['limits'], 'piecesPerDay', 'code')[$code] ?? null)->toEqualWithDelta(
            $cap / (($aGram * 100) / 60),
            (1e-6 * $cap) / $aGram
        );
    }
    // so much of the food that the whole budget brings this share of the cap
    $bringing = static fn (float $share): float => (1050 * $cap * $share) / ($aGram * $budget - $cap * $share * $kcalAGram);
    $levels = static fn (float $share): array => array_column(
        array_filter(dosed($food, $bringing($share), $dog, $code)['lines'][1]['findings'], static fn (array $one): bool => $one['code'] === $code),
        'level'
    );
    expect($bringing(1.01))->toBeGreaterThan(0.0)->and($levels(1.01))->toContain($kind)->and($levels(0.99))->not->toContain($kind);
})->with(fn (): array => Cases::cells('doses.txt'));

it('counts a ration by the strictest row of its dog', function (string $condition, string $code, float $figure, string $food): void {
    $dog = dog('Rex', ['conditions' => explode('+', $condition)]);
    $answer = dosed($food, 20, $dog, $code);
    $limit = array_column($answer['rations'][0]['limits'], 'piecesPerDay', 'code')[$code];
    $piece = $answer['piece']['nutrients'][['sodium' => 'sodiumMg', 'fat' => 'fatG'][$code]];
    expect($limit)->toEqualWithDelta(($figure * $answer['rations'][0]['treatBudgetKcal']) / 100 / $piece, 1e-6 * $limit);
})->with([
    ['heart+heart-advanced', 'sodium', 60, 'salt'],
    ['heart-advanced+kidney', 'sodium', 60, 'salt'],
    ['sensitive-stomach+pancreatitis', 'fat', 2.5, 'olive oil'],
    ['pancreatitis+sensitive-stomach', 'fat', 2.5, 'olive oil'],
    ['urate-stones', 'sodium', 200, 'salt'],
    ['urate-stones', 'fat', 8, 'olive oil'],
]);

it('takes off what the dog had today, to the last part', function (string $key, string $code, string $food, float $grams, float $had): void {
    $limits = static fn (array $already): array => array_column(
        dosed($food, $grams, dog('Rex', ['alreadyToday' => (object) $already]), $code)['rations'][0]['limits'],
        'piecesPerDay',
        'code'
    );
    $answer = dosed($food, $grams, dog(), $code);
    $piece = $code === 'budget' ? $answer['piece']['kcal']['best'] : $answer['piece']['nutrients'][$key === 'vitaminAUg' ? 'retinolUg' : $key];
    expect($limits([$key => $had])[$code])
        ->toEqualWithDelta($limits([])[$code] - $had / $piece, 1e-6)
        ->and($limits([$key => 1e6])[$code])
        ->toBe(0.0);
})->with([
    ['kcal', 'budget', 'parsley', 1.0, 10.0],
    ['sodiumMg', 'sodium', 'salt', 2.0, 40.0],
    ['fatG', 'fat', 'olive oil', 20.0, 1.0],
    ['addedSugarG', 'added-sugar', 'honey', 20.0, 1.0],
    ['retinolUg', 'vitamin-a', 'beef liver', 20.0, 200.0],
    ['vitaminAUg', 'vitamin-a', 'beef liver', 20.0, 200.0],
    ['vitaminDUg', 'vitamin-d', 'cod liver oil', 5.0, 1.0],
    ['coumarinMg', 'coumarin', 'cassia cinnamon', 2.0, 0.2],
    ['garlicG', 'garlic', 'fresh garlic', 3.0, 0.2],
    ['newFibreG', 'fibre', 'psyllium husk', 9.0, 0.5],
    ['kelpG', 'kelp', 'kelp powder', 1.0, 0.01],
]);

it('names in the finding what it comes to in this dog\'s full ration', function (): void {
    $answer = answer("300 g oat flour\n150 g water\n8 g salt", ['dogs' => [dog('Ada')], 'cut' => ['shape' => 'pieces', 'count' => 60]]);
    $finding = array_values(array_filter($answer['lines'][2]['findings'], static fn (array $one): bool => $one['code'] === 'sodium'))[0];
    expect($finding['level'])
        ->toBe('limit')
        ->and($finding['dog'])
        ->toBe('Ada')
        ->and($finding['figure'])
        ->toContain('Ada')
        ->toContain('200')
        ->and($finding['message'])
        ->toMatch('/Sodium is \d+ mg/');
});

it('stands a dose on the lines that bring a fifth of it, and always on the largest', function (): void {
    $has = static fn (string $text): array => array_map(
        static fn (array $line): bool => in_array('sodium', array_column($line['findings'], 'code'), true),
        answer($text, ['dogs' => [dog()], 'cut' => ['shape' => 'pieces', 'count' => 60], 'pantry' => [PLAIN_MEAL]])['lines']
    );
    expect($has("300 g plain meal\n3 g salt\n2.5 g salt\n100 g plain meal"))
        ->toBe([false, true, true, false])
        // 19 and 21 hundredths of the salt
        ->and($has("300 g plain meal\n0.95 g salt\n4.05 g salt"))
        ->toBe([false, false, true])
        ->and($has("300 g plain meal\n1.05 g salt\n3.95 g salt"))
        ->toBe([false, true, true])
        // exactly a fifth
        ->and($has("300 g plain meal\n1 g salt\n4 g salt"))
        ->toBe([false, true, true])
        // seven equal lines: none brings a fifth, each is the largest
        ->and($has("300 g plain meal\n".implode("\n", array_fill(0, 7, '1 g salt'))))
        ->toBe([false, ...array_fill(0, 7, true)]);
});

it('holds of a gram what the reference says', function (string $food, string $substance, string $low, string $best, string $high): void {
    $garlic = ['policy' => ['garlic' => 'measured'], 'cut' => ['shape' => 'pieces', 'count' => 1]];
    $piece = answer("100 g $food", $garlic)['piece']['nutrients'];
    expect($piece[$substance] ?? 0.0)->toEqualWithDelta(100 * (float) $best, 1e-6);
})->with(fn (): array => Cases::cells('contents.txt'));

it('turns an amount a day into the unit of its row, and a limit of the row into an amount a day', function (string $basis, float $inUnit): void {
    // 30 of something a day: in 60 kcal of treats, of 600 kcal a day, in a dog of 15 kg
    $dose = new Dose('salt', 'saltG', $basis, null, $inUnit, 'of something', [], '', '', 'KITCHEN');
    $dog = new Dog('Rex', 15.0);
    expect($dose->inUnit(30.0, 60.0, $dog, 600.0))
        ->toEqualWithDelta($inUnit, 1e-9)
        ->and($dose->capPerDay($dog, 60.0, 600.0))
        ->toEqualWithDelta(30.0, 1e-9);
    // what is not known is not worked out
    $unknown = new Dog('Ada', null);
    if (preg_match('/per(10)?kg/i', $basis) === 1) {
        expect($dose->inUnit(30.0, 60.0, $unknown, 600.0))
            ->toBeNull()
            ->and($dose->capPerDay($unknown, 60.0, 600.0))
            ->toBeNull();
    } else {
        expect($dose->inUnit(30.0, 0.0, $dog, null))
            ->toBeNull()
            ->and($dose->capPerDay($dog, null, null))
            ->toBeNull();
    }
})->with([
    ['per100kcalTreat', 50.0],
    ['perKcalTreat', 0.5],
    ['per100kcalDay', 5.0],
    ['perKgDay', 2.0],
    ['per10kgDay', 20.0],
]);

it('says nothing of sodium under its floor, and of water and ice never', function (string $text, array $dog, bool $said): void {
    $answer = answer($text, ['dogs' => [dog('Rex', $dog)], 'bake' => ['texture' => 'frozen'], 'cut' => ['shape' => 'pieces', 'count' => 12]]);
    $found = array_filter(
        [...array_merge(...array_column($answer['lines'], 'findings')), ...$answer['verdict']['dogs'][0]['findings']],
        static fn (array $one): bool => $one['code'] === 'sodium'
    );
    expect($found !== [])->toBe($said, json_encode($found, JSON_THROW_ON_ERROR));
})->with([
    'water' => ['500 g water', ['weightKg' => 3], false],
    'ice for a weak heart' => ['500 g ice', ['weightKg' => 3, 'conditions' => ['heart-advanced']], false],
    'a brine' => ["1 litre water\n30 g salt", ['weightKg' => 12], true],
    'a salted cheese for a heart dog' => ['300 g feta', ['weightKg' => 30, 'conditions' => ['heart']], true],
]);

it('begins to speak of sodium at the floor of the reference', function (string $who, float $floor): void {
    $dose = array_values(array_filter(
        MildBowl\Core\Feeding\Doses::all()->rows,
        static fn (Dose $one): bool => $one->code === 'sodium' && in_array($who, $one->who, true)
    ))[0];
    $dog = new Dog('Rex', 20.0);
    expect($dose->floorPerDay($dog))
        ->toEqualWithDelta($floor * 20, 1e-9)
        ->and($dose->capPerDay($dog, 1.0, 100.0))
        ->toEqualWithDelta($floor * 20, 1e-9)
        // far above the floor the figure by energy holds as it did
        ->and($dose->capPerDay($dog, 1000.0, 10000.0))
        ->toEqualWithDelta($dose->limit * 10, 1e-9)
        ->and($dose->floorPerDay(new Dog('Ada', null)))
        ->toBe(0.0);
})->with([
    ['healthy', 5.0],
    ['heart', 2.0],
    ['kidney', 2.0],
    ['heart-advanced', 1.0],
]);
