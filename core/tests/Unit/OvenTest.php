<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\HeatStage;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Kitchen\Oven;
use MildBowl\Core\Kitchen\Tray;

function rounds(float $across, float $thick): Cut
{
    return Cut::of('round', ['diameterMm' => $across, 'thicknessMm' => $thick]);
}

it('gives the starting times of the reference', function (Cut $cut, string $texture, int $low, int $high, ?int $celsius): void {
    $stage = Heat::of($cut, Texture::of($texture), dough())->stages[0];
    expect([$stage->minutesLow, $stage->minutesHigh, $stage->celsius])
        ->toBe([$low, $high, $celsius])
        ->and($stage->firstLookMinutes)
        ->toBe((int) floor(0.8 * $low))
        ->and($stage->sign)
        ->not->toBe('');
})->with(
    fn (): array => [
        '3 mm' => [rounds(20, 3), 'biscuit', 18, 24, 175],
        '6 mm' => [rounds(20, 6), 'biscuit', 15, 25, 175],
        '12 mm' => [rounds(30, 12), 'biscuit', 25, 45, 175],
        'the short end is soft' => [rounds(30, 12), 'soft', 25, 35, 175],
        'the long end hard' => [rounds(30, 12), 'hard', 35, 45, 175],
        'balls' => [Cut::of('ball', ['diameterMm' => 25.0]), 'biscuit', 20, 30, 165],
        'tray' => [
            Cut::of('grid', ['sheetWidthMm' => 200.0, 'sheetLengthMm' => 300.0, 'depthMm' => 15.0, 'columns' => 5.0, 'rows' => 8.0]),
            'tray',
            40,
            60,
            175,
        ],
        'frozen' => [Cut::of('mould', ['cavityMl' => 6.0, 'cavities' => 20.0]), 'frozen', 240, 240, null],
    ]
);

it('bakes thicker pieces longer, hotter ones shorter, and turns a fan oven down', function (): void {
    $at = static fn (float $thick, ?float $celsius = null, bool $fan = false): HeatStage => Heat::of(
        rounds(40, $thick),
        Texture::of('biscuit'),
        dough(),
        new Oven($celsius, $fan)
    )->stages[0];
    expect($at(24)->minutesHigh)
        ->toBe((int) round(45 * 2 ** 1.1))
        ->and($at(9)->minutesHigh)
        ->toBeGreaterThan(25)
        ->toBeLessThan(45)
        ->and($at(6, 161)->minutesHigh)
        ->toBe(30)
        ->and($at(6, 189)->minutesHigh)
        ->toBe(20)
        ->and($at(6, null, true)->celsius)
        ->toBe(155)
        ->and($at(6, 155, true)->minutesHigh)
        ->toBe(25);
});

it('dries a hard piece in the turned-off oven, and a tray twice', function (): void {
    expect(array_column(Heat::of(rounds(20, 6), Texture::of('hard'), dough())->stages, 'does'))
        ->toBe(['bake', 'leave in the turned-off oven'])
        ->and(
            array_column(
                Heat::of(
                    Cut::of('grid', ['sheetWidthMm' => 200.0, 'sheetLengthMm' => 200.0, 'depthMm' => 15.0, 'columns' => 5.0, 'rows' => 5.0]),
                    Texture::of('tray'),
                    dough()
                )->stages,
                'celsius'
            )
        )
        ->toBe([175, 160]);
});

it('knows the core temperatures, and that drying makes no meat safe', function (string $food, ?int $core): void {
    $heat = Heat::of(Cut::of('strip', ['widthMm' => 15.0, 'lengthMm' => 80.0, 'thicknessMm' => 5.0]), Texture::of('jerky'), dough([$food => 300.0]));
    expect($heat->cores[0]->celsius ?? null)
        ->toBe($core)
        ->and($heat->coreStep === null)
        ->toBe($core === null);
    expect(Heat::of(rounds(20, 6), Texture::of('biscuit'), dough([$food => 300.0]))->coreStep)->toBeNull();
})->with([
    ['chicken-mince', 74],
    ['chicken-liver', 74],
    ['venison-mince', 71],
    ['venison', 71],
    ['rabbit', 71],
    ['beef-mince', 71],
    ['beef-lean', 63],
    ['cod', 63],
    ['egg', 71],
    ['sweet-potato', null],
    ['chicken-breast-cooked', null],
]);

it('writes core temperatures as the source gives them in °F', function (string $food, int $fahrenheit): void {
    expect(Heat::of(rounds(20, 6), Texture::of('biscuit'), dough([$food => 300.0]))->cores[0]->fahrenheit())->toBe($fahrenheit);
})->with([['chicken-mince', 165], ['beef-mince', 160], ['cod', 145]]);

it('writes the same heat in every oven\'s words', function (): void {
    expect(Heat::fahrenheit(175))
        ->toBe(345)
        ->and(Heat::fahrenheit(180))
        ->toBe(355)
        ->and(Heat::gasMark(180))
        ->toBe('4')
        ->and(Heat::gasMark(95))
        ->toBeNull();
    $stage = Heat::of(rounds(20, 6), Texture::of('biscuit'), dough(), new Oven(null, true))->stages[0];
    expect($stage->celsius)->toBe(155)->and($stage->fahrenheit)->toBe(310)->and($stage->gasMark)->toBe('4');
});

it('lays pieces on the tray without touching and within its rims', function (Cut $cut, Tray $tray): void {
    $plan = SheetPlan::of($cut, $tray, 400);
    expect($plan)->not->toBeNull();
    [$across, $along] = $plan->pieceMm;
    foreach ($plan->at as $n => [$x, $y]) {
        expect($x - $across / 2)
            ->toBeGreaterThanOrEqual(-0.01)
            ->and($x + $across / 2)
            ->toBeLessThanOrEqual($tray->widthMm + 0.01)
            ->and($y - $along / 2)
            ->toBeGreaterThanOrEqual(-0.01)
            ->and($y + $along / 2)
            ->toBeLessThanOrEqual($tray->lengthMm + 0.01);
        foreach (array_slice($plan->at, $n + 1, 60) as [$otherX, $otherY]) {
            $apart = $plan->staggered ? hypot($x - $otherX, $y - $otherY) - $across : max(abs($x - $otherX) - $across, abs($y - $otherY) - $along);
            expect($apart)->toBeGreaterThanOrEqual($tray->gapMm - 0.02);
        }
    }
    expect($plan->perSheet)
        ->toBe(count($plan->at))
        ->and(($plan->sheets - 1) * $plan->perSheet + $plan->lastSheet)
        ->toBe(400)
        ->and($plan->rounds)
        ->toBe((int) ceil($plan->sheets / $tray->atOnce));
})->with(
    fn (): array => [
        [rounds(25, 6), new Tray(300, 400)],
        [rounds(25, 6), new Tray(300, 400, 0, 2)],
        [Cut::of('rectangle', ['widthMm' => 15.0, 'lengthMm' => 70.0, 'thicknessMm' => 6.0]), new Tray(250, 330)],
        [Cut::of('bone', ['widthMm' => 30.0, 'lengthMm' => 60.0, 'thicknessMm' => 8.0]), new Tray(300, 400, 10, 3)],
        [Cut::of('ball', ['diameterMm' => 20.0]), new Tray(200, 200, 15)],
    ]
);

it('counts a straight and a staggered sheet by hand', function (): void {
    expect(SheetPlan::of(Cut::of('square', ['sideMm' => 40.0, 'thicknessMm' => 6.0]), new Tray(190, 240), 20)?->perSheet)
        ->toBe(4 * 5)
        ->and(SheetPlan::of(rounds(40, 6), new Tray(190, 240), 20)?->perSheet)
        ->toBeGreaterThanOrEqual(20)
        ->and(SheetPlan::of(Cut::of('square', ['sideMm' => 300.0, 'thicknessMm' => 6.0]), new Tray(190, 240), 5)?->says)
        ->toContain('larger than the tray')
        ->and(SheetPlan::of(Cut::of('mould', ['cavityMl' => 6.0, 'cavities' => 20.0]), new Tray(190, 240), 50)?->says)
        ->toContain('10 of 20')
        ->toContain('1.20')
        ->and(SheetPlan::of(Cut::of('pieces', ['count' => 24.0]), new Tray(190, 240), 24))
        ->toBeNull();
});

it('cuts one dough for several dogs, each judged by its own cut and texture', function (): void {
    $dogs = [
        dog('Ferris', ['weightKg' => 36]),
        dog('Quill', ['weightKg' => 12.5, 'teeth' => 'few', 'ageMonths' => 146]),
        dog('Bosun', ['weightKg' => 19]),
    ];
    $text = "2 cups oat flour\n1 large egg\n1/2 cup water";
    $more = ['dogs' => $dogs, 'cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6], 'bake' => ['texture' => 'hard']];
    $whole = answer($text, $more);
    $answer = answer(
        $text,
        $more + [
            'portions' => [
                [
                    'name' => 'large and hard',
                    'dogs' => ['Ferris'],
                    'share' => 0.5,
                    'cut' => ['shape' => 'round', 'diameterMm' => 40, 'thicknessMm' => 8],
                ],
                [
                    'name' => 'small and soft',
                    'dogs' => ['Quill'],
                    'share' => 0.2,
                    'cut' => ['shape' => 'round', 'diameterMm' => 12, 'thicknessMm' => 5],
                    'bake' => ['texture' => 'soft'],
                ],
            ],
            'tray' => ['widthMm' => 300, 'lengthMm' => 400],
        ]
    );
    expect(schemaErrors($answer, 'formulate-answer'))->toBe('');
    [$hard, $soft, $rest] = $answer['portions'];
    expect($hard['share'] + $soft['share'] + $rest['share'])
        ->toEqualWithDelta(1.0, 1e-9)
        ->and($rest['dogs'])
        ->toBe(['Bosun'])
        ->and($rest['name'])
        ->toBeNull()
        ->and($hard['kcal']['best'] + $soft['kcal']['best'] + $rest['kcal']['best'])
        ->toEqualWithDelta($whole['batch']['kcal']['best'], 0.01)
        ->and($answer['batch']['kcal']['best'])
        ->toEqualWithDelta($whole['batch']['kcal']['best'], 0.01)
        ->and($hard['piece']['kcal']['best'])
        ->toEqualWithDelta(($whole['piece']['kcal']['best'] * (40 * 40 * 8)) / (20 * 20 * 6), 0.02)
        ->and($answer['rations'][2]['piecesPerDay'])
        ->toBe($whole['rations'][2]['piecesPerDay'])
        ->and($answer['piece']['kcal'])
        ->toEqual($whole['piece']['kcal'])
        ->and($soft['heat']['stages'][0]['minutesHigh'])
        ->toBeLessThan($hard['heat']['stages'][0]['minutesHigh'])
        ->and($hard['sheet']['sheets'])
        ->toBe(1);
    $codes = static fn (array $of): array => array_column($of['verdict']['dogs'][1]['findings'], 'code');
    expect($codes($whole))->toContain('texture-teeth')->and($codes($answer))->not->toContain('texture-teeth');
});

it('shares the rest of the dough by what the dogs may eat', function (): void {
    $answer = answer("2 cups oat flour\n1/2 cup water", [
        'dogs' => [dog('Big', ['weightKg' => 40]), dog('Small', ['weightKg' => 5])],
        'portions' => [['name' => 'a', 'dogs' => ['Big']], ['name' => 'b', 'dogs' => ['Small']]],
    ]);
    [$a, $b] = $answer['portions'];
    expect($answer['portions'])
        ->toHaveCount(2)
        ->and($a['share'] / $b['share'])
        ->toEqualWithDelta((40 / 5) ** 0.75, 0.01)
        ->and($a['share'] + $b['share'])
        ->toEqualWithDelta(1.0, 1e-9);
});

it('keeps raw dough a finding for the dogs whose portion is not baked', function (): void {
    $answer = answer("1 cup whole wheat flour\n1 tsp baker's yeast\n1/4 cup water", [
        'dogs' => [dog('Baked'), dog('Raw')],
        'portions' => [['name' => 'raw', 'dogs' => ['Raw'], 'share' => 0.2, 'bake' => ['texture' => 'none']]],
    ]);
    expect(found($answer))->toContain('never:raw-dough')->and($answer['verdict']['cleared'])->toBeFalse();
});

it('refuses portions that cannot be', function (array $portions, string $path): void {
    try {
        answer('1 cup oat flour', ['dogs' => [dog('Ada')], 'portions' => $portions]);
        $found = null;
    } catch (MildBowl\Core\Questions\RequestRefused $refused) {
        $found = $refused->path;
    }
    expect($found)->toBe($path);
})->with([
    [[['dogs' => ['Nobody']]], '/portions/0/dogs/0'],
    [[['dogs' => ['Ada']], ['dogs' => ['Ada']]], '/portions/1/dogs/0'],
    [[['share' => 0.7], ['share' => 0.5]], '/portions/1/share'],
    [[['share' => 0]], '/portions/0/share'],
    [[['cut' => ['shape' => 'round']]], '/portions/0/cut/diameterMm'],
    [[['bake' => ['texture' => 'fried']]], '/portions/0/bake/texture'],
    [[['size' => 3]], '/portions/0/size'],
]);

it('shows what the piece and the batch hold, as they are, dry, and by energy', function (): void {
    $answer = answer("200 g oat flour\n100 g water", ['explain' => true, 'cut' => ['shape' => 'pieces', 'count' => 20]]);
    $panel = $answer['batch']['explain']['panel'];
    $protein = $panel['rows'][0];
    expect($protein['name'])
        ->toBe('protein')
        ->and($protein['batch'])
        ->toEqualWithDelta(29.4, 0.01)
        ->and($protein['piece'])
        ->toEqualWithDelta(1.47, 0.001)
        ->and($protein['dryMatterPer100g'])
        ->toEqualWithDelta((100 * 29.4) / (200 * 0.914), 0.05)
        ->and($protein['per1000kcal'])
        ->toEqualWithDelta((1000 * 29.4) / 808, 0.05)
        ->and($panel['moisture'])
        ->toEqualWithDelta(10.5, 0.01)
        ->and($panel['kcalPer100g'])
        ->toEqualWithDelta((100 * 808) / $answer['batch']['bakedGrams']['best'], 0.05)
        ->and($panel['kcalModified'])
        ->toBeLessThan(808);
});

it('says what is odd about a cut, and how a large piece is broken', function (): void {
    $answer = answer('1 cup oat flour', [
        'dogs' => [dog('Mite', ['weightKg' => 4])],
        'explain' => true,
        'cut' => ['shape' => 'rectangle', 'widthMm' => 8, 'lengthMm' => 45, 'thicknessMm' => 12],
    ]);
    expect($answer['portions'][0]['oddity'])
        ->toContain('thicker than it is wide')
        ->and($answer['rations'][0]['explain']['breakInto'])
        ->toBe(['along' => 5, 'across' => 1]);
    expect(
        answer('1 cup oat flour', ['explain' => true, 'cut' => ['shape' => 'square', 'sideMm' => 8, 'thicknessMm' => 0.5]])['portions'][0]['oddity']
    )->toContain('tears');
});

it('says so where a cut is odd or a grown weight cannot be', function (): void {
    $codes = array_column(
        answer('1 cup oat flour', [
            'dogs' => [dog('Pup', ['ageMonths' => 5, 'expectedAdultWeightKg' => 8])],
            'cut' => ['shape' => 'round', 'diameterMm' => 5, 'thicknessMm' => 9],
        ])['assumptions'],
        'code'
    );
    expect($codes)->toContain('cut-odd')->toContain('expected-weight-low');
});

it('names the size that would work where a piece is too rich', function (): void {
    $more = ['dogs' => [dog('Mite', ['weightKg' => 2])], 'explain' => true, 'cut' => ['shape' => 'round', 'diameterMm' => 80, 'thicknessMm' => 10]];
    $ration = answer("1 cup peanut butter\n1 cup oat flour", $more)['rations'][0];
    expect($ration['ifCleared'])
        ->toBe(0.0)
        ->and($ration['explain']['wouldFit']['diameterMm'])
        ->toBeLessThanOrEqual(10.0);
});

it('brings something new in slowly', function (): void {
    $ration = answer("1 cup millet flour\n1/2 cup water", [
        'dogs' => [dog('Biscay', ['newIngredients' => ['millet-flour']])],
        'explain' => true,
        'cut' => ['shape' => 'pieces', 'count' => 40],
    ])['rations'][0];
    $full = $ration['explain']['ramp'][2]['pieces'];
    expect(array_column($ration['explain']['ramp'], 'days'))
        ->toBe(['days 1–2', 'days 3–4', 'from day 5'])
        ->and($ration['ifCleared'])
        ->toBe($ration['explain']['ramp'][0]['pieces'])
        ->and($full)
        ->toBeGreaterThanOrEqual(4 * $ration['ifCleared']);
});

it('judges portions cut and baked alike as if they were one', function (int $seed): void {
    mt_srand($seed);
    $lines = someLines();
    shuffle($lines);
    $text = implode("\n", array_slice($lines, 0, 9));
    $more = [
        'dogs' => someDogs(),
        'cut' => ['shape' => 'round', 'diameterMm' => mt_rand(10, 40), 'thicknessMm' => 6],
        'bake' => ['texture' => ['biscuit', 'soft', 'none', 'hard'][mt_rand(0, 3)]],
    ];
    $whole = answer($text, $more);
    $parts = answer(
        $text,
        $more + [
            'portions' => [['name' => 'one', 'dogs' => ['Quill', 'Bosun'], 'share' => 0.4], ['name' => 'two', 'dogs' => ['Biscay'], 'share' => 0.1]],
        ]
    );
    $sorted = static function (array $codes): array {
        sort($codes);

        return $codes;
    };
    expect($sorted(found($parts)))
        ->toBe($sorted(found($whole)))
        ->and(array_column($parts['rations'], 'ifCleared'))
        ->toBe(array_column($whole['rations'], 'ifCleared'))
        ->and(array_column($parts['verdict']['dogs'], 'cleared'))
        ->toBe(array_column($whole['verdict']['dogs'], 'cleared'))
        ->and($parts['verdict']['cleared'])
        ->toBe($whole['verdict']['cleared']);
})->with(range(1, 25));
