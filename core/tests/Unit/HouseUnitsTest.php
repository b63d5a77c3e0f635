<?php

declare(strict_types=1);

use MildBowl\Core\Contract\InUnits;
use MildBowl\Core\Telling\HouseUnits;

$american = new HouseUnits(true, true, 'F');
$metric = new HouseUnits(false, false, 'C');
$gas = new HouseUnits(false, false, 'gas');

it('says what core says in the units of the kitchen', function (string $said, string $as) use ($american): void {
    expect($american->sentence($said))->toBe($as);
})->with([
    ['Safe bite 25 mm.', 'Safe bite 15/16 in.'], ['30 mm against a safe bite of 25 mm', '1 3/16 in against a safe bite of 15/16 in'], ['Roll it to 8 mm or thinner.', 'Roll it to 5/16 in or thinner.'], ['no piece over 2.5 cm', 'no piece over 15/16 in'], ['a piece of 12 × 40 mm', 'a piece of ½ × 1 9/16 in'], ['20 × 20 × 6 mm', '13/16 × 13/16 × ¼ in'], ['Roll it 3 mm thin, 6 cm across', 'Roll it ⅛ in thin, 2⅜ in across'],
    ['At 12.5 kg grown: adult from 12 months', 'At 28 lb grown: adult from 12 months'], ['between 17 and 48 kg', 'between 37 lb and 106 lb'], ['8–11 kg', '17.6–24 lb'],
    ['Bake at 175 °C', 'Bake at 345 °F'], ['bring it to 71 °C at the core', 'bring it to 160 °F at the core'], ['160–180 °C', '320–355 °F'], ['60 to 65 °C', '140–149 °F'],
    // doses, shares and energies stay in the units they are known in
    ['0.1 g fresh per kg a day', '0.1 g fresh per kg a day'], ['2.8 g/kg', '2.8 g/kg'], ['at most 111 mg/kg', 'at most 111 mg/kg'], ['8 g per 100 kcal', '8 g per 100 kcal'], ['300 mg a day per kg of dog', '300 mg a day per kg of dog'],
    ['192 g of flour, 863 kcal', '192 g of flour, 863 kcal'], ['5 minutes', '5 minutes'], ['', ''],
]);

it('says every sixteenth of an inch as a ruler has it, and a bound never as more', function () use ($american): void {
    $ruler = ['1/16', '⅛', '3/16', '¼', '5/16', '⅜', '7/16', '½', '9/16', '⅝', '11/16', '¾', '13/16', '⅞', '15/16', '1', '1 1/16', '1⅛'];
    foreach ($ruler as $n => $inches) {
        $mm = round(($n + 1) / 16 * 25.4, 2);
        expect($american->sentence("roll it $mm mm thick"))->toBe("roll it $inches in thick")
            ->and($american->sentence('a safe bite of '.round($mm + 0.2, 2).' mm'))->toBe("a safe bite of $inches in")
            ->and($american->sentence('at most '.round($mm + 1.4, 2).' mm'))->toBe("at most $inches in")
            ->and($american->sentence(round($mm + 1.4, 2).' mm or thinner'))->toBe("$inches in or thinner");
    }
});

it('tells an oven from a core by its heat', function () use ($american, $gas): void {
    expect($american->sentence('at 105 °C'))->toBe('at 220 °F')->and($american->sentence('at 104 °C'))->toBe('at 219 °F')->and($gas->sentence('at 110 °C'))->toBe('at gas ¼')->and($gas->sentence('at 104 °C'))->toBe('at 104 °C');
});

it('turns a method whichever way it was written', function (string $words, string $american_, string $metric_, string $gas_) use ($american, $metric, $gas): void {
    expect($american->method($words))->toBe($american_)->and($metric->method($words))->toBe($metric_)->and($gas->method($words))->toBe($gas_);
})->with([
    ['Bake at 175 °C for 20 minutes.', 'Bake at 345 °F for 20 minutes.', 'Bake at 175 °C for 20 minutes.', 'Bake at gas 4 for 20 minutes.'],
    ['Bake at 350F for 20 minutes.', 'Bake at 350F for 20 minutes.', 'Bake at 175 °C for 20 minutes.', 'Bake at gas 4 for 20 minutes.'],
    ['Preheat to gas mark 4.', 'Preheat to 355 °F.', 'Preheat to 180 °C.', 'Preheat to gas mark 4.'],
    ['Cook to 160 °F inside.', 'Cook to 160 °F inside.', 'Cook to 71 °C inside.', 'Cook to 71 °C inside.'],
    ['Roll to 1/4 inch thick.', 'Roll to 1/4 inch thick.', 'Roll to 6 mm thick.', 'Roll to 6 mm thick.'],
    ['Roll to 6 mm and stamp out.', 'Roll to ¼ in and stamp out.', 'Roll to 6 mm and stamp out.', 'Roll to 6 mm and stamp out.'],
    ['Cut 1 1/2 inch rounds.', 'Cut 1 1/2 inch rounds.', 'Cut 38 mm rounds.', 'Cut 38 mm rounds.'],
    ['Add 2 cups of flour in 3 turns.', 'Add 2 cups of flour in 3 turns.', 'Add 2 cups of flour in 3 turns.', 'Add 2 cups of flour in 3 turns.'],
    ['Mix. Rest 30 minutes; add vitamin C.', 'Mix. Rest 30 minutes; add vitamin C.', 'Mix. Rest 30 minutes; add vitamin C.', 'Mix. Rest 30 minutes; add vitamin C.'],
]);

it('changes nothing in the units of core, and nothing twice', function () use ($american, $gas): void {
    $own = new HouseUnits(false, false, 'C');
    mt_srand(13);
    foreach (range(1, 400) as $n) {
        $said = ['bake at ', 'a dog of ', 'roll to ', 'keep ', 'cut '][mt_rand(0, 4)].mt_rand(1, 260).(mt_rand(0, 1) === 1 ? '.'.mt_rand(1, 9) : '').[' °C', ' kg', ' mm', ' g', ' minutes', ' kcal', ' cm', ' mg/kg', ' %'][mt_rand(0, 8)].' of it.';
        expect($own->sentence($said))->toBe($said);
        foreach ([$american, $gas] as $units) {
            $once = $units->sentence($said);
            expect($units->sentence($once))->toBe($once);
            // no figure of a unit that is not asked for is touched
            if (! preg_match('/ (?:°C|kg|mm|cm) /', $said)) {
                expect($once)->toBe($said);
            }
        }
    }
});

it('turns an answer\'s sentences and none of its figures, keys or the person\'s own words', function () use ($american): void {
    $answer = ['version' => 1, 'safeBiteMm' => 25, 'steps' => [['text' => 'Roll to 6 mm.', 'row' => 0]], 'lines' => [['text' => '25 mm', 'findings' => [['message' => 'over 25 mm', 'code' => '25 mm', 'figure' => null]]]], 'made' => ['at 10 kg', 'per kg'], 'sheet' => ['Quill, 12.5 kg']];
    expect((new InUnits($american))->answer($answer))->toBe(['version' => 1, 'safeBiteMm' => 25, 'steps' => [['text' => 'Roll to 6 mm.', 'row' => 0, 'shown' => 'Roll to ¼ in.']],
        'lines' => [['text' => '25 mm', 'findings' => [['message' => 'over 15/16 in', 'code' => '25 mm', 'figure' => null]]]], 'made' => ['at 22 lb', 'per kg'], 'sheet' => ['Quill, 12.5 kg']]);
    expect((new InUnits(new HouseUnits(false, false, 'C')))->answer($answer))->toBe($answer);
});
