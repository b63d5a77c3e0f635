<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Generated;

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

it('lays so many grams on a piece of a part that weighs next to nothing', function (): void {
    $part = partsOf(inParts("Dough:\n200 g oat flour\n100 g water\nDusting:\n0.8 g cinnamon", ['cut' => ['shape' => 'pieces', 'count' => 20]], ['parts' => [['section' => 'Dusting', 'gramsPerPiece' => 0.01]]]))['Dusting'];
    expect($part['gramsPerPiece']['best'])->toEqualWithDelta(0.01, 1e-9);
});

it('counts what was lost on the way before it fills hollows', function (): void {
    $answer = inParts("100 g oat flour\n100 g water", ['cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 6], 'bake' => ['texture' => 'none'], 'measured' => ['wasteGrams' => 30]]);
    expect($answer['piece']['count']['best'] * $answer['piece']['doughGrams']['best'] + $answer['batch']['leftGrams'])->toEqualWithDelta(170, 0.01);
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

it('calls a cream no batter, and a crumble a dough', function (): void {
    $feels = static fn (string $part): array => array_column(answer("For the cake:\n250 g oat flour\n100 g mashed banana\n2 eggs\n$part")['parts'], 'feel', 'role');
    expect($feels("For the frosting:\n200 g cream cheese\n2 tbsp carob powder")['frosting'])->toBeNull()
        ->and($feels("For the topping:\n100 g oat flour\n60 g butter\n20 g water")['topping'])->not->toBeNull()
        ->and($feels("For the frosting:\n200 g cream cheese")['body'])->not->toBeNull();
});
