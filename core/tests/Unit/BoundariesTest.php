<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\HeatStage;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Oven;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Values\Range;

/**
 * Each figure of the reference a hundredth under and over. What is found for a dog that differs in one figure, on a plain biscuit.
 *
 * @param  array<string, mixed>  $dog
 * @param  array<string, mixed>  $more
 * @return array<string, mixed> the ration, with the codes of its findings
 */
function plainly(array $dog, array $more = []): array
{
    $answer = answer(
        "200 g oat flour\n100 g water",
        $more + ['dogs' => [dog('Rex', $dog)], 'cut' => ['shape' => 'ball', 'diameterMm' => 8], 'bake' => ['texture' => 'soft']]
    );

    return $answer['rations'][0] + ['found' => array_column($answer['verdict']['dogs'][0]['findings'], 'code')];
}

it('steps from one life stage to the next at its month, by grown weight', function (float $kg, float $months, string $before, string $after): void {
    expect(plainly(['weightKg' => $kg, 'ageMonths' => $months * 0.99])['stage'])
        ->toBe($before)
        ->and(plainly(['weightKg' => $kg, 'ageMonths' => $months])['stage'])
        ->toBe($after)
        ->and(plainly(['weightKg' => $kg, 'ageMonths' => $months * 1.01])['stage'])
        ->toBe($after);
})->with([
    'adult, up to 25 kg' => [25, 12, 'puppy', 'adult'],
    'adult, over 25 kg' => [25.25, 18, 'puppy', 'adult'],
    'adult, up to 45 kg' => [45, 18, 'puppy', 'adult'],
    'adult, over 45 kg' => [45.45, 24, 'puppy', 'adult'],
    'senior, up to 10 kg' => [10, 120, 'adult', 'senior'],
    'senior, over 10 kg' => [10.1, 108, 'adult', 'senior'],
    'senior, up to 25 kg' => [25, 108, 'adult', 'senior'],
    'senior, over 25 kg' => [25.25, 96, 'adult', 'senior'],
    'senior, up to 45 kg' => [45, 96, 'adult', 'senior'],
    'senior, over 45 kg' => [45.45, 72, 'adult', 'senior'],
]);

it('burns what the reference says, by factor and school', function (
    array $dog,
    string $school,
    float $low,
    float $best,
    float $high,
    bool $ofResting = true
): void {
    $kg = $dog['weightKg'] ?? 10;
    $base = ($ofResting ? 70 : 1) * $kg ** 0.75;
    $daily = plainly($dog, ['policy' => ['energySchool' => $school]])['dailyKcal'];
    // single dogs differ by 30 % from any formula
    expect($daily['best'])
        ->toEqualWithDelta($base * $best, 1e-6)
        ->and($daily['low'])
        ->toEqualWithDelta(min($base * $low, 0.7 * $base * $best), 1e-6)
        ->and($daily['high'])
        ->toEqualWithDelta(max($base * $high, 1.3 * $base * $best), 1e-6);
})->with([
    'puppy a hundredth under 4 months' => [['ageMonths' => 3.96], 'clinic', 3.0, 3.0, 3.0],
    'puppy at 4 months' => [['ageMonths' => 4], 'clinic', 2.0, 2.0, 2.5],
    'neutered' => [[], 'clinic', 1.4, 1.6, 1.6],
    'not known whether neutered' => [['neutered' => null], 'clinic', 1.4, 1.6, 1.6],
    'intact' => [['neutered' => false], 'clinic', 1.6, 1.8, 1.8],
    'active' => [['activity' => 'active'], 'clinic', 1.6, 1.8, 1.8],
    'inactive' => [['activity' => 'inactive'], 'clinic', 1.0, 1.2, 1.4],
    'senior' => [['ageMonths' => 130], 'clinic', 1.1, 1.4, 1.6],
    'senior, active' => [['ageMonths' => 130, 'activity' => 'active'], 'clinic', 1.1, 1.4, 1.6],
    'senior, inactive' => [['ageMonths' => 130, 'activity' => 'inactive'], 'clinic', 1.0, 1.2, 1.4],
    'light work' => [['activity' => 'working-light'], 'clinic', 1.6, 1.8, 2.0],
    'moderate work' => [['activity' => 'working-moderate'], 'clinic', 2.0, 3.0, 5.0],
    'heavy work' => [['activity' => 'working-heavy'], 'clinic', 5.0, 6.0, 11.0],
    'heavy work of a senior' => [['activity' => 'working-heavy', 'ageMonths' => 130], 'clinic', 5.0, 6.0, 11.0],
    'to lose weight' => [['conditions' => ['weight-loss']], 'clinic', 1.0, 1.0, 1.0],
    'to gain weight' => [['conditions' => ['weight-gain']], 'clinic', 1.2, 1.4, 1.8],
    'to lose weight, research' => [['conditions' => ['weight-loss']], 'nrc', 1.0, 1.0, 1.0],
    'light work, research' => [['activity' => 'working-light'], 'nrc', 1.6, 1.8, 2.0],
    'inactive, research' => [['activity' => 'inactive'], 'nrc', 95, 95, 95, false],
    'normal, research' => [[], 'nrc', 112, 112, 112, false],
    'senior, research' => [['ageMonths' => 130], 'nrc', 105, 105, 105, false],
    'senior, inactive, research' => [['ageMonths' => 130, 'activity' => 'inactive'], 'nrc', 95, 95, 95, false],
    'active, research' => [['activity' => 'active'], 'nrc', 130, 130, 130, false],
    'active, a hundredth under 2 years' => [['activity' => 'active', 'ageMonths' => 23.76], 'nrc', 140, 140, 140, false],
    'active, 2 years' => [['activity' => 'active', 'ageMonths' => 24], 'nrc', 130, 130, 130, false],
    'active terrier' => [['activity' => 'active', 'breed' => 'Patterdale terrier'], 'nrc', 180, 180, 180, false],
    'active Great Dane' => [['activity' => 'active', 'breed' => 'great dane', 'weightKg' => 50], 'nrc', 200, 200, 200, false],
    'active Newfoundland' => [['activity' => 'active', 'breed' => 'newfoundland', 'weightKg' => 50, 'ageMonths' => 40], 'nrc', 105, 105, 105, false],
    'quiet Great Dane' => [['breed' => 'great dane', 'weightKg' => 50], 'nrc', 112, 112, 112, false],
]);

it('grows by the research formula from a tenth of the grown weight to all of it', function (float $kg, float $expected, float $p): void {
    $daily = plainly(['weightKg' => $kg, 'ageMonths' => 5, 'expectedAdultWeightKg' => $expected], ['policy' => ['energySchool' => 'nrc']])[
        'dailyKcal'
    ]['best'];
    expect($daily)->toEqualWithDelta(130 * $kg ** 0.75 * 3.2 * (exp(-0.87 * $p) - 0.1), 1e-6);
})->with([[8, 20, 0.4], [1, 10, 0.1], [0.9, 10, 0.1], [9.9, 10, 0.99], [10, 10, 1.0]]);

it('takes a tenth of the weight for each score away from 5', function (int $score, float $ideal): void {
    expect(plainly(['weightKg' => 20, 'bodyCondition' => $score])['idealWeightKg'])->toEqualWithDelta($ideal, 1e-9);
})->with([[1, 20 / 0.6], [2, 20 / 0.7], [3, 20 / 0.8], [4, 20], [5, 20], [6, 20 / 1.1], [7, 20 / 1.2], [8, 20 / 1.3], [9, 20 / 1.4]]);

it('takes the treats of an overweight dog from its ideal weight, and asks the vet at the ends of the scale', function (
    int $score,
    bool $fromIdeal,
    bool $asks
): void {
    $ration = plainly(['weightKg' => 20, 'bodyCondition' => $score]);
    $kg = $fromIdeal ? 20 / (1 + 0.1 * ($score - 5)) : 20;
    expect($ration['treatBudgetKcal'])
        ->toEqualWithDelta((70 * $kg ** 0.75 * 1.6) / 10, 1e-6)
        ->and(in_array('ask-vet', $ration['found'], true))
        ->toBe($asks);
})->with([
    [1, false, true],
    [2, false, true],
    [3, false, false],
    [4, false, false],
    [5, false, false],
    [6, true, false],
    [7, true, false],
    [8, true, false],
    [9, true, true],
]);

it('gives a tenth of the day to treats, half of that to growth, a plan or a condition, and never more', function (
    array $dog,
    ?float $policy,
    float $percent
): void {
    $ration = plainly($dog, $policy === null ? [] : ['policy' => ['budgetPercent' => $policy]]);
    expect((100 * $ration['treatBudgetKcal']) / $ration['dailyKcal']['best'])->toEqualWithDelta($percent, 1e-9);
})->with([
    'grown' => [[], null, 10],
    'a puppy' => [['ageMonths' => 6], null, 5],
    'no age, but still to grow' => [['ageMonths' => null, 'expectedAdultWeightKg' => 20], null, 5],
    'no age' => [['ageMonths' => null], null, 10],
    'a plan' => [['conditions' => ['weight-loss']], null, 5],
    'a condition' => [['conditions' => ['anaemia']], null, 5],
    'an allergy' => [['allergies' => ['beef']], null, 10],
    'a medicine' => [['medicines' => ['bromide']], null, 10],
    'the kitchen lowers it' => [[], 9.9, 9.9],
    'the kitchen cannot raise it' => [['ageMonths' => 6], 5.05, 5],
    'the kitchen lowers it below half' => [['ageMonths' => 6], 4.95, 4.95],
    'the dog has its own' => [['budgetPercent' => 3], 4.0, 3],
    'the lower of both' => [['budgetPercent' => 4], 3.0, 3],
    'none at all' => [['budgetPercent' => 0], null, 0],
]);

it('gives nothing under 8 weeks, and pea-sized soft pieces under 12', function (): void {
    expect(plainly(['ageMonths' => 1.84 * 0.99, 'weightKg' => 2])['ifCleared'])
        ->toBe(0.0)
        ->and(array_column(plainly(['ageMonths' => 1.8, 'weightKg' => 2])['limits'], 'code'))
        ->toContain('age')
        ->and(plainly(['ageMonths' => 1.84, 'weightKg' => 2])['ifCleared'])
        ->toBeGreaterThan(0.0)
        ->and(plainly(['ageMonths' => 2.76 * 0.99, 'weightKg' => 3], ['bake' => ['texture' => 'biscuit']])['found'])
        ->toContain('texture-young')
        ->and(plainly(['ageMonths' => 2.76 * 0.99, 'weightKg' => 3])['found'])
        ->not->toContain('texture-young')
        ->and(plainly(['ageMonths' => 2.76, 'weightKg' => 3], ['bake' => ['texture' => 'biscuit']])['found'])
        ->not->toContain('texture-young')
        ->and(plainly(['stage' => 'puppy', 'ageMonths' => null], ['bake' => ['texture' => 'biscuit']])['found'])
        ->toContain('texture-young');
});

it('keeps a piece to the safe bite of its weight', function (float $kg, float $bite): void {
    $found = static fn (float $kg, float $mm): bool => in_array(
        'bite',
        plainly(['weightKg' => $kg], ['cut' => ['shape' => 'ball', 'diameterMm' => $mm]])['found'],
        true
    );
    expect($found($kg, $bite))
        ->toBeFalse()
        ->and($found($kg, $bite * 1.01))
        ->toBeTrue();
})->with([[0.3, 10], [4.95, 10], [5, 10], [5.05, 15], [9.9, 15], [10, 15], [10.1, 25], [24.75, 25], [25, 25], [25.25, 40], [120, 40]]);

it('brings in what is new by a quarter', function (): void {
    $known = plainly([])['limits'][0]['piecesPerDay'];
    $new = plainly(['newIngredients' => ['oat']]);
    expect(array_column($new['limits'], 'piecesPerDay', 'code')['new-ingredient'])
        ->toEqualWithDelta($known / 4, 1e-9)
        ->and($new['heldBy'])
        ->toBe('new-ingredient')
        ->and($new['ifCleared'])
        ->toBe(floor($known) / 4);
});

it('calls under a quarter piece too rich, and a quarter enough', function (float $share, bool $tooRich): void {
    // one piece that holds so much more than the budget that this share of it is left
    $budget = plainly([])['treatBudgetKcal'];
    $answer = answer(number_format($budget / $share / 3.5, 6, '.', '').' g plain meal', [
        'dogs' => [dog()],
        'cut' => ['shape' => 'pieces', 'count' => 1],
        'pantry' => [
            [
                'name' => 'plain meal',
                'per100g' => ['kcal' => 350, 'proteinG' => 0, 'fatG' => 0, 'carbohydrateG' => 87.5, 'sodiumMg' => 0],
                'ingredients' => 'oats',
            ],
        ],
    ]);
    expect(in_array('limit:too-rich', found($answer), true))
        ->toBe($tooRich)
        ->and($answer['verdict']['cleared'])
        ->toBe(! $tooRich)
        ->and($answer['rations'][0]['ifCleared'])
        ->toBe($tooRich ? 0.0 : 0.25);
})->with([[0.2475, true], [0.2501, false], [0.2525, false]]);

it('says "leave it out" of more than 5 g soda in a batch under 500 g', function (float $soda, float $flour, bool $says): void {
    expect(in_array('caution:baking-soda', found(answer("$flour g oat flour\n$soda g baking soda")), true))->toBe($says);
})->with([[4.95, 300, false], [5, 300, false], [5.05, 300, true], [5.05, 489.9, true], [5.05, 494.95, false], [5.05, 500, false]]);

it('says from a fifth of legumes on that grain-free food is under study', function (float $percent, bool $says): void {
    $text = "$percent g chickpea flour\n".(100 - $percent).' g potato starch';
    expect(in_array('caution:legume-heart', found(answer($text, ['dogs' => [dog('Rex', ['conditions' => ['heart']])]])), true))
        ->toBe($says)
        ->and(found(answer("$text\n1 g oat flour", ['dogs' => [dog('Rex', ['conditions' => ['heart']])]])))
        ->not->toContain('caution:legume-heart')
        ->and(found(answer($text, ['dogs' => [dog('Rex', ['conditions' => ['kidney']])]])))
        ->not->toContain('caution:legume-heart');
})->with([[19.8, false], [20, true], [20.2, true]]);

it('gives the starting times of the reference', function (
    string $shape,
    string $mm,
    string $texture,
    string $stage,
    string $from,
    string $to,
    string $celsius,
    string $look
): void {
    $size = (float) $mm;
    $sizes = match ($shape) {
        'round' => ['diameterMm' => 50.0, 'thicknessMm' => $size],
        'square' => ['sideMm' => 30.0, 'thicknessMm' => $size],
        'ball' => ['diameterMm' => $size],
        // a scoop of so many ml is a ball of this size
        'scoop' => ['ml' => (M_PI / 6) * ($size / 10) ** 3],
        default => ['widthMm' => 30.0, 'lengthMm' => 60.0, 'thicknessMm' => $size],
    };
    $stages = Heat::of(Cut::of($shape, $sizes), Texture::of($texture), dough())->stages;
    $one = $stages[(int) $stage - 1] ?? null;
    expect([$one->minutesLow ?? null, $one->minutesHigh ?? null, $one->celsius ?? null, $one->firstLookMinutes ?? null])->toBe([
        (int) $from,
        (int) $to,
        $celsius === '-' ? null : (int) $celsius,
        (int) $look,
    ]);
})->with(fn (): array => Cases::cells('heat.txt'));

it('bakes in proportion to the thickness to the power 1.1, and a fifth longer for every 14 °C less', function (): void {
    $at = static fn (float $mm, ?float $celsius = null, bool $fan = false): HeatStage => Heat::of(
        Cut::of('round', ['diameterMm' => 60.0, 'thicknessMm' => $mm]),
        Texture::of('biscuit'),
        dough(),
        new Oven($celsius, $fan)
    )->stages[0];
    expect($at(24)->minutesLow)
        ->toBe((int) round(25 * 2 ** 1.1))
        ->and($at(24)->minutesHigh)
        ->toBe((int) round(45 * 2 ** 1.1))
        ->and($at(1.5)->minutesHigh)
        ->toBe((int) round(24 * 0.5 ** 1.1))
        ->and($at(6, 161)->minutesHigh)
        ->toBe(30)
        ->and($at(6, 189)->minutesHigh)
        ->toBe(20)
        ->and($at(6, 175)->minutesHigh)
        ->toBe(25)
        ->and($at(6, 155, true)->minutesHigh)
        ->toBe(25)
        ->and($at(6, null, true)->celsius)
        ->toBe(155)
        // never more than twice, never less than half
        ->and($at(6, 60)->minutesHigh)
        ->toBe(50)
        ->and($at(6, 300)->minutesHigh)
        ->toBe(13);
});

it('leaves the oven as moist as its texture', function (string $texture, string $from, string $best, string $to, string $heated, string $hard): void {
    $of = Texture::of($texture);
    $baked = $of->bakedGrams(Range::exact(300), Range::exact(120));
    if ($best === '-') {
        expect($baked)->toEqual(Range::exact(300));
    } else {
        foreach (['low' => $from, 'best' => $best, 'high' => $to] as $end => $percent) {
            expect($baked->{$end})->toEqualWithDelta(120 / (1 - (float) $percent / 100), 1e-9);
        }
    }
    expect($of->isHeated)
        ->toBe($heated === 'heated')
        ->and($of->isHard())
        ->toBe($hard === 'hard');
})->with(fn (): array => Cases::cells('textures.txt'));

it('knows the core temperature of everything raw', function (string $food, string $celsius): void {
    $heat = Heat::of(Cut::of('strip', ['widthMm' => 15.0, 'lengthMm' => 80.0, 'thicknessMm' => 5.0]), Texture::of('jerky'), dough([$food => 300.0]));
    expect($heat->cores[0]->celsius ?? null)
        ->toBe($celsius === '-' ? null : (int) $celsius)
        ->and($heat->coreStep === null)
        ->toBe($celsius === '-');
})->with(fn (): array => Cases::cells('cores.txt'));

it('offers the largest cutter that is not larger than the size worked out', function (): void {
    $cutters = [];
    foreach (Cases::cells('cutters.txt') as [$shape, $sizes]) {
        $cutters[$shape] = array_map(floatval(...), explode(' ', $sizes));
    }
    $kept = [];
    foreach (Compiled::tables()['cutters'] as $row) {
        $kept[$row['shape']][] = $row['mm'];
    }
    expect($kept)->toBe($cutters);
    foreach ($cutters as $shape => $sizes) {
        foreach ([2, 3, 4, 6, 9, 13, 20, 30, 45] as $pieces) {
            $answer = Asking::json('size', (
                json_encode(
                    [
                        'version' => 1,
                        'recipe' => ['text' => "200 g oat flour\n100 g water"],
                        'dogs' => [dog('Rex', ['weightKg' => 60])],
                        'cut' => ['shape' => $shape],
                        'wishes' => [['dog' => 'Rex', 'piecesPerDay' => $pieces]],
                    ],
                    JSON_THROW_ON_ERROR
                )
            )
            );
            foreach ($answer['sizes'] as $size) {
                $cut = $size['cut'];
                $across = $cut['diameterMm'] ?? ($cut['sideMm'] ?? $cut['lengthMm']);
                $fits = array_filter($sizes, static fn (float $mm): bool => $mm <= $across);
                expect($size['commonCutterMm'])->toBe($fits === [] ? null : max($fits));
            }
        }
    }
});

it('names the nearest gas mark', function (int $celsius, ?string $mark): void {
    $stage = Heat::of(Cut::of('round', ['diameterMm' => 50.0, 'thicknessMm' => 6.0]), Texture::of('biscuit'), dough(), new Oven((float) $celsius))->stages[0];
    expect($stage->gasMark)->toBe($mark);
})->with([
    [110, '¼'],
    [119, '¼'],
    [121, '½'],
    [130, '½'],
    [134, '½'],
    [136, '1'],
    [140, '1'],
    [144, '1'],
    [146, '2'],
    [150, '2'],
    [157, '2'],
    [158, '3'],
    [165, '3'],
    [172, '3'],
    [173, '4'],
    [180, '4'],
    [184, '4'],
    [186, '5'],
    [190, '5'],
    [196, '6'],
    [200, '6'],
    [209, '6'],
    [211, '7'],
    [220, '7'],
    [226, '8'],
    [230, '8'],
    [236, '9'],
    [240, '9'],
    [254, '9'],
    [255, null],
    [96, '¼'],
    [95, null],
]);

it('gives a food its job in a dough from its share on', function (string $text, int $line, string $job, bool $does): void {
    $answer = Asking::json('swaps', (json_encode(['version' => 1, 'recipe' => ['text' => $text], 'line' => $line], JSON_THROW_ON_ERROR))
    );
    expect(in_array($job, $answer['jobs'], true))->toBe($does, "$text: ".implode(', ', $answer['jobs']));
})->with([
    // a tenth of what takes up water: oat flour and oat bran take up the same
    'bulk, a hundredth over' => ["10.1 g oat flour\n89.9 g oat bran\n60 g water", 0, 'bulk', true],
    'bulk, a hundredth under' => ["9.9 g oat flour\n90.1 g oat bran\n60 g water", 0, 'bulk', false],
]);

it('gives a food the job of the fat from four tenths of it on, and of the wet from two tenths', function (
    string $food,
    string $substance,
    string $beside,
    string $job,
    float $from
): void {
    $held = answer("100 g $food", ['cut' => ['shape' => 'pieces', 'count' => 1]])['piece']['nutrients'][$substance];
    $besides = answer("100 g $beside", ['cut' => ['shape' => 'pieces', 'count' => 1]])['piece']['nutrients'][$substance] / 100;
    $jobs = static function (float $share) use ($food, $beside, $held, $besides): array {
        $text = "100 g $food\n".number_format(($held * (1 - $share)) / $share / $besides, 5, '.', '')." g $beside";

        return Asking::json('swaps', (json_encode(['version' => 1, 'recipe' => ['text' => $text], 'line' => 0], JSON_THROW_ON_ERROR)))['jobs'];
    };
    expect($jobs($from * 1.01))->toContain($job)->and($jobs($from * 0.99))->not->toContain($job);
})->with([['egg yolk', 'fatG', 'olive oil', 'fat', 0.4], ['mashed banana', 'waterG', 'lemon juice', 'wet', 0.2]]);
