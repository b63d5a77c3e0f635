<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Generated;

/** What is known raw, and what it must reach. */
const RAW = ['egg' => 71, 'minced beef' => 71, 'minced turkey' => 74, 'beef liver' => 71, 'salmon' => 63, 'cod' => 63];

/** @return array{array<string, mixed>, array<string, mixed>} a question and what is said beside it */
function workByChance(Generated $made): array
{
    $question = $made->request(6, 2);
    $question['tray'] = $made->one([null, ['widthMm' => 300, 'lengthMm' => 400, 'atOnce' => 2]]);
    $question['recipe']['steps'] = $made->one(['', '', 'Mix it. Rest 10 minutes. Bake at 170 °C for 20 minutes, turning half-way. Cool on a rack.', 'Bake at 80 °C for 5 minutes. Bake 10 minutes more.', 'Freeze it. Chill overnight. Simmer for an hour, then strain.', "Dry at 90 °C for 3 hours.\nCheck every 5 minutes."]);
    $question['bake']['texture'] = $made->one(['soft', 'biscuit', 'hard', 'frozen', 'none', 'cake', 'jerky', 'chewy', 'tray']);
    if ($made->number(0, 2) === 0) {
        $question['portions'] = [['name' => 'small', 'dogs' => ['Dog 1'], 'share' => 0.4, 'bake' => ['texture' => $made->one(['soft', 'hard', 'cake', 'biscuit'])], 'cut' => ['shape' => 'ball', 'diameterMm' => $made->number(10, 40)]]];
    }
    if ($made->number(0, 2) === 0) {
        [$blocks] = blocksOf($made);
        $question['recipe']['text'] = implode("\n\n", $blocks);
    }

    return [array_filter($question, static fn (mixed $one): bool => $one !== null), ['ovens' => $made->number(1, 2), 'trays' => $made->number(1, 3)]];
}

it('plans work that can be done, whatever is baked', function (): void {
    always(200, static function (Generated $made): ?string {
        [$question, $more] = workByChance($made);

        return faultOfPlan(work($question, $more));
    });
});

it('always heats before the first heat, looks early, probes what was raw, and cools before it is put away', function (): void {
    always(200, static function (Generated $made): ?string {
        [$question, $more] = workByChance($made);
        $answer = work($question, $more);
        $by = array_column($answer['steps'], null, 'id');
        $before = static function (array $step) use (&$before, $by): array {
            return array_merge([], ...array_map(static fn (string $need): array => [$by[$need], ...$before($by[$need])], $step['needs']));
        };
        foreach (stepsOf($answer, 'heat') as $heat) {
            $isInOven = $heat['oven'] !== null;
            $hot = array_filter([...$before($heat)], static fn (array $one): bool => $one['kind'] === 'preheat');
            if ($isInOven && $hot === []) {
                return "{$heat['id']} goes into a cold oven";
            }
            $looks = array_filter(stepsOf($answer, 'look'), static fn (array $look): bool => in_array($heat['id'], $look['needs'], true) && abs($look['startsAfterMinutes'] - $heat['startsAfterMinutes'] - 0.8 * $heat['minutes']['low']) <= 1.01);
            $isMore = $before($heat) !== [] && in_array($by[$heat['needs'][0]]['kind'], ['heat', 'core', 'turn'], true);
            if ($looks === [] && ! $isMore) {
                return "nobody looks at {$heat['id']} at 80 % of {$heat['minutes']['low']} min";
            }
        }
        $most = 0;
        foreach (RAW as $food => $celsius) {
            $most = preg_match("/\\b$food$/m", $question['recipe']['text']) === 1 ? max($most, $celsius) : $most;
        }
        $isHeated = ! in_array($question['bake']['texture'], ['frozen', 'none'], true);
        if ($most > 0 && $isHeated && ! str_contains($question['recipe']['text'], ':')) {
            $cores = array_map(static fn (array $step): int => $step['core']['celsius'], stepsOf($answer, 'core'));
            if ($cores === [] || max($cores) !== $most || min($cores) !== $most) {
                return "core $most wanted, planned: ".json_encode($cores);
            }
            foreach (stepsOf($answer, 'dry') as $dry) {
                if (array_filter($before($dry), static fn (array $one): bool => $one['kind'] === 'core') === []) {
                    return "{$dry['id']} dries what was raw";
                }
            }
        }
        foreach (stepsOf($answer, 'bag') as $bag) {
            $done = array_column($before($bag), 'kind');
            if (array_intersect($done, ['heat', 'dry']) !== [] && ! in_array('cool', $done, true)) {
                return "{$bag['id']} puts away what is hot";
            }
        }

        return stepsOf($answer, 'bag') === [] ? 'nothing is put away' : null;
    });
});

it('takes soft lots out before hard ones, however they are cut', function (): void {
    always(80, static function (Generated $made): ?string {
        $soft = $made->one(['soft', 'cake', 'chewy']);
        $answer = work([
            'recipe' => ['text' => WORKED], 'dogs' => [dog('Quill'), dog('Bosun')], 'bake' => ['texture' => 'hard'], 'cut' => ['shape' => 'round', 'diameterMm' => $made->number(15, 50), 'thicknessMm' => $made->number(3, 12)],
            'portions' => [['name' => 'soft ones', 'dogs' => ['Quill'], 'share' => $made->number(1, 9) / 10, 'bake' => ['texture' => $soft], 'cut' => ['shape' => 'round', 'diameterMm' => $made->number(15, 50), 'thicknessMm' => $made->number(3, 20)]]],
            'tray' => ['widthMm' => 300, 'lengthMm' => 200],
        ], ['ovens' => $made->number(1, 2), 'trays' => $made->number(1, 4)]);
        $out = ['soft ones' => 0.0, 'for Bosun' => INF];
        foreach (stepsOf($answer, 'heat') as $heat) {
            $out[$heat['lot']] = $heat['lot'] === 'soft ones' ? max($out['soft ones'], endOf($heat)) : min($out['for Bosun'], endOf($heat));
        }

        return $out['soft ones'] < $out['for Bosun'] && $out['soft ones'] > 0.0 && is_finite($out['for Bosun']) ? null : json_encode($out, JSON_PARTIAL_OUTPUT_ON_ERROR);
    });
});

it('plans the same work whenever it begins and in whatever order the lines stand', function (): void {
    always(40, static function (Generated $made): ?string {
        [$question, $more] = workByChance($made);
        $now = work($question, $more);
        $later = work($question, ['startAt' => '2026-12-31T23:50'] + $more);
        $timed = static fn (array $answer): array => array_map(static fn (array $step): array => [$step['kind'], $step['startsAfterMinutes'], $step['minutes']], $answer['steps']);
        $turned = $question;
        $turned['recipe']['text'] = implode("\n", array_reverse(explode("\n", $question['recipe']['text'])));
        if ($now['steps'] !== $later['steps']) {
            return 'another hour, another plan';
        }

        return str_contains($question['recipe']['text'], ':') || $timed($now) === $timed(work($turned, $more)) ? null : 'another order, another plan: '.json_encode([$timed($now), $timed(work($turned, $more))]);
    });
});

it('tells when it is ready, over midnight and the end of a year', function (string $start, string $ready): void {
    expect(work(['recipe' => ['text' => '200 g oats'], 'bake' => ['texture' => 'frozen'], 'cut' => ['shape' => 'mould', 'cavityMl' => 6, 'cavities' => 30]], ['startAt' => $start])['readyAt'])->toBe($ready);
})->with([['2026-05-14T14:00', '2026-05-14T18:10'], ['2026-12-31T22:00', '2027-01-01T02:10'], ['2028-02-28T23:59', '2028-02-29T04:09']]);

it('takes the maker\'s minutes and heat over, and tells what is far from ours', function (string $steps, ?array $minutes, int $celsius, array $warns): void {
    $answer = work(['recipe' => ['text' => WORKED, 'steps' => $steps], 'cut' => COIN, 'bake' => ['texture' => 'biscuit']]);
    [$heat] = stepsOf($answer, 'heat');
    expect([$heat['minutes']['low'], $heat['minutes']['high'], $heat['oven']['celsius']])->toEqual([...$minutes, $celsius])
        ->and(count($answer['warnings']))->toBe(count($warns));
    foreach ($warns as $n => $words) {
        expect($answer['warnings'][$n])->toContain($words);
    }
})->with([
    'as reckoned' => ['Bake for 18-22 minutes.', [18, 22], 175, []],
    'nothing told' => ['Mix it.', [15, 25], 175, []],
    'by half' => ['Bake for 30 minutes.', [30, 30], 175, []],
    'by more than half' => ['Bake for 31 minutes.', [31, 31], 175, ['The method says 31 min; reckoned are 15–25 min.']],
    'far too short' => ['Bake for 9 minutes.', [9, 9], 175, ['The method says 9 min']],
    'another heat' => ['Bake at 160 °C for 25 minutes.', [25, 25], 160, []],
    'in Fahrenheit' => ['Bake at 350F for 20 minutes.', [20, 20], 175, []],
    'where 180 is meant' => ['Bake at 80 °C for 20 minutes.', [20, 20], 175, ['The method says 80 °C; such treats bake at about 175 °C: is 180 °C meant?']],
    'long and cool is meant' => ['Bake at 80 °C for 90 minutes.', [90, 90], 80, ['The method says 90 min']],
    'no oven is so hot' => ['Bake at 280 °C for 20 minutes.', [20, 20], 175, ['The method says 280 °C']],
    'an hour more' => ['Bake for 20 minutes. Leave in the turned-off oven for an hour.', [20, 20], 175, []],
]);

it('does with a fan what it does without, 20 degrees lower on the dial', function (): void {
    $at = static fn (array $oven): array => stepsOf(work(['recipe' => ['text' => WORKED], 'cut' => COIN, 'oven' => $oven]), 'heat')[0];
    expect($at(['fan' => true])['oven'])->toBe(['celsius' => 175, 'fahrenheit' => 345, 'fanCelsius' => 155, 'gas' => '4'])
        ->and($at(['fan' => false])['oven'])->toBe($at(['fan' => true])['oven'])
        ->and($at(['fan' => true])['minutes'])->toBe($at(['fan' => false])['minutes'])
        ->and($at(['celsius' => 155, 'fan' => true])['oven']['celsius'])->toBe(175);
});

it('plans each kind of treat as a baker would', function (array $question, array $kinds, array $more): void {
    $answer = work($question);
    expect(implode(' ', array_column($answer['steps'], 'kind')))->toBe(implode(' ', $kinds));
    foreach ($more as $n => $words) {
        expect($answer['steps'][$n]['text'])->toContain($words);
    }
})->with([
    'biscuits' => [['recipe' => ['text' => WORKED], 'cut' => COIN], ['prepare', 'mix', 'shape', 'preheat', 'heat', 'look', 'core', 'cool', 'bag'], [2 => 'Roll it 6 mm thick and cut rounds of 20 mm', 4 => 'Bake them at 175 °C, 15–25 min. Done: edges golden']],
    'hard ones' => [['recipe' => ['text' => "300 g oat flour\n130 g water"], 'cut' => COIN, 'bake' => ['texture' => 'hard']], ['prepare', 'mix', 'shape', 'preheat', 'heat', 'look', 'dry', 'cool', 'bag'], [6 => 'in the turned-off oven']],
    'raw strips' => [['recipe' => ['text' => '500 g beef'], 'cut' => ['shape' => 'strip', 'widthMm' => 20, 'lengthMm' => 80, 'thicknessMm' => 5], 'bake' => ['texture' => 'jerky']], ['prepare', 'preheat', 'shape', 'heat', 'look', 'core', 'dry', 'turn', 'look', 'cool', 'bag'], [3 => 'Heat them through at 135 °C before the drying', 5 => '63 °C at the core, and keep it so for 3 min']],
    'a tray that is turned' => [['recipe' => ['text' => WORKED], 'cut' => ['shape' => 'grid', 'sheetWidthMm' => 200, 'sheetLengthMm' => 200, 'depthMm' => 12, 'columns' => 6, 'rows' => 6], 'bake' => ['texture' => 'tray']], ['prepare', 'preheat', 'mix', 'shape', 'heat', 'look', 'core', 'turn', 'dry', 'look', 'cool', 'shape', 'bag'], [7 => 'Turn them over', 11 => 'Cut it into']],
    'frozen' => [['recipe' => ['text' => "300 g melon\n50 g yogurt"], 'cut' => ['shape' => 'mould', 'cavityMl' => 6, 'cavities' => 30], 'bake' => ['texture' => 'frozen']], ['prepare', 'mix', 'shape', 'freeze', 'bag'], [2 => 'Fill the hollows of 6 ml']],
    'chilled' => [['recipe' => ['text' => "200 g rolled oats\n100 g peanut butter\n80 g mashed banana"], 'cut' => ['shape' => 'ball', 'diameterMm' => 20], 'bake' => ['texture' => 'none']], ['prepare', 'mix', 'shape', 'chill', 'bag'], [3 => 'Chill them, 2–12 h']],
    'seeds swell' => [['recipe' => ['text' => "300 g oat flour\n20 g chia seeds\n150 g water"], 'cut' => COIN], ['prepare', 'soak', 'mix', 'shape', 'preheat', 'heat', 'look', 'cool', 'bag'], [1 => 'let it swell']],
    'a soft dough is chilled before it is rolled' => [['recipe' => ['text' => "300 g strong flour\n210 g water"], 'cut' => COIN], ['prepare', 'mix', 'chill', 'rest', 'shape', 'preheat', 'heat', 'look', 'cool', 'bag'], [2 => 'Chill the dough: it is tacky']],
    'over a fire' => [['recipe' => ['text' => "300 g oat flour\n130 g water", 'steps' => 'Bake over the open fire for 22 minutes.'], 'cut' => COIN], ['prepare', 'preheat', 'mix', 'shape', 'heat', 'look', 'look', 'look', 'look', 'look', 'cool', 'bag'], [1 => 'burn down to embers']],
    'in a pan' => [['recipe' => ['text' => "200 g oat flour\n2 eggs\n250 ml milk", 'parts' => [['section' => null, 'process' => 'griddle']]], 'cut' => ['shape' => 'scoop', 'ml' => 20], 'bake' => ['texture' => 'soft']], ['prepare', 'mix', 'shape', 'preheat', 'heat', 'turn', 'look', 'core', 'cool', 'bag'], [3 => 'Heat the griddle']],
    'in bursts' => [['recipe' => ['text' => "100 g oat flour\n60 ml milk", 'parts' => [['section' => null, 'process' => 'microwave']]], 'bake' => ['texture' => 'soft']], ['prepare', 'mix', 'shape', 'heat', 'look', 'stir', 'stir', 'cool', 'bag'], [3 => 'in bursts of 30 seconds']],
]);

it('keeps the maker\'s own words, her acts in the middle of the heat, and her second time in it', function (): void {
    $answer = work(['recipe' => ['text' => WORKED, 'steps' => "Boil the pumpkin for 15 minutes and mash it.\nMix in the rest.\nShape as you like.\nBake at 175 °C for 20 minutes. After 5 minutes flatten them with a fork. Flip and bake 8 minutes more.\nCool for 10 minutes."], 'cut' => COIN]);
    $steps = array_map(static fn (array $step): array => [$step['kind'], rtrim($step['text'], '.'), $step['minutes']['best']], $answer['steps']);
    $texts = array_column($answer['steps'], 'text');
    expect($answer['steps'][1]['kind'])->toBe('prepare')
        ->and($texts[1])->toContain('Boil the pumpkin for 15 minutes')
        ->and(implode(' ', $texts))->toContain('Shape as you like.')->toContain('flatten them with a fork')
        ->and(array_values(array_filter($steps, static fn (array $step): bool => in_array($step[0], ['heat', 'cool'], true)))[0][2])->toEqual(20)
        ->and(array_column(stepsOf($answer, 'turn'), 'text'))->toBe(['Flip.'])
        ->and(array_map(static fn (array $step): float => $step['minutes']['best'], stepsOf($answer, 'heat')))->toEqual([20, 8])
        ->and(stepsOf($answer, 'cool')[0]['minutes']['best'])->toEqual(10);
    $flat = array_values(array_filter($answer['steps'], static fn (array $step): bool => str_contains($step['text'], 'flatten')))[0];
    expect($flat['startsAfterMinutes'] - stepsOf($answer, 'heat')[0]['startsAfterMinutes'])->toEqual(5);
});

it('loses no act of a method: each stands in the plan, in its own words and in its turn', function (int $seed): void {
    $made = new Generated($seed);
    $told = array_values(array_filter([
        $made->one([null, 'Grate a beetroot.', 'Line a tray.']), $made->one(['Mix it well.', 'Knead it smooth.']), $made->one([null, 'Let it rest for 12 minutes.']),
        $made->one(['Roll it thin.', 'Press it out.']), $made->one(['Bake 21 minutes at 170 °C.', '170 for 21 minutes.', 'Pop them in the oven at 170 for 21 minutes.']),
        $made->one([null, 'Flip and bake 9 minutes more.', 'Slice them up and bake 9 minutes more.']), $made->one([null, 'Turn the oven off and leave them in there to go hard.', 'Leave them in the oven till cold.']),
        $made->one([null, 'Cut it while warm.']), $made->one([null, 'Cool on a wire rack.']), $made->one([null, 'Cut it up when cold.']), $made->one([null, 'Freeze half of them for up to two months.']),
    ]));
    $answer = work(['recipe' => ['text' => WORKED, 'steps' => implode($made->one([' ', "\n"]), $told)], 'cut' => COIN]);
    expect(faultOfPlan($answer))->toBeNull();
    $all = mb_strtolower(implode(' ', array_column($answer['steps'], 'text')));
    $places = [];
    foreach ($told as $sentence) {
        foreach (preg_split('/\.|(?<=flip|off|up) and /', mb_strtolower($sentence), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $act) {
            $at = mb_strpos($all, trim($act));
            expect($at)->not->toBeFalse("\"$act\" is lost in: $all");
            $places[] = $at;
        }
    }
    $sorted = $places;
    sort($sorted);
    expect($places)->toBe($sorted);
})->with(range(1, 60));

it('dries where the maker dries: no colour tells when it is done, and what is raw is heated through before', function (string $steps, bool $heatsThrough, float $minutes): void {
    $answer = work(['recipe' => ['text' => "400 g minced turkey\n100 g oat flour", 'steps' => $steps], 'cut' => COIN]);
    // hot enough it is heat as any other, and probed at its end
    $dry = stepsOf($answer, $heatsThrough ? 'dry' : 'heat')[0];
    $before = array_column(array_slice($answer['steps'], 0, (int) array_search($dry, $answer['steps'], true)), 'kind');
    expect($dry['text'])->toStartWith(str_contains($steps, 'off') ? 'Turn the oven off' : 'Dry them')
        ->and($heatsThrough ? $dry['text'] : '')->not->toContain('golden')->and($dry['minutes']['best'])->toEqual($minutes)
        ->and(in_array('core', $before, true))->toBe($heatsThrough)
        ->and(array_column(stepsOf($answer, 'core'), 'core'))->toBe([['celsius' => 74, 'holdMinutes' => 0]])
        ->and(str_contains($answer['steps'][count($before) - 3]['text'], 'Heat them through at 135'))->toBe($heatsThrough && ! str_contains($steps, 'off'));
})->with([
    ['Dry them for 3 hours at 90 °C.', true, 180], ['Dry them for 3 hours at 95 °C.', true, 180], ['Dry them for 3 hours at 100 °C.', false, 180],
    ['Bake 20 minutes, then turn the oven off and leave them in it.', true, 22.5],
]);

it('gives each part its own work, laid on when the body is cold, mixed in when it is ready', function (): void {
    $cake = work(['recipe' => ['text' => CAKE, 'steps' => "Beat the eggs into the applesauce.\nBake for 40 minutes.\nFor the frosting, beat the cream cheese.\nSpread the frosting on."], 'cut' => ['shape' => 'slices', 'count' => 16], 'bake' => ['texture' => 'cake']]);
    $frosting = array_values(array_filter($cake['steps'], static fn (array $step): bool => $step['part'] === 'For the frosting'));
    $cool = stepsOf($cake, 'cool')[0];
    expect(array_column($frosting, 'kind'))->toBe(['prepare', 'mix', 'shape'])
        ->and(end($frosting)['startsAfterMinutes'])->toBeGreaterThanOrEqual(endOf($cool) - 0.1)
        // made while the cake is in the oven
        ->and($frosting[0]['startsAfterMinutes'])->toBeGreaterThan(stepsOf($cake, 'shape')[0]['startsAfterMinutes']);
    $jelly = work(['recipe' => ['text' => "Bone broth:\n500 g chicken thighs\n1 l water\n\nFor the jelly:\n400 g of the broth\n8 g gelatin", 'steps' => 'Simmer for two hours, then strain. Pour into moulds and leave to set.'], 'cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 12], 'bake' => ['texture' => 'none']]);
    expect(array_map(static fn (array $step): string => "{$step['kind']} {$step['part']}", stepsOf($jelly, 'preheat', 'heat', 'core', 'soak', 'set')))
        ->toBe(['preheat Bone broth', 'heat Bone broth', 'core Bone broth', 'soak For the jelly', 'set For the jelly'])
        ->and(stepsOf($jelly, 'heat')[0]['minutes']['best'])->toEqual(120)
        ->and(stepsOf($jelly, 'core')[0]['core']['celsius'])->toBe(74);
});

it('bakes what does not fit in rounds, and needs fewer with more trays or ovens', function (): void {
    $ask = static fn (int $ovens, int $trays): array => work(['recipe' => ['text' => WORKED], 'cut' => COIN, 'tray' => ['widthMm' => 300, 'lengthMm' => 200]], ['ovens' => $ovens, 'trays' => $trays]);
    expect(stepsOf($ask(1, 2), 'heat')[0]['text'])->toContain('Bake sheets 1 to 2')
        ->and(stepsOf($ask(1, 2), 'heat')[1]['text'])->toContain('Bake sheet 3')
        ->and(count(stepsOf($ask(1, 1), 'heat')))->toBe(3)
        ->and(count(stepsOf($ask(1, 1), 'preheat')))->toBe(1)
        ->and(stepsOf($ask(1, 1), 'heat')[1]['text'])->toContain('Bake sheet 2 at 175 °C')
        ->and(count(stepsOf($ask(1, 3), 'heat')))->toBe(1)
        ->and($ask(2, 1)['elapsedMinutes'])->toBeLessThan($ask(1, 1)['elapsedMinutes'])
        ->and($ask(1, 3)['elapsedMinutes'])->toBeLessThan($ask(2, 1)['elapsedMinutes']);
});

it('warns where a core is told too cool, and where a full sheet is to be turned over', function (): void {
    expect(work(['recipe' => ['text' => "300 g minced turkey\n40 g oats", 'steps' => 'Bake until they are 65 °C in the middle.'], 'cut' => ['shape' => 'ball', 'diameterMm' => 25], 'bake' => ['texture' => 'soft']])['warnings'])->toBe(['The method says 65 °C at the core; minced turkey, raw must reach 74 °C.'])
        ->and(work(['recipe' => ['text' => WORKED], 'cut' => ['shape' => 'grid', 'sheetWidthMm' => 300, 'sheetLengthMm' => 400, 'depthMm' => 4, 'columns' => 6, 'rows' => 6], 'bake' => ['texture' => 'tray']])['warnings'])->toBe(['A sheet so large does not turn over: spread it in two tins of at most 300 × 200 mm.']);
});

it('gives tips where they apply, once, and cautions where something can hurt', function (string $text, array $more, string $as, string $words): void {
    $all = array_filter(array_column(work(['recipe' => ['text' => $text], 'cut' => COIN, ...$more])['steps'], $as), static fn (?string $one): bool => $one !== null && str_contains($one, $words));
    expect(count($all))->toBe(1);
})->with([
    [WORKED, [], 'tip', 'Crack each egg'],
    ["300 g oat flour\n2 tbsp honey\n100 g water", [], 'tip', 'Oil the cup'],
    ["300 g oat flour\n130 g water", [], 'tip', 'Roll to two guides'],
    ["200 g oat flour\n360 g mashed banana", [], 'tip', 'dry things first'],
    ["200 g oat flour\n360 g mashed banana", [], 'tip', 'Dip the cutter in flour'],
    ["1300 g oat flour\n600 g water", [], 'tip', 'suits a mixer'],
    ["100 g oat flour\n40 g water", [], 'tip', 'small processor'],
    ["100 g carob powder\n50 g coconut oil", ['bake' => ['texture' => 'none']], 'tip', 'Melt carob'],
    ["200 g yogurt\n200 g melon", ['cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 12], 'bake' => ['texture' => 'frozen']], 'tip', 'Tap the filled mould'],
    ["300 g minced beef\n60 g oats", [], 'hazard', 'hand nothing down to a dog'],
    ["300 g minced beef\n60 g oats", [], 'hazard', 'within 2 hours'],
    [WORKED, [], 'hazard', 'Too hot to give'],
    [WORKED, [], 'hazard', 'Raw egg in it'],
    ["300 g oat flour\n130 g water", [], 'hazard', 'Raw flour carries germs'],
    ["300 g oat flour\n1 apple, grated", [], 'hazard', 'Cores, stones and seeds'],
]);

it('says how each shape is made', function (array $cut, string $says): void {
    expect(stepsOf(work(['recipe' => ['text' => WORKED], 'cut' => $cut]), 'shape')[0]['text'])->toContain($says);
})->with([
    [COIN, 'Roll it 6 mm thick and cut rounds of 20 mm: about 203 pieces.'],
    [['shape' => 'rectangle', 'widthMm' => 12, 'lengthMm' => 40, 'thicknessMm' => 7], 'Roll it 7 mm thick and cut fingers of 12 × 40 mm'],
    [['shape' => 'bone', 'widthMm' => 20, 'lengthMm' => 40, 'thicknessMm' => 5], 'Roll it 5 mm thick and cut bones of 20 × 40 mm'],
    [['shape' => 'ball', 'diameterMm' => 25], 'Roll balls of 25 mm'],
    [['shape' => 'scoop', 'ml' => 18], 'Drop heaps of 18 ml'],
    [['shape' => 'log', 'diameterMm' => 28, 'sliceMm' => 7], 'Roll a log of 28 mm and slice it 7 mm thick'],
    [['shape' => 'mould', 'cavityMl' => 15, 'cavities' => 24], 'Fill the hollows of 15 ml'],
    [['shape' => 'grid', 'sheetWidthMm' => 200, 'sheetLengthMm' => 200, 'depthMm' => 12, 'columns' => 6, 'rows' => 6], 'Spread it 12 mm deep in the tray.'],
    [['shape' => 'slices', 'count' => 12], 'Spread it in the tin.'],
    [['shape' => 'pieces', 'count' => 30], 'Shape about 30 pieces.'],
]);

it('plans the work of a recipe that is told without amounts', function (): void {
    $answer = work(['recipe' => ['text' => "oat flour\nmashed banana", 'steps' => 'Bake for 12 minutes.'], 'cut' => ['shape' => 'pieces', 'count' => 17]]);
    expect(implode(' ', array_column($answer['steps'], 'kind')))->toBe('prepare preheat mix shape heat look cool bag')->and(stepsOf($answer, 'shape')[0]['text'])->toContain('about 17 pieces');
});

it('lets a sheet wait until the one before is out of the oven', function (): void {
    $answer = work(['recipe' => ['text' => WORKED], 'cut' => COIN, 'tray' => ['widthMm' => 300, 'lengthMm' => 200]]);
    [$first, $second] = stepsOf($answer, 'heat');
    $probed = array_values(array_filter(stepsOf($answer, 'core'), static fn (array $one): bool => in_array($first['id'], $one['needs'], true)))[0];
    expect($second['needs'])->toContain($probed['id']);
});

it('makes no fuss where nothing can hurt', function (): void {
    $answer = work(['recipe' => ['text' => "300 g melon\n100 g yogurt"], 'cut' => ['shape' => 'mould', 'cavityMl' => 6, 'cavities' => 30], 'bake' => ['texture' => 'frozen']]);
    expect(array_values(array_filter(array_column($answer['steps'], 'hazard'))))->toBe([])
        ->and(array_filter(array_column(work(['recipe' => ['text' => WORKED], 'cut' => COIN])['steps'], 'hazard'), static fn (?string $one): bool => str_contains((string) $one, 'within 2 hours')))->toBe([]);
});

it('reckons with what was made and what was learned', function (): void {
    $plain = stepsOf(work(['recipe' => ['text' => WORKED], 'cut' => COIN]), 'heat')[0];
    $longer = stepsOf(work(['recipe' => ['text' => WORKED], 'cut' => COIN, 'learned' => [['of' => 'minutes', 'class' => 'biscuit', 'factor' => 1.2]]]), 'heat')[0];
    $half = work(['recipe' => ['text' => WORKED, 'asMade' => [['row' => 0, 'share' => 0.5], ['row' => 1, 'grams' => 0]]], 'cut' => COIN]);
    expect($longer['minutes']['low'])->toEqual(1.2 * $plain['minutes']['low'])
        ->and(stepsOf($half, 'core'))->toBe([])
        ->and($half['steps'][0]['text'])->not->toContain('egg');
});

it('refuses in words, with the place in the whole request', function (mixed $question, array $more, string $path, string $says): void {
    $refused = null;
    try {
        Asking::of('bake', $more + ['version' => 1, 'question' => $question, 'startAt' => '2026-05-14T14:00']);
    } catch (MildBowl\Core\Questions\RequestRefused $refused) {
    }
    expect($refused?->path)->toBe($path)->and($refused?->getMessage())->toContain($says);
})->with([
    'no question' => [null, [], '/question', 'is missing'],
    'no recipe' => [['version' => 1], [], '/question/recipe', 'is missing'],
    'no version of it' => [['recipe' => ['text' => WORKED]], [], '/question/version', 'is missing'],
    'an unknown key' => [['version' => 1, 'recipe' => ['text' => WORKED], 'dogz' => []], [], '/question/dogz', 'is "dogs" meant?'],
    'an empty text' => [['version' => 1, 'recipe' => ['text' => ' ']], [], '/question/recipe/text', 'must not be empty'],
    'parts that cannot be' => [['version' => 1, 'recipe' => ['text' => WORKED, 'parts' => [['section' => 'Frosting']]]], [], '/question/recipe/parts/0/section', 'No line stands under'],
    'made of no line' => [['version' => 1, 'recipe' => ['text' => WORKED, 'asMade' => [['row' => 9, 'share' => 1]]]], [], '/question/recipe/asMade/0/row', 'holds no line'],
    'a minute that is none' => [['version' => 1, 'recipe' => ['text' => WORKED]], ['startAt' => '2026-05-14T25:00'], '/startAt', 'a minute such as'],
    'a day that is none' => [['version' => 1, 'recipe' => ['text' => WORKED]], ['startAt' => '2026-02-30T10:00'], '/startAt', 'a minute such as'],
    'no oven' => [['version' => 1, 'recipe' => ['text' => WORKED]], ['ovens' => 0], '/ovens', 'from 1 to 10'],
    'a wall of trays' => [['version' => 1, 'recipe' => ['text' => WORKED]], ['trays' => 21], '/trays', 'from 1 to 20'],
]);

it('lets a sheet be turned over that two hands can turn, by hand, and shows the sign at each look', function (): void {
    $tray = static fn (int $wide, int $long): array => work(['recipe' => ['text' => "500 g minced turkey\n60 g oat flour"], 'cut' => ['shape' => 'grid', 'sheetWidthMm' => $wide, 'sheetLengthMm' => $long, 'depthMm' => 15, 'columns' => 8, 'rows' => 6], 'bake' => ['texture' => 'tray']]);
    $warns = static fn (array $answer): bool => str_contains(implode($answer['warnings']), 'does not turn over');
    expect($warns($tray(200, 300)))->toBeFalse()->and($warns($tray(201, 300)))->toBeTrue()->and($warns($tray(200, 301)))->toBeTrue();
    $steps = $tray(200, 300);
    expect(stepsOf($steps, 'turn')[0]['hands'])->toBe('on')
        ->and(stepsOf($steps, 'look')[0]['text'])->toContain('Done: ')
        ->and(stepsOf(work(['recipe' => ['text' => WORKED], 'bake' => ['texture' => 'frozen']]), 'look'))->toBe([]);
});

it('tells the time that is reckoned beside the maker\'s own, where they are not the same', function (): void {
    $text = static fn (string $steps): string => stepsOf(work(['recipe' => ['text' => WORKED, 'steps' => $steps], 'cut' => COIN]), 'heat')[0]['text'];
    expect($text('Bake 20 minutes at 175 °C.'))->toContain('Reckoned: 15–25 min.')
        ->and($text('Bake 15 to 25 minutes at 175 °C.'))->not->toContain('Reckoned')
        ->and($text('Bake until golden.'))->not->toContain('Reckoned')
        ->and($text(''))->not->toContain('Reckoned');
});

it('does what is told of the heat at its time', function (string $steps, array $at): void {
    $answer = work(['recipe' => ['text' => '300 g oat flour', 'steps' => $steps], 'cut' => COIN]);
    [$heat] = stepsOf($answer, 'heat');
    expect(array_map(static fn (array $step): float => round($step['startsAfterMinutes'] - $heat['startsAfterMinutes'], 1), stepsOf($answer, 'turn')))->toEqual($at);
})->with([
    ['Bake 30 minutes, turning once.', [15]], ['Bake 30 minutes, after ten minutes turn the tray.', [10]], ['Bake 30 minutes, and for the last five minutes turn the heat up.', [25]],
    ['Bake 30 minutes, turning every ten minutes.', [10, 20]], ['Bake 30 minutes, turning half-way.', [15]], ['Bake ten minutes a side.', [10]], ['Bake 1 hour, turning every quarter of an hour.', [15, 30, 45]],
]);

it('takes a heat without a unit for the one that can be', function (string $steps, int $celsius, bool $isTold): void {
    $answer = work(['recipe' => ['text' => '300 g oat flour', 'steps' => $steps], 'cut' => COIN]);
    expect(stepsOf($answer, 'heat')[0]['oven']['celsius'])->toBe($celsius)
        ->and(str_contains(implode($answer['warnings']), 'without a unit: taken as °F'))->toBe($isTold);
})->with([
    ['Oven at 250 for three hours.', 120, true], ['Bake at 250 °C for 20 minutes.', 175, false], ['Bake at 235 for 20 minutes.', 235, false], ['Bake at 240 for 20 minutes.', 175, false], ['Bake at 265 for 20 minutes.', 175, false], ['Bake at 266 for 20 minutes.', 130, true], ['Bake at 240 for 2 hours.', 115, true], ['Bake at 90 for 4 hours.', 90, false],
    ['Bake at 350 for 20 minutes.', 175, false], ['Bake at 180 for 20 minutes.', 180, false], ['Bake at gas mark 9 for 20 minutes.', 175, false],
]);

it('dries nothing raw in air that makes nothing safe, however the oven is told', function (string $steps, bool $heatsThrough): void {
    $answer = work(['recipe' => ['text' => '500 g rabbit meat', 'steps' => $steps], 'cut' => COIN]);
    $before = array_filter($answer['steps'], static fn (array $step): bool => str_starts_with($step['text'], 'Heat them through at 135'));
    expect($before !== [])->toBe($heatsThrough)->and(stepsOf($answer, 'core'))->toHaveCount(1);
    foreach (stepsOf($answer, 'dry') as $dry) {
        expect($dry['startsAfterMinutes'])->toBeGreaterThan(stepsOf($answer, 'core')[0]['startsAfterMinutes']);
    }
})->with([
    ['Bake at 95 °C fan for 3 hours.', true], ['Bake at 96 °C fan for 3 hours.', true], ['Bake at 100 °C fan for 3 hours.', false], ['Bake at 95 °C for 3 hours.', true], ['Bake at 100 °C for 3 hours.', false],
    ['Air fry at 90 for 2 hours.', true], ['Dehydrate at 60 degrees for 8 hours.', true], ['Bake at 180 for 20 minutes.', false],
]);

it('takes long and cool for what is meant from half as long again on', function (string $steps, int $celsius): void {
    // reckoned are 15 to 25 minutes at 175 °C
    expect(stepsOf(work(['recipe' => ['text' => '300 g oat flour', 'steps' => $steps], 'cut' => COIN]), 'heat')[0]['oven']['celsius'])->toBe($celsius);
})->with([['Bake at 80 °C for 30 minutes.', 175], ['Bake at 80 °C for 31 minutes.', 80], ['Bake at 115 °C for 10 minutes.', 115], ['Bake at 114 °C for 10 minutes.', 175], ['Bake at 235 °C for 10 minutes.', 235], ['Bake at 236 °C for 60 minutes.', 175]]);

it('knows which part a sentence is of by what only that part holds', function (): void {
    $answer = work(['recipe' => ['text' => "Bone broth:\n500 g chicken thighs\n1 l water\n\nFor the jelly:\n400 g of the broth\n8 g gelatin", 'steps' => 'Simmer the chicken for two hours. Strain. Cool, skim the fat. Sprinkle the gelatin on the cold broth and wait five minutes. Pour into moulds and leave to set.'], 'cut' => ['shape' => 'mould', 'cavityMl' => 20, 'cavities' => 12], 'bake' => ['texture' => 'none']]);
    $of = array_column($answer['steps'], 'part', 'text');
    expect([$of['Strain.'] ?? null, $of['Cool, skim the fat.'] ?? null, $of['Sprinkle the gelatin on the cold broth.'] ?? null, $of['Wait five minutes.'] ?? null])->toBe(['Bone broth', 'Bone broth', 'For the jelly', 'For the jelly'])
        // told once: what the sieve does and what cools is hers
        ->and(implode(' ', array_keys($of)))->not->toContain('what stays in the sieve')->not->toContain('lukewarm');
});

it('does not lay on twice what the maker lays on, and lets it set before it is put away', function (): void {
    $cake = static fn (string $then): array => work(['recipe' => ['text' => CAKE, 'steps' => "Beat the eggs into the applesauce.\nBake for 40 minutes.\nFor the frosting, beat the cream cheese.\n$then"], 'cut' => ['shape' => 'slices', 'count' => 16], 'bake' => ['texture' => 'cake']]);
    $texts = static fn (array $answer): string => implode(' ', array_column($answer['steps'], 'text'));
    expect($texts($cake('Cool the cake. Spread the frosting on it and chill for an hour to set.')))->toContain('Spread the frosting on it.')->not->toContain('Lay on what is made')
        ->and(stepsOf($cake('Cool the cake. Spread the frosting on it and chill for an hour to set.'), 'chill')[0]['minutes']['best'])->toEqual(60)
        ->and($texts($cake('Cool the cake.')))->toContain('Lay on what is made for it: frosting.')
        ->and(stepsOf($cake('Cool the cake. Freeze half for an hour.'), 'freeze'))->toBe([]);
});
