<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Parts\CookedDown;
use MildBowl\Core\Kitchen\Kitchen;

const JELLY = "Bone broth:\n500 g chicken thighs\n1 l water\n1 onion\n\nFor the jelly:\n400 g of the broth\n8 g gelatin\n50 g kiwi";

it('makes a jelly of its own broth: strained of what is eaten by nobody, never of a poison', function (): void {
    $answer = inParts(JELLY, ['cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 12], 'bake' => ['texture' => 'none']], ['steps' => 'Simmer for two hours, then strain.']);
    [$broth, $jelly] = $answer['parts'];
    $codes = array_map(static fn (array $line): array => array_column($line['findings'], 'code'), $answer['lines']);
    expect([$broth['role'], $broth['process'], $broth['keeps']['strained'], $broth['into']])
        ->toBe(['liquid', 'hob', true, ['for the jelly']])
        ->and([$jelly['role'], $jelly['process']])
        ->toBe(['body', 'set'])
        ->and($broth['keptGrams']['best'])
        ->toBeLessThan(1010)
        // 5 to 20 kcal in 100 ml
        ->and($broth['kcal']['low'])
        ->toEqualWithDelta(0.05 * 999, 1)
        ->and($broth['kcal']['high'])
        ->toEqualWithDelta(0.2 * 999, 2)
        ->and($jelly['doughGrams']['best'])
        ->toEqualWithDelta(458, 0.1)
        ->and($broth['kcalPerPiece']['best'])
        ->toEqual(0)
        ->and($codes[2])
        ->toContain('allium')
        ->and($codes[3])
        ->not->toContain('broth')
        ->and($codes[5])
        ->toContain('gelatin-melts');
    $whole = inParts(JELLY, ['cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 12], 'bake' => ['texture' => 'none']]);
    expect($whole['parts'][0]['keeps']['strained'])->toBeFalse()->and($whole['parts'][0]['kcal']['best'])->toBeGreaterThan(600);
});

it('takes the whole broth where a line names it without an amount, and no more of it than there is', function (): void {
    $parts = static fn (string $line): array => partsOf(inParts("Bone broth:\n500 g chicken thighs\n1 l water\n\nFor the jelly:\n$line\n8 g gelatin", ['bake' => ['texture' => 'none']], ['steps' => 'Strain it.']));
    ['Bone broth' => $broth, 'For the jelly' => $jelly] = $parts('the broth');
    expect($jelly['doughGrams']['best'])
        ->toEqualWithDelta($broth['keptGrams']['best'] + 8, 1e-6)
        ->and($jelly['kcal']['best'])
        ->toEqualWithDelta($broth['kcal']['best'] + 8 * 3.35, 0.5);
    ['Bone broth' => $broth, 'For the jelly' => $half] = $parts('500 g of the broth');
    expect($half['kcal']['best'] - 8 * 3.35)->toEqualWithDelta($broth['kcal']['best'] * 500 / $broth['keptGrams']['best'], 0.5);
    $over = $parts('2000 g of the broth')['For the jelly'];
    expect($over['doughGrams']['best'])->toEqualWithDelta(2008, 1e-6);
});

it('knows fruit that melts gelatin, unless heat has been at it', function (string $line, bool $melts): void {
    $answer = inParts("400 g water\n8 g gelatin\n$line", ['bake' => ['texture' => 'none']]);
    expect(in_array('gelatin-melts', array_column($answer['lines'][2]['findings'], 'code'), true))->toBe($melts);
})->with([
    ['50 g kiwi', true],
    ['50 g pineapple', true],
    ['50 g papaya', true],
    ['50 g figs', true],
    ['10 g fresh ginger', true],
    ['50 g tinned pineapple', false],
    ['50 g cooked kiwi', false],
    ['50 g blueberries', false],
]);

it('pours fat off browned meat with its energy, and never more than runs off', function (): void {
    $answer = inParts('500 g minced beef (10% fat)', [], ['parts' => [['section' => null, 'process' => 'hob', 'keeps' => ['drained' => true]]]]);
    $part = $answer['parts'][0];
    expect($part['kcal']['best'])
        ->toEqualWithDelta(880 - 5 * 8.5, 0.01)
        ->and($part['keptGrams']['low'])
        ->toEqualWithDelta(350, 0.01)
        ->and($part['keptGrams']['high'])
        ->toEqualWithDelta(375, 0.01);
});

it('keeps back in a sieve what is solid, and lets through what runs', function (string $food, bool $stays): void {
    $strained = static fn (string $lines): array => inParts("Dough:\n200 g oat flour\nBroth:\n1000 g water\n$lines", [], ['parts' => [['section' => 'Broth', 'keeps' => ['strained' => true]]]])['parts'][1];
    expect($strained("100 g $food")['keptGrams']['best'])->toEqualWithDelta($stays ? 1000 : 1100, 0.1);
})->with([
    ['chicken breast', true],
    ['chicken liver', true],
    ['cod', true],
    ['mussels', true],
    ['egg', true],
    ['cooked bones', true],
    ['raw bones', true],
    ['carrot', true],
    ['apple', true],
    ['lentils', true],
    ['brown rice', true],
    ['parsley', true],
    ['cinnamon', true],
    ['apple juice', false],
    ['milk', false],
    ['honey', false],
    ['olive oil', false],
]);

it('draws 5 to 20 kcal into 100 ml once for the whole pot, and never more than was in it', function (): void {
    $broth = static fn (string $lines): array => inParts("Dough:\n200 g oat flour\nBroth:\n$lines", [], ['parts' => [['section' => 'Broth', 'keeps' => ['strained' => true]]]])['parts'][1]['kcal'];
    $pot = $broth("1000 g water\n300 g chicken breast\n200 g carrot\n100 g celery");
    expect($pot['low'])->toEqualWithDelta(49.95, 1e-6)->and($pot['best'])->toEqualWithDelta(124.875, 1e-6)->and($pot['high'])->toEqualWithDelta(199.8, 1e-6);
    $thin = $broth("1000 g water\n20 g carrot");
    expect($thin['high'])->toEqualWithDelta(20 * 0.41, 0.2)->and($thin['low'])->toEqualWithDelta($thin['high'], 0.2);
});

it('pours off water and fat, so that what is left weighs what it is made of', function (): void {
    foreach (['500 g minced beef', "400 g minced pork\n100 g cooked rice", '500 g lean turkey mince'] as $text) {
        $answer = inParts($text, ['bake' => ['texture' => 'none'], 'cut' => ['shape' => 'pieces', 'count' => 10]], ['parts' => [['section' => null, 'process' => 'hob', 'keeps' => ['drained' => true]]]]);
        $made = array_sum(array_intersect_key($answer['piece']['nutrients'], ['waterG' => 1, 'proteinG' => 1, 'fatG' => 1, 'carbohydrateG' => 1, 'ashG' => 1]));
        expect(10 * $made)->toEqualWithDelta($answer['parts'][0]['keptGrams']['best'], 10, $text);
    }
});

it('still asks for the label of what goes into a jelly besides its own broth', function (): void {
    $answer = inParts("Bone broth:\n500 g chicken thighs\n1 l water\n\nFor the jelly:\n400 g of the broth\n8 g gelatin\n1 tbsp peanut butter\n1 stock cube\n\nDough:\n200 g oat flour\n100 ml broth");
    $codes = array_map(static fn (array $line): array => array_column($line['findings'], 'level', 'code'), $answer['lines']);
    expect($codes[4])->toHaveKey('nut-butter')->and($codes[5])->toContain('never')
        // a broth that is not said to be this one came out of a carton
        ->and($codes[7])->toContain('check-label')
        ->and($codes[2])->not->toContain('check-label')
        ->and(array_column($answer['parts'], 'process', 'section')['For the jelly'])->toBe('set');
});

it('pours nothing off lean meat, and no more than there is of a crumb', function (string $text, bool $loses): void {
    $kcal = static fn (array $parts): array => inParts($text, ['bake' => ['texture' => 'none']], $parts)['parts'][0]['kcal'];
    $all = $kcal([]);
    $left = $kcal(['parts' => [['section' => null, 'process' => 'hob', 'keeps' => ['drained' => true]]]]);
    foreach (['low', 'best', 'high'] as $end) {
        expect($left[$end] < $all[$end] - 1e-9)->toBe($loses)->and($left[$end])->toBeLessThanOrEqual($all[$end] + 1e-9);
    }
})->with([['500 g turkey breast', false], ['500 g minced beef', true], ['0.2 g minced beef', true], ['500 g oat flour', false]]);

it('pours off as surely as the amount is known', function (): void {
    $part = inParts('500–600 g minced beef (10% fat)', [], ['parts' => [['section' => null, 'process' => 'hob', 'keeps' => ['drained' => true]]]])['parts'][0];
    $each = (880 - 5 * 8.5) / 500;
    expect($part['kcal']['low'])->toEqualWithDelta(500 * $each, 0.01)->and($part['kcal']['high'])->toEqualWithDelta(600 * $each, 0.01)->and($part['keptGrams']['low'])->toEqualWithDelta(350, 0.01)->and($part['keptGrams']['high'])->toEqualWithDelta(450, 0.01);
});

it('cooks down to a stated mass: water leaves, nothing else', function (): void {
    $part = static fn (?float $grams): array => partsOf(inParts("Biscuits:\n300 g oat flour\n100 g water\nFor the glaze:\n300 g apple juice", [], $grams === null ? [] : ['parts' => [['section' => 'For the glaze', 'keeps' => ['grams' => $grams]]]]))['For the glaze'];
    expect($part(120)['keptGrams'])
        ->toEqual(['low' => 120, 'best' => 120, 'high' => 120])
        ->and($part(120)['kcal'])
        ->toEqual($part(null)['kcal'])
        ->and($part(null)['keptGrams']['best'])
        ->toEqualWithDelta(300, 1e-9);
});

it('adds no water to what is said to weigh more than it does, in a recipe that was changed since', function (): void {
    $kitchen = Kitchen::shipped();
    $dough = Bowl::of($kitchen->reader->read("300 g apple juice\n100 g oat flour", ''), $kitchen)->dough;
    foreach ([900.0, 400.0] as $grams) {
        $left = new Dough(CookedDown::of($dough, $grams));
        expect($left->grams->best)->toEqualWithDelta(400, 1e-9)->and($left->substances['waterG'])->toEqualWithDelta($dough->substances['waterG'], 1e-9);
    }
});

it('dries a body until it weighs what was said', function (): void {
    $answer = inParts('500 g chicken breast, sliced', ['bake' => ['texture' => 'jerky'], 'cut' => ['shape' => 'pieces', 'count' => 30]], ['parts' => [['section' => null, 'process' => 'dried', 'keeps' => ['grams' => 180]]]]);
    expect($answer['batch']['bakedGrams']['best'])
        ->toEqualWithDelta(180, 1e-9)
        ->and($answer['piece']['bakedGrams']['best'])
        ->toEqualWithDelta(6, 1e-9)
        // a drier is not safe for raw meat by that alone
        ->and(array_column($answer['lines'][0]['findings'], 'code'))
        ->toContain('raw-meat-unheated');
});

it('dries each portion to its share of the weight that was said', function (): void {
    $answer = inParts('500 g chicken breast, sliced', [
        'bake' => ['texture' => 'jerky'],
        'cut' => ['shape' => 'pieces', 'count' => 30],
        'portions' => [['name' => 'small', 'dogs' => ['Quill'], 'share' => 0.25, 'cut' => ['shape' => 'pieces', 'count' => 20]]],
    ], ['parts' => [['section' => null, 'process' => 'dried', 'keeps' => ['grams' => 180]]]]);
    expect(array_map(static fn (array $one): float => $one['bakedGrams']['best'], $answer['portions']))->toEqualWithDelta([45.0, 135.0], 1e-6);
});

it('takes bones that are said to be strained off for no bones, and a guess for none', function (): void {
    $text = "For the cake:\n200 g oat flour\nBroth:\n500 g cooked bones\n1 l water";
    $codes = static fn (array $recipe): array => array_column(inParts($text, [], $recipe)['lines'][1]['findings'], 'code');
    expect($codes(['steps' => 'Strain the broth.']))
        ->toContain('cooked-bone')
        ->and($codes(['parts' => [['section' => 'Broth', 'keeps' => ['strained' => true]]]]))
        ->toContain('bones-strained')
        ->not->toContain('cooked-bone');
});

it('strains nothing but a broth by what the method says', function (): void {
    foreach (['Wet', 'For the cake', 'For the jelly'] as $heading) {
        $answer = inParts("$heading:\n200 g oat flour\n100 g water\nFrosting:\n100 g cream cheese", [], ['steps' => 'Strain the yogurt through a sieve.']);
        expect(array_map(static fn (array $part): bool => $part['keeps']['strained'], $answer['parts']))->toBe([false, false], $heading);
    }
});

it('takes so much water out of what is cooked down that the stated mass is left, and never a solid', function (string $line, ?float $grams, float $left, float $water): void {
    $text = "Biscuits:\n300 g oat flour\n100 g water\nFor the glaze:\n$line";
    $answer = inParts($text, ['cut' => ['shape' => 'pieces', 'count' => 10]], $grams === null ? [] : ['parts' => [['section' => 'For the glaze', 'keeps' => ['grams' => $grams]]]]);
    $bare = inParts("Biscuits:\n300 g oat flour\n100 g water", ['cut' => ['shape' => 'pieces', 'count' => 10]]);
    expect($answer['batch']['doughGrams']['best'] - $bare['batch']['doughGrams']['best'])
        ->toEqualWithDelta($left, 0.01)
        ->and(10 * ($answer['piece']['nutrients']['waterG'] - $bare['piece']['nutrients']['waterG']))
        ->toEqualWithDelta($water, 0.01)
        ->and($answer['batch']['kcal']['best'])
        ->toEqualWithDelta(inParts($text, ['cut' => ['shape' => 'pieces', 'count' => 10]])['batch']['kcal']['best'], 1e-6)
        ->and(in_array('keeps-little', array_column($answer['assumptions'], 'code'), true))
        ->toBe($grams !== null && $grams < $left);
})->with([
    // milk is 88.1 % water
    'as it is' => ['300 g milk', null, 300, 264.3],
    'to less than half' => ['300 g milk', 120, 120, 84.3],
    'to all there is' => ['300 g milk', 300, 300, 264.3],
    'to its solids' => ['300 g milk', 35.7, 35.7, 0],
    'to less than its solids' => ['300 g milk', 20, 35.7, 0],
    'what holds next to no water' => ['50 g olive oil', 45, 50, 0],
]);

it('brings a broth that was cooked down with the water that is left of it', function (): void {
    $text = "Stock:\n1000 g milk\nDough:\n300 g oat flour\n100 g of the stock";
    $answer = inParts($text, [], ['parts' => [['section' => 'Stock', 'keeps' => ['grams' => 500]]]]);
    [$stock, $dough] = $answer['parts'];
    expect($dough['doughGrams']['best'])
        ->toEqualWithDelta(400, 0.01)
        // a fifth of the milk's energy
        ->and($dough['kcal']['best'])
        ->toEqualWithDelta(300 * 4.04 + $stock['kcal']['best'] / 5, 1)
        ->and(count($answer['parts']))
        ->toBe(2);
    $more = inParts("Stock:\n100 g milk\nDough:\n300 g oat flour\n300 g of the stock");
    expect($more['parts'][1]['doughGrams']['best'])->toEqualWithDelta(600, 0.01);
});
