<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Parts\CookedDown;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Tests\Support\Generated;

const HEADINGS = ['For the cake:', 'For the filling:', 'Frosting:', 'To dip:', 'Topping:', 'For dusting:'];

/** @param  array<string, mixed>  $more  @return array<string, mixed> */
function inParts(string $text, array $more = [], array $recipe = []): array
{
    return answerTo(
        $more + [
            'version' => 1,
            'recipe' => ['text' => $text] + $recipe,
            'cut' => ['shape' => 'square', 'sideMm' => 40, 'thicknessMm' => 20],
            'bake' => ['texture' => 'cake'],
            'dogs' => [['name' => 'Quill', 'weightKg' => 12, 'ageMonths' => 60]],
        ]
    );
}

/** @param  array<string, mixed>  $answer  @return array<string, array<string, mixed>> by heading */
function partsOf(array $answer): array
{
    return array_column($answer['parts'], null, 'section');
}

/** A recipe by chance under headings of several roles, the body among them. @return array{list<string>, array<string, mixed>} its blocks, the rest of the request */
function blocksOf(Generated $made): array
{
    $request = $made->request();
    $headings = ['For the cake:', ...array_slice(HEADINGS, 1 + $made->number(0, 2), $made->number(1, 3))];
    $blocks = array_map(static fn (string $heading): string => "$heading\n".implode("\n", $made->lines(3)), $headings);

    return [$blocks, $request];
}

const CAKE = "For the cake:\n250 g oat flour\n100 g applesauce\n2 eggs\n\nFor the frosting:\n200 g cream cheese\n1 egg";

it('takes the sum of the parts for the whole', function (): void {
    always(80, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        unset($request['portions'], $request['measured']);
        $answer = answerTo(['recipe' => ['text' => implode("\n\n", $blocks)]] + $request);
        $count = $answer['piece']['count']['best'];
        foreach (['kcalPerPiece' => 'kcal', 'gramsPerPiece' => 'bakedGrams'] as $of => $whole) {
            $sum = array_sum(array_map(static fn (array $part): float => $part[$of]['best'], $answer['parts']));
            if (abs($sum - $answer['piece'][$whole]['best']) > 1e-6 * max(1.0, $sum)) {
                return "$of comes to $sum, a piece to {$answer['piece'][$whole]['best']}";
            }
        }
        $laid = array_filter($answer['parts'], static fn (array $part): bool => $part['role'] !== 'body');
        foreach ($laid as $part) {
            if ($count > 0 && abs($part['kcalPerPiece']['best'] * $count - $part['kcal']['best']) > 1e-6 * max(1.0, $part['kcal']['best'])) {
                return "what is in {$part['section']} is not all on the pieces";
            }
        }

        return null;
    });
});

it('changes nothing when the parts are told in another order', function (): void {
    always(60, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        $one = answerTo(['recipe' => ['text' => implode("\n\n", $blocks)]] + $request);
        $two = answerTo(['recipe' => ['text' => implode("\n\n", array_reverse($blocks))]] + $request);
        foreach ([['batch', 'kcal'], ['batch', 'doughGrams'], ['batch', 'bakedGrams'], ['piece', 'kcal']] as [$of, $key]) {
            foreach (['low', 'best', 'high'] as $end) {
                if (abs($one[$of][$key][$end] - $two[$of][$key][$end]) > 1e-6 * max(1.0, $one[$of][$key][$end])) {
                    return "$of.$key.$end";
                }
            }
        }

        return array_column($one['rations'], 'ifCleared') === array_column($two['rations'], 'ifCleared') && $one['verdict']['cleared'] === $two['verdict']['cleared']
            ? null
            : 'another ration';
    });
});

it('answers a recipe whose headings name no role as one without headings', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = $made->request();
        $lines = explode("\n", $request['recipe']['text']);
        $half = intdiv(count($lines), 2);
        $headed = implode("\n", ['Dry:', ...array_slice($lines, 0, $half), 'Add-ins:', ...array_slice($lines, $half)]);
        $plain = answerTo($request);
        $answer = answerTo(['recipe' => ['text' => $headed]] + $request);
        foreach (['batch', 'piece', 'rations', 'verdict', 'assumptions'] as $key) {
            if ($answer[$key] != $plain[$key]) {
                return $key;
            }
        }

        return count($answer['parts']) === 1 && array_column($answer['lines'], 'findings') == array_column($plain['lines'], 'findings') ? null : 'parts or findings';
    });
});

it('answers what is said as it answers the same guess', function (): void {
    always(40, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        $text = implode("\n\n", $blocks);
        $guessed = answerTo(['recipe' => ['text' => $text]] + $request);
        $said = [];
        foreach ($guessed['parts'] as $part) {
            $said[] = ['section' => $part['section'], 'role' => $part['role'], 'keeps' => $part['keeps']] + ($part['role'] === 'body' ? [] : ['process' => $part['process'], 'joins' => $part['joins']]);
        }
        $answer = answerTo(['recipe' => ['text' => $text, 'parts' => $said]] + $request);
        foreach (['lines', 'batch', 'piece', 'rations', 'verdict'] as $key) {
            if ($answer[$key] != $guessed[$key]) {
                return $key;
            }
        }

        return null;
    });
});

it('loses no poison by anything that is said of a part', function (): void {
    $nevers = static function (array $answer): array {
        $all = array_merge(...array_column($answer['lines'], 'findings'));

        // heat may settle what is raw, and a dog that goes without is not asked; a poison for all stays
        return array_column(array_filter($all, static fn (array $one): bool => $one['level'] === 'never' && $one['dog'] === null && ! str_starts_with($one['code'], 'raw-')), 'code');
    };
    always(60, static function (Generated $made) use ($nevers): ?string {
        [$blocks, $request] = blocksOf($made);
        $text = implode("\n\n", $blocks);
        $before = answerTo(['recipe' => ['text' => $text]] + $request);
        $part = $before['parts'][$made->number(1, count($before['parts']) - 1)];
        $said = ['section' => $part['section'], 'process' => $made->one(['oven', 'hob', 'dried', 'set', 'none']), 'joins' => $made->one(['before', 'after']), 'keeps' => ['strained' => true, 'drained' => true]];
        $request['dogs'] = array_map(static fn (array $dog): array => ['without' => [$part['section']]] + $dog, $request['dogs']);
        $after = answerTo(['recipe' => ['text' => $text, 'parts' => [$said]]] + $request);
        $lost = array_diff($nevers($before), $nevers($after));

        return $lost === [] ? null : implode(', ', $lost).' lost by '.json_encode($said);
    });
});

it('gives a dog without a part what it has of the rest alone', function (): void {
    always(40, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        $request['dogs'] = array_slice($request['dogs'], 0, 1);
        unset($request['portions'], $request['measured']);
        $whole = answerTo(['recipe' => ['text' => implode("\n\n", $blocks)]] + $request);
        $sections = array_values(array_filter(array_column(array_filter($whole['parts'], static fn (array $part): bool => $part['role'] !== 'body'), 'section')));
        $request['dogs'][0]['without'] = $sections;
        $without = answerTo(['recipe' => ['text' => implode("\n\n", $blocks)]] + $request);
        unset($request['dogs'][0]['without']);
        $alone = answerTo(['recipe' => ['text' => $blocks[0]]] + $request);

        return $without['rations'][0]['ifCleared'] == $alone['rations'][0]['ifCleared'] && $without['rations'][0]['limits'] == $alone['rations'][0]['limits'] ? null : 'another ration';
    });
});

it('gives in a week of one treat, and on one day, what the ration is, also without a part', function (): void {
    always(40, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        unset($request['portions'], $request['measured'], $request['newIngredients']);
        $request['dogs'] = array_map(static fn (array $dog): array => ['without' => ['For the filling', 'Frosting', 'To dip', 'Topping', 'For dusting'], 'newIngredients' => []] + $dog, $request['dogs']);
        $recipe = ['text' => implode("\n\n", $blocks)];
        $answer = answerTo(['recipe' => $recipe] + $request);
        $week = Asking::of('week', ['treats' => [['name' => 'x', 'recipe' => $recipe] + array_intersect_key($request, ['cut' => 1, 'bake' => 1])]] + array_intersect_key($request, ['version' => 1, 'dogs' => 1, 'policy' => 1]));
        foreach ($answer['rations'] as $n => $ration) {
            $given = $week['dogs'][$n]['treats'][0]['piecesPerDay'];
            if ($ration['piecesPerDay'] !== null && abs($given - $ration['piecesPerDay']) > 1e-9) {
                return "{$ration['dog']}: $given in the week, {$ration['piecesPerDay']} by the ration";
            }
        }

        return null;
    });
});

it('reads a cake with its frosting: the egg in the frosting is raw, the cake\'s is not', function (): void {
    $answer = inParts(CAKE, ['dogs' => [['name' => 'Quill', 'weightKg' => 12], ['name' => 'Ferris', 'weightKg' => 12, 'without' => ['for the frosting']]]]);
    $codes = array_map(static fn (array $line): array => array_column($line['findings'], 'code'), $answer['lines']);
    expect(array_column($answer['parts'], 'role'))
        ->toBe(['body', 'frosting'])
        ->and($codes[2])
        ->not->toContain('raw-egg')
        ->and($codes[4])
        ->toContain('raw-egg')
        ->and($answer['rations'][1]['limits'][0]['piecesPerDay'])
        ->toBeGreaterThan($answer['rations'][0]['limits'][0]['piecesPerDay'])
        ->and(array_column($answer['assumptions'], 'code'))
        ->toContain('part-guessed');
    $baked = inParts(CAKE, [], ['parts' => [['section' => 'For the frosting', 'joins' => 'before']]]);
    expect(array_column($baked['lines'][4]['findings'], 'code'))->not->toContain('raw-egg')->and(partsOf($baked)['For the frosting']['guessed'])->not->toContain('joins');
});

it('asks a dog that goes without a part about none of its foods', function (): void {
    $text = "For the cake:\n250 g oat flour\n1 egg\nFor the frosting:\n200 g cream cheese";
    $dog = ['name' => 'Quill', 'weightKg' => 12, 'allergies' => ['dairy']];
    $level = static fn (array $dog): array => array_column(inParts($text, ['dogs' => [$dog]])['lines'][2]['findings'], 'level');
    expect($level($dog))->toContain('allergen')->and($level(['without' => ['For the frosting']] + $dog))->not->toContain('allergen');
});

it('lays so many grams on a biscuit as were said, and leaves the rest in the bowl', function (): void {
    $text = "Biscuits:\n250 g oat flour\n100 g applesauce\n1 egg\n\nTo dip:\n200 g plain yogurt";
    $answer = inParts($text, ['cut' => ['shape' => 'round', 'diameterMm' => 30, 'thicknessMm' => 6]], ['parts' => [['section' => 'To dip', 'gramsPerPiece' => 1.5]]]);
    $bare = inParts(explode("\n\n", $text)[0], ['cut' => ['shape' => 'round', 'diameterMm' => 30, 'thicknessMm' => 6]]);
    $dip = partsOf($answer)['To dip'];
    expect($dip['role'])
        ->toBe('coating')
        ->and($dip['gramsPerPiece']['best'])
        ->toEqualWithDelta(1.5, 1e-9)
        ->and($answer['piece']['count'])
        ->toBe($bare['piece']['count'])
        ->and($answer['piece']['kcal']['best'])
        ->toEqualWithDelta($bare['piece']['kcal']['best'] + 1.5 * 0.61, 0.01)
        ->and($answer['batch']['wetness'])
        ->toBe($bare['batch']['wetness']);
});

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

it('cooks a broth on the hob and leaves what is laid on a piece unheated, whatever the heading is called', function (string $role, string $process): void {
    $answer = inParts("For the cake:\n200 g oat flour\n100 g water\nExtras:\n100 g milk\n1 egg", [], ['parts' => [['section' => 'Extras', 'role' => $role]]]);
    expect(partsOf($answer)['Extras']['process'])->toBe($process);
})->with([['liquid', 'hob'], ['topping', 'none'], ['frosting', 'none'], ['coating', 'none'], ['filling', 'oven'], ['dusting', 'oven']]);

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
    $answer = inParts('500 g minced beef', [], ['parts' => [['section' => null, 'process' => 'hob', 'keeps' => ['drained' => true]]]]);
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

it('reads a frosting beside lines without a heading, and two jellies as one', function (): void {
    $answer = inParts("200 g oat flour\n1 egg\n\nFrosting:\n100 g cream cheese\n1 egg");
    expect(array_column($answer['parts'], 'role'))
        ->toBe(['body', 'frosting'])
        ->and(array_column($answer['lines'][1]['findings'], 'code'))
        ->not->toContain('raw-egg')
        ->and(array_column($answer['lines'][3]['findings'], 'code'))
        ->toContain('raw-egg');
    $jellies = inParts("Green jelly:\n200 g water\n4 g gelatin\nRed jelly:\n200 g water\n4 g gelatin", ['bake' => ['texture' => 'none']])['parts'];
    expect(array_column($jellies, 'role'))->toBe(['body'])->and($jellies[0]['sections'])->toHaveCount(2);
});

it('lays so many grams on a piece of a part that weighs next to nothing', function (): void {
    $part = partsOf(inParts("Dough:\n200 g oat flour\n100 g water\nDusting:\n0.8 g cinnamon", ['cut' => ['shape' => 'pieces', 'count' => 20]], ['parts' => [['section' => 'Dusting', 'gramsPerPiece' => 0.01]]]))['Dusting'];
    expect($part['gramsPerPiece']['best'])->toEqualWithDelta(0.01, 1e-9);
});

it('pours off as surely as the amount is known', function (): void {
    $part = inParts('500–600 g minced beef', [], ['parts' => [['section' => null, 'process' => 'hob', 'keeps' => ['drained' => true]]]])['parts'][0];
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

it('counts what was lost on the way before it fills hollows', function (): void {
    $answer = inParts("100 g oat flour\n100 g water", ['cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 6], 'bake' => ['texture' => 'none'], 'measured' => ['wasteGrams' => 30]]);
    expect($answer['piece']['count']['best'] * $answer['piece']['doughGrams']['best'] + $answer['batch']['leftGrams'])->toEqualWithDelta(170, 0.01);
});

it('dries each portion to its share of the weight that was said', function (): void {
    $answer = inParts('500 g chicken breast, sliced', [
        'bake' => ['texture' => 'jerky'],
        'cut' => ['shape' => 'pieces', 'count' => 30],
        'portions' => [['name' => 'small', 'dogs' => ['Quill'], 'share' => 0.25, 'cut' => ['shape' => 'pieces', 'count' => 20]]],
    ], ['parts' => [['section' => null, 'process' => 'dried', 'keeps' => ['grams' => 180]]]]);
    expect(array_map(static fn (array $one): float => $one['bakedGrams']['best'], $answer['portions']))->toEqualWithDelta([45.0, 135.0], 1e-6);
});

it('fills hollows and squares whole and tells what is left', function (float $flour, float $count, float $left): void {
    $answer = inParts("$flour g oat flour\n$flour g water", ['cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 6]]);
    $piece = $answer['piece']['doughGrams']['best'];
    expect($answer['piece']['count']['best'])
        ->toEqual($count)
        ->and($answer['batch']['leftGrams'])
        ->toEqualWithDelta($left, 0.01)
        ->and($count * $piece + $left)
        ->toEqualWithDelta(2 * $flour, 0.01)
        ->and(in_array('dough-left', array_column($answer['assumptions'], 'code'), true))
        ->toBe($left >= 1);
})->with([[50, 4, 16], [52.5, 5, 0], [52.4, 4, 20.8], [52.75, 5, 0.5], [5, 1, 0]]);

it('takes bones that are said to be strained off for no bones, and a guess for none', function (): void {
    $text = "For the cake:\n200 g oat flour\nBroth:\n500 g cooked bones\n1 l water";
    $codes = static fn (array $recipe): array => array_column(inParts($text, [], $recipe)['lines'][1]['findings'], 'code');
    expect($codes(['steps' => 'Strain the broth.']))
        ->toContain('cooked-bone')
        ->and($codes(['parts' => [['section' => 'Broth', 'keeps' => ['strained' => true]]]]))
        ->toContain('bones-strained')
        ->not->toContain('cooked-bone');
});

it('refuses what cannot be said of a part, with the place', function (array $parts, string $path, string $says): void {
    try {
        inParts(CAKE."\n\nBroth:\n1 l water\n200 g of the broth", [], ['parts' => $parts]);
        expect(true)->toBeFalse('it was not refused');
    } catch (RequestRefused $refused) {
        expect($refused->path)->toBe($path)->and($refused->getMessage())->toContain($says);
    }
})->with([
    'keeps more than it holds' => [[['section' => 'For the frosting', 'keeps' => ['grams' => 900]]], '/recipe/parts/0/keeps/grams', 'It keeps 900 g, but holds'],
    'a little more than it holds' => [[['section' => 'For the frosting', 'keeps' => ['grams' => 260.6]]], '/recipe/parts/0/keeps/grams', 'It keeps 261 g, but holds 256 g: say at most that.'],
    'two bodies' => [[['section' => 'For the cake', 'role' => 'body'], ['section' => 'For the frosting', 'role' => 'body']], '/recipe/parts/1/role', 'Two parts are the body'],
    'no body' => [[['section' => 'For the cake', 'role' => 'topping'], ['section' => 'For the frosting', 'role' => 'frosting'], ['section' => 'Broth', 'role' => 'topping']], '/recipe/parts/0/role', 'No part is the body'],
    'a share over the whole' => [[['section' => 'For the frosting', 'gramsPerPiece' => 90]], '/recipe/parts/0/gramsPerPiece', 'more than the'],
    'a share over the whole, said of the second part' => [[['section' => 'For the cake', 'role' => 'body'], ['section' => 'For the frosting', 'gramsPerPiece' => 90]], '/recipe/parts/1/gramsPerPiece', 'more than the'],
    'an unknown section' => [[['section' => 'For the icing']], '/recipe/parts/0/section', 'The headings are: For the cake; For the frosting; Broth'],
    'twice the same' => [[['section' => 'Broth', 'role' => 'topping'], ['section' => 'broth:']], '/recipe/parts/1/section', 'say it once'],
    'a broth that goes into itself' => [[['section' => 'Broth', 'role' => 'liquid']], '/recipe/parts/0/role', 'goes into itself'],
    'grams of the body' => [[['section' => 'For the cake', 'gramsPerPiece' => 5]], '/recipe/parts/0/gramsPerPiece', 'follows from its cut'],
    'an unknown role' => [[['section' => 'Broth', 'role' => 'soup']], '/recipe/parts/0/role', 'This must be one of: body'],
    'an unknown process' => [[['section' => 'Broth', 'process' => 'smoked']], '/recipe/parts/0/process', 'This must be one of: oven'],
    'an unknown key' => [[['section' => 'Broth', 'rôle' => 'body']], '/recipe/parts/0/rôle', 'There are: section, role'],
    'nothing kept' => [[['section' => 'Broth', 'keeps' => ['grams' => 0]]], '/recipe/parts/0/keeps/grams', 'more than 0'],
]);

it('has exactly one body, whatever is said that is not refused', function (): void {
    $headings = ['For the cake:', ...array_slice(HEADINGS, 1), 'Bone broth:', 'Jelly:', 'Wet:'];
    always(120, static function (Generated $made) use ($headings): ?string {
        $request = $made->request();
        $chosen = array_values(array_unique(array_map(static fn (): string => $made->one($headings), range(1, $made->number(1, 4)))));
        $text = implode("\n\n", array_map(static fn (string $heading): string => "$heading\n".implode("\n", $made->lines(2)), $chosen));
        $said = [];
        foreach ($chosen as $heading) {
            if ($made->number(0, 1) === 1) {
                $said[] = ['section' => rtrim($heading, ':'), 'role' => $made->one(Role::ids())];
            }
        }
        try {
            $answer = answerTo(['recipe' => ['text' => $text, 'parts' => $said]] + $request);
        } catch (RequestRefused) {
            return null;
        }
        $bodies = count(array_filter($answer['parts'], static fn (array $part): bool => $part['role'] === 'body'));
        $told = array_column($said, 'role', 'section');
        foreach ($answer['parts'] as $part) {
            $own = $told[$part['section'] ?? ''] ?? $part['role'];
            if ($own !== $part['role'] && count($part['sections']) === 1 && ! ($bodies === 1 && $part['role'] === 'body')) {
                return "{$part['section']} was said to be $own and is {$part['role']}";
            }
        }

        return $bodies === 1 ? null : "$bodies bodies of ".implode(', ', $chosen).' by '.json_encode($said);
    });
});

it('takes as much as a refusal says it may be at most', function (): void {
    always(40, static function (Generated $made): ?string {
        [$blocks, $request] = blocksOf($made);
        unset($request['portions'], $request['measured']);
        $text = implode("\n\n", $blocks);
        $part = answerTo(['recipe' => ['text' => $text]] + $request)['parts'][1];
        foreach ([['gramsPerPiece', '/most ([\d.]+) g\.$/'], ['keeps', '/but holds ([\d.]+) g/']] as [$key, $most]) {
            $say = static fn (float $grams): array => answerTo(
                ['recipe' => ['text' => $text, 'parts' => [['section' => $part['section'], $key => $key === 'keeps' ? ['grams' => $grams] : $grams]]]] + $request
            );
            try {
                $say(4999.0);
            } catch (RequestRefused $refused) {
                if (preg_match($most, $refused->getMessage(), $found) === 1 && (float) $found[1] > 0.0) {
                    $say((float) $found[1]);
                }
            }
        }

        return null;
    });
});

it('cuts the heaviest where no heading names what is cut, and a broth last of all', function (string $text, string $body): void {
    expect(array_column(inParts($text)['parts'], 'section', 'role')['body'])->toBe($body);
})->with([
    ["Frosting:\n200 g cream cheese\nTopping:\n20 g carrot", 'Frosting'],
    ["Topping:\n20 g carrot\nFrosting:\n200 g cream cheese", 'Frosting'],
    ["Topping:\n220 g carrot\nFrosting:\n200 g cream cheese", 'Topping'],
    ["Broth:\n1 l water\nTopping:\n20 g carrot", 'Topping'],
    ["Topping:\n20 g carrot\nBroth:\n1 l water", 'Topping'],
]);

it('refuses no guess', function (string $text): void {
    expect(inParts($text)['parts'])->not->toBe([]);
})->with([
    'all roles but a body' => ["Frosting:\n200 g cream cheese\nTopping:\n20 g carrot"],
    'a broth by itself' => ["Broth:\n1 l water\n200 g of the broth"],
    'a heading with no line' => ["For the cake:\nFrosting:\n200 g cream cheese"],
    'two broths that name each other' => ["Bone broth:\n1 l water\n100 g of the stock\nStock:\n1 l water\n100 g of the broth\nDough:\n200 g oat flour"],
]);

it('takes a jelly for set and never heated, whatever comes of the rest, unless another role is said of it', function (): void {
    $jelly = static fn (array $recipe): array => inParts("For the jelly:\n400 g water\n8 g gelatin\n1 egg", ['bake' => ['texture' => 'biscuit']], $recipe);
    $codes = static fn (array $answer): array => array_column($answer['lines'][2]['findings'], 'code');
    expect($jelly([])['parts'][0]['process'])->toBe('set')->and($codes($jelly([])))->toContain('raw-egg');
    $beside = inParts("For the cake:\n200 g oat flour\n100 g water\nFor the jelly:\n400 g water\n8 g gelatin\n1 egg", [], ['parts' => [['section' => 'For the jelly', 'role' => 'filling']]]);
    expect(partsOf($beside)['For the jelly']['process'])->toBe('oven')->and(array_column($beside['lines'][4]['findings'], 'code'))->not->toContain('raw-egg');
});

it('strains nothing but a broth by what the method says', function (): void {
    foreach (['Wet', 'For the cake', 'For the jelly'] as $heading) {
        $answer = inParts("$heading:\n200 g oat flour\n100 g water\nFrosting:\n100 g cream cheese", [], ['steps' => 'Strain the yogurt through a sieve.']);
        expect(array_map(static fn (array $part): bool => $part['keeps']['strained'], $answer['parts']))->toBe([false, false], $heading);
    }
});

it('takes the right word of a heading', function (string $heading, string $role): void {
    expect(partsOf(inParts("Dough:\n200 g oat flour\n100 g water\n\n$heading:\n50 g cream cheese"))[$heading]['role'] ?? 'body')->toBe($role);
})->with([
    ['For the frosting', 'frosting'],
    ['Icing (optional)', 'frosting'],
    ['Carob glaze', 'coating'],
    ['To dip', 'coating'],
    ['For the topping', 'topping'],
    ['To decorate', 'topping'],
    ['Filling for the cake', 'filling'],
    ['Peanut butter filling', 'filling'],
    ['Jelly', 'topping'],
    ['For dusting', 'dusting'],
    ['Bone broth', 'liquid'],
    ['Broth biscuits', 'body'],
    ['Wet', 'body'],
    ['Add-ins', 'body'],
]);

it('knows of every process what it does to what was raw, and whether it dries', function (): void {
    $is = [];
    foreach (Processes::all() as $process) {
        $is[$process->id()] = [$process->killsRaw() ? 'yes' : 'no', $process->dries() ? 'yes' : 'no', $process->texture()];
    }
    $wanted = [];
    foreach (Cases::cells('processes.txt') as [$id, $killsRaw, $dries, $texture]) {
        $wanted[$id] = [$killsRaw, $dries, $texture];
    }
    ksort($is);
    ksort($wanted);
    expect($is)->toBe($wanted);
});

it('dries a part to its texture where the process does, and leaves its water where it does not', function (): void {
    foreach (Cases::cells('processes.txt') as [$id, , $dries]) {
        $part = partsOf(inParts("Dough:\n200 g oat flour\n100 g water\nTopping:\n100 g mashed sweet potato", [], ['parts' => [['section' => 'Topping', 'process' => $id, 'texture' => 'jerky']]]))['Topping'];
        expect($part['keptGrams']['best'] < $part['doughGrams']['best'] - 1)->toBe($dries === 'yes', $id);
    }
});

it('asks every process what a safety check reads', function (): void {
    foreach (Processes::all() as $process) {
        $answer = inParts("Dough:\n200 g oat flour\n100 g water\nTopping:\n1 egg", [], ['parts' => [['section' => 'Topping', 'process' => $process->id()]]]);
        expect(in_array('raw-egg', array_column($answer['lines'][2]['findings'], 'code'), true))
            ->toBe(! $process->killsRaw(), $process->id())
            ->and($answer['parts'][1]['process'])
            ->toBe($process->id());
        $body = inParts("200 g oat flour\n1 egg", [], ['parts' => [['section' => null, 'process' => $process->id()]]]);
        expect(in_array('raw-egg', array_column($body['lines'][1]['findings'], 'code'), true))->toBe(! $process->killsRaw(), $process->id());
        Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => "200 g oat flour\n1 egg", 'parts' => [['section' => null, 'process' => $process->id()]]]]);
    }
});

it('takes a filling for heated only where the pieces are', function (string $heading, string $texture, array $parts, bool $raw): void {
    $answer = inParts("Dough:\n200 g rolled oats\n100 g water\n\n$heading:\n100 g cream cheese\n1 egg", ['bake' => ['texture' => $texture]], ['parts' => $parts]);
    expect(in_array('raw-egg', array_column($answer['lines'][3]['findings'], 'code'), true))->toBe($raw);
})->with([
    ['Filling', 'cake', [], false],
    ['Filling', 'none', [], true],
    ['Filling', 'frozen', [], true],
    ['For dusting', 'none', [], true],
    ['For dusting', 'biscuit', [], false],
    ['Filling', 'cake', [['section' => 'Filling', 'joins' => 'after']], true],
    ['Filling', 'none', [['section' => 'Dough', 'process' => 'hob']], false],
    ['Filling', 'cake', [['section' => 'Dough', 'process' => 'dried']], true],
    ['Filling', 'none', [['section' => 'Filling', 'process' => 'microwave']], false],
    ['Frosting', 'cake', [], true],
]);

it('is told no less of a food for standing under a heading that is guessed', function (): void {
    always(60, static function (Generated $made): ?string {
        $request = ['bake' => ['texture' => $made->one(['none', 'frozen'])]] + $made->request();
        $lines = $made->lines(6);
        $heading = $made->one(['For the filling:', 'Frosting:', 'To dip:', 'Topping:', 'For dusting:']);
        $headed = answerTo(['recipe' => ['text' => implode("\n", ['Dough:', ...array_slice($lines, 0, 3), $heading, ...array_slice($lines, 3)])]] + $request);
        $plain = answerTo(['recipe' => ['text' => implode("\n", $lines)]] + $request);
        $codes = static fn (array $answer): array => array_map(
            static fn (array $line): array => array_column(array_filter($line['findings'], static fn (array $one): bool => $one['dog'] === null && $one['level'] !== 'limit'), 'code'),
            $answer['lines'],
        );
        foreach ($codes($plain) as $n => $found) {
            $lost = array_diff($found, $codes($headed)[$n], ['baking-soda']);
            if ($lost !== []) {
                return implode(', ', $lost)." lost under $heading";
            }
        }

        return null;
    });
});

it('rescues, sizes and swaps a recipe in parts, and lets go what fits no more', function (): void {
    $text = "For the cake:\n250 g oat flour\n100 g water\n1 egg\nFor the frosting:\n100 g raisins";
    $request = [
        'version' => 1,
        'recipe' => ['text' => $text, 'parts' => [['section' => 'For the frosting', 'keeps' => ['grams' => 90], 'gramsPerPiece' => 1.5]]],
        'cut' => ['shape' => 'pieces', 'count' => 60],
        'dogs' => [['name' => 'Quill', 'weightKg' => 12, 'ageMonths' => 60]],
    ];
    $rescued = Asking::of('rescue', $request)['rescues'][0];
    expect($rescued['recipeText'])->not->toContain('raisins')->and($rescued['servedDogs'])->toBe(['Quill']);
    expect(Asking::of('swaps', $request + ['line' => 3])['candidates'])->not->toBe([]);
    $request['recipe']['text'] = str_replace('raisins', 'cream cheese', $text);
    expect(Asking::of('size', ['cut' => ['shape' => 'round', 'thicknessMm' => 6], 'wishes' => [['dog' => 'Quill', 'piecesPerDay' => 2]], 'days' => 7] + $request)['possible'])->toBeTrue();
    expect(fn () => Asking::of('size', ['recipe' => ['text' => $text, 'parts' => [['section' => 'Icing']]], 'cut' => ['shape' => 'round', 'thicknessMm' => 6], 'wishes' => [['dog' => 'Quill', 'piecesPerDay' => 2]], 'days' => 7] + $request))
        ->toThrow(RequestRefused::class, 'No line stands under');
    // the body is taken out: what is left is cut
    $parts = [['section' => 'For the cake', 'role' => 'body'], ['section' => 'For the frosting', 'role' => 'frosting']];
    $left = Asking::of('rescue', ['version' => 1, 'recipe' => ['text' => "For the cake:\n100 g raisins\nFor the frosting:\n200 g cream cheese", 'parts' => $parts], 'dogs' => [['name' => 'Quill', 'weightKg' => 12, 'ageMonths' => 60]]]);
    expect($left['rescues'][0]['recipeText'])->not->toContain('raisins');
    foreach (['scale' => ['by' => ['factor' => 2]], 'occasion' => ['occasion' => ['dog' => 'Quill', 'pieces' => 3]], 'dough' => ['feels' => null, 'wants' => 'rolls cleanly'], 'give-away' => []] as $question => $more) {
        expect(Asking::of($question, $more + $request)['version'])->toBe(1, $question);
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

it('takes at most twenty parts', function (): void {
    $parts = static fn (int $count): array => array_map(static fn (int $n): array => ['section' => "Part $n"], range(1, $count));
    $text = implode("\n", array_map(static fn (int $n): string => "Part $n:\n10 g oat flour", range(1, 21)));
    expect(inParts($text, [], ['parts' => $parts(20)])['parts'])->toHaveCount(1);
    expect(fn () => inParts($text, [], ['parts' => $parts(21)]))->toThrow(RequestRefused::class);
});
