<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Doughs;
use MildBowl\Core\Tests\Support\Panel;

/** @return array<string, mixed> */
function advice(string $text, array $more = []): array
{
    $answer = Asking::of('dough', $more + ['version' => 1, 'recipe' => ['text' => $text]]);
    expect(schemaErrors($answer, 'dough-answer'))->toBe('');

    return $answer;
}

const ROLLED = ['cut' => ['shape' => 'round', 'diameterMm' => 30, 'thicknessMm' => 6]];

it('feels the doughs every baker knows as the hand does: two thirds exactly, 95 % at least as a neighbour', function (string $set): void {
    $of = $exact = $near = 0;
    foreach (Doughs::all() as $dough) {
        if ($dough['set'] === $set) {
            $felt = Doughs::bowl($dough['dough'])->dough->feel()?->word;
            $of++;
            $exact += in_array($felt, $dough['says'], true) ? 1 : 0;
            $near += in_array($felt, $dough['says'], true) || Panel::isNear($felt, $dough['says'][0]) ? 1 : 0;
        }
    }
    expect($exact / $of)->toBeGreaterThanOrEqual(2 / 3)->and($near / $of)->toBeGreaterThanOrEqual(0.95);
})->with(['reference', 'own']);

it('wets a flour by what is free: a syrup with its mass, a purée less than water, a whole root hardly, oil a little', function (): void {
    $wetness = static fn (string $line): float => answer("200 g plain flour\n$line")['batch']['wetness'];
    expect($wetness('100 g water'))->toBeGreaterThan($wetness('100 g plain pumpkin purée'))
        ->and($wetness('100 g plain pumpkin purée'))->toBeGreaterThan($wetness('100 g carrot, grated'))
        ->and($wetness('100 g carrot, grated'))->toBeGreaterThan($wetness('100 g carrot, diced'))
        ->and($wetness('100 g honey'))->toBeGreaterThan(100 * 0.171 / 200 * $wetness('100 g water') / 0.5)
        ->and($wetness("100 g water\n20 g olive oil"))->toBeGreaterThan($wetness('100 g water'))
        ->and($wetness("100 g water\n40 g peanut butter"))->toBeGreaterThan($wetness('100 g water'));
});

it('is made no drier by more of anything wet, and no wetter by more flour', function (): void {
    $text = "200 g oat flour\n1 large egg\n60 g water\n50 g carrot, grated";
    $before = answer($text)['batch']['wetness'];
    foreach (['30 g water', '1 egg', '2 tbsp plain yogurt', '1 tbsp honey', '50 g mashed banana', '40 g unsweetened apple purée', '1 tbsp olive oil'] as $wet) {
        expect(answer("$text\n$wet")['batch']['wetness'])->toBeGreaterThan($before, $wet);
    }
    foreach (['30 g oat flour', '2 tbsp chia seeds', '1 tbsp coconut flour', '20 g breadcrumbs'] as $dry) {
        expect(answer("$text\n$dry")['batch']['wetness'])->toBeLessThan($before, $dry);
    }
});

it('judges a dough of meat by what binds it, from four tenths of meat on', function (string $text, ?string $feel): void {
    $batch = answer($text)['batch'];
    expect($batch['feel'])->toBe($feel)->and($batch['wetness'] === null)->toBe(in_array($feel, ['holds, rolls', 'soft, shape with wet hands', 'loose, spread it'], true));
})->with([
    ["500 g minced turkey\n75 g oat flour", 'holds, rolls'],
    ["500 g minced turkey\n80 g oat flour", 'holds, rolls'],
    ["500 g minced turkey\n74 g oat flour", 'soft, shape with wet hands'],
    ["500 g minced turkey\n35 g breadcrumbs", 'soft, shape with wet hands'],
    ["500 g minced turkey\n28 g breadcrumbs", 'loose, spread it'],
    ["500 g minced turkey\n90 g oat flour\n300 g water", 'soft, shape with wet hands'],
    ["400 g minced turkey\n600 g oat flour", 'crumbles'],
    ["400 g liquidised chicken liver\n300 g rice flour", 'spread in a tray'],
    ["300 g cooked chicken, diced\n60 g oat flour", 'holds, rolls'],
]);

it('says what to work in, in spoons, towards what the shape wants', function (string $text, array $more, string $ingredient, string $wants): void {
    $answer = advice($text, $more);
    expect($answer['add']['ingredient'])->toBe($ingredient)->and($answer['wants'])->toBe($wants)->and($answer['add']['text'])->toMatch('/tsp|tbsp|cup/');
})->with([
    'too dry to roll' => ["200 g oat flour\n100 g water", ROLLED + ['feels' => 'crumbles'], 'water', 'stiff, rolls with effort'],
    'too dry, by the sum' => ["2 cups oat flour\n1 large egg", ROLLED, 'water', 'stiff, rolls with effort'],
    'too wet to roll' => ["200 g oat flour\n100 g water", ROLLED + ['feels' => 'tacky, drop or ball'], 'oat-flour', 'rolls cleanly'],
    'too wet for drops' => ["200 g plain flour\n320 g milk", ['cut' => ['shape' => 'scoop', 'ml' => 15]], 'white-flour', 'spread in a tray'],
    'too stiff for a batter' => ["200 g plain flour\n120 g milk\n1 egg", ['cut' => ['shape' => 'slices', 'count' => 8], 'bake' => ['texture' => 'cake'], 'feels' => 'rolls cleanly'], 'water', 'tacky, drop or ball'],
    'meat that is loose' => ['500 g minced beef', ['cut' => ['shape' => 'ball', 'diameterMm' => 25]], 'rolled-oats', 'soft, shape with wet hands'],
]);

it('leaves a dough alone that is right for what is made of it', function (string $text, array $more): void {
    expect(advice($text, $more))->toMatchArray(['fits' => true, 'add' => null]);
})->with([
    'pancakes pour' => ["200 g plain flour\n280 g milk\n2 eggs", ['recipe' => ['text' => "200 g plain flour\n280 g milk\n2 eggs", 'parts' => [['section' => null, 'process' => 'griddle']]], 'cut' => ['shape' => 'round', 'diameterMm' => 80, 'thicknessMm' => 6], 'bake' => ['texture' => 'soft']]],
    'a cake is poured' => ["200 g plain flour\n280 g milk\n2 eggs", ['cut' => ['shape' => 'slices', 'count' => 8], 'bake' => ['texture' => 'cake']]],
    'drops hold' => ["200 g rolled oats\n240 g mashed banana\n10 g water", ['cut' => ['shape' => 'scoop', 'ml' => 15]]],
    'rolls' => ["300 g whole wheat flour\n195 g water", ROLLED],
    'a meat that holds' => ["500 g minced pork\n90 g oat flour", ['cut' => ['shape' => 'ball', 'diameterMm' => 25]]],
]);

it('never asks for more than a hand would do', function (): void {
    foreach (['300 g plain flour' => [20, 60, 100, 140, 200, 260, 320, 400], '150 g coconut flour' => [60, 150, 300, 450], '200 g rolled oats' => [10, 80, 160, 320]] as $flour => $waters) {
        foreach ($waters as $water) {
            $text = "$flour\n$water g water";
            $answer = advice($text, ROLLED);
            $dough = answer($text)['batch']['doughGrams']['best'];
            expect($answer['add']['grams'] ?? 0.0)->toBeLessThanOrEqual(0.15 * $dough + 1e-6, $text);
            if ($answer['fits'] === false && $answer['add'] === null) {
                expect($answer['says'])->toContain('over a quarter of the dough');
            }
        }
    }
});

it('comes closer with every addition, and ends where it is right', function (): void {
    $text = "300 g plain flour\n90 g water";
    for ($round = 0; $round < 4 && ($answer = advice($text, ROLLED))['add'] !== null; $round++) {
        $text .= "\n{$answer['add']['text']}";
    }
    expect($answer['fits'])->toBeTrue($text);
});

it('shows how far the flour may give way to the meat', function (): void {
    $balance = advice("400 g minced turkey\n200 g oat flour\n1 egg")['balance'];
    $holds = array_column($balance['points'], 'holds');
    expect($balance['points'][$balance['now']]['meatGrams'])->toEqualWithDelta(400, 20)
        ->and($holds[$balance['stops']])->toBeTrue()
        ->and($holds[$balance['stops'] + 1])->toBeFalse()
        ->and($balance['says'])->toContain('It holds up to');
    foreach ($balance['points'] as $point) {
        expect($point['meatGrams'] + $point['flourGrams'])->toEqualWithDelta(600, 1e-6);
        $written = answer("{$point['meatText']}\n{$point['flourText']}\n1 egg")['batch']['feel'];
        expect($written)->toBe($point['feel'], "{$point['meatText']}, {$point['flourText']}");
    }
    expect(advice("300 g plain flour\n160 g water")['balance'])->toBeNull();
});

it('says up to where it holds without a break, whatever is in it besides', function (): void {
    $broken = 0;
    foreach (['', "\n100 g mashed banana\n2 eggs", "\n200 g pumpkin purée", "\n100 g water", "\n60 g rapeseed oil\n1 egg"] as $more) {
        foreach ([[50, 300], [150, 200], [200, 250], [400, 60], [300, 300]] as [$meat, $flour]) {
            $balance = advice("$meat g minced turkey\n$flour g oat flour$more")['balance'];
            $holds = array_column($balance['points'], 'holds');
            expect($balance['points'][$balance['now']]['meatGrams'])->toEqualWithDelta($meat, 1e-9);
            if ($balance['stops'] === null) {
                expect(end($holds) || ! in_array(true, $holds, true))->toBeTrue($balance['says']);

                continue;
            }
            expect($holds[$balance['stops']])->toBeTrue()->and($holds[$balance['stops'] + 1])->toBeFalse();
            // where it holds as it is, nothing between here and there gives way
            expect($holds[$balance['now']] && in_array(false, array_slice($holds, $balance['now'], $balance['stops'] - $balance['now'] + 1), true))->toBeFalse($balance['says']);
            $again = in_array(true, array_slice($holds, $balance['stops'] + 1), true);
            expect(str_contains($balance['says'], 'the meat itself binds it'))->toBe($again, $balance['says']);
            $broken += $again ? 1 : 0;
        }
    }
    expect($broken)->toBeGreaterThan(0);
});
