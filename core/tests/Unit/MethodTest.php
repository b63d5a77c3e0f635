<?php

declare(strict_types=1);

use MildBowl\Core\Making\Duration;
use MildBowl\Core\Making\Method;
use MildBowl\Core\Making\Place;
use MildBowl\Core\Making\Told;
use MildBowl\Core\Making\Warmth;
use MildBowl\Core\Tests\Support\Asking;

/** @return list<Told> what a method tells of a recipe of one dough */
function toldIn(string $steps): array
{
    $bowl = Asking::question((string) json_encode(['version' => 1, 'recipe' => ['text' => "300 g oat flour\n1 egg", 'steps' => $steps]]))->bowl();

    return Method::of($bowl->recipe, $bowl->parts)->ofPart($bowl->parts->body);
}

it('tells the acts of a method, with their times and heats', function (string $row): void {
    [$steps, $expected] = array_map(trim(...), explode('|', $row));
    $acts = array_map(static fn (Told $one): string => implode(' ', [
        $one->kind->value, $one->minutes === null ? '-' : rtrim(rtrim(number_format($one->minutes->low, 1, '.', ''), '0'), '.').'-'.rtrim(rtrim(number_format($one->minutes->high, 1, '.', ''), '0'), '.'), $one->heat === null ? '-' : round($one->heat->celsius),
    ]), toldIn($steps));
    expect(implode('; ', $acts))->toBe($expected);
})->with(fn (): array => cases('methods.txt'));

it('loses no word of what it takes for an act', function (): void {
    foreach (cases('methods.txt') as $row) {
        [$steps] = array_map(trim(...), explode('|', $row));
        $acts = toldIn($steps);
        $words = static fn (string $text): array => preg_split('/[^\p{L}\d]+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $kept = $words(implode(' ', array_map(static fn (Told $one): string => $one->text, $acts)));
        foreach ($acts === [] ? [] : $words($steps) as $word) {
            if (! in_array($word, ['and', 'then', 'to', 'or', 'oven', '180'], true)) {
                expect($kept)->toContain($word);
            }
        }
    }
});

it('writes the minutes that it took where the method tells them, and nothing else', function (string $steps, string $expected): void {
    expect(Method::withMinutes($steps, 24))->toBe($expected);
})->with([
    ['Bake at 175 °C for 20 minutes, turning once.', 'Bake at 175 °C for 24 minutes, turning once.'],
    ["Rest 20 minutes.\nBake for 18–20 min.\nCool for 20 minutes.", "Rest 20 minutes.\nBake for 24 minutes.\nCool for 20 minutes."],
    ['Bake 20 minutes, look after 15 minutes.', 'Bake 24 minutes, look after 15 minutes.'],
    ['Simmer for 20 minutes. Mix.', "Simmer for 20 minutes. Mix.\nBake for 24 minutes."],
    ['', 'Bake for 24 minutes.'],
]);

it('tells which times are of no step', function (): void {
    $one = static fn (string $text): Duration => Duration::in($text)[0];
    expect($one('look every five minutes')->isEvery())->toBeTrue()
        ->and($one('after about 10 minutes')->isAfter())->toBeTrue()
        ->and($one('within 2 hours')->isOfKeeping())->toBeTrue()
        ->and($one('for 5 minutes')->isEvery() || $one('for 5 minutes')->isAfter() || $one('for 5 minutes')->isOfKeeping())->toBeFalse()
        ->and(Duration::in('for 3 weeks, or 10 days'))->toBe([])
        ->and(Duration::in('cut 3 cm hearts'))->toBe([])
        ->and($one('two or three minutes')->minutes->high)->toEqual(3);
});

it('tells the heat of an oven from that of a core', function (string $text, array $expected): void {
    expect(array_map(static fn (Warmth $one): array => [(int) round($one->celsius), $one->isOfCore], Warmth::in($text)))->toBe($expected);
})->with([
    ['at 175 °C (350 °F)', [[175, false]]],
    ['until 74 °C in the middle', [[74, true]]],
    ['bake at 190 °C until a probe shows 71 °C', [[190, false], [71, true]]],
    ['at 160 °C fan', [[180, false]]],
    ['gas mark 5', [[190, false]]],
    ['gas ½', [[130, false]]],
    ['gas ¼', [[110, false]]],
    ['350 degrees', [[177, false]]],
    ['250 g of it', []],
    ['roll it to 6 mm', []],
]);

it('reads a heat without a verb whatever letters stand behind it', function (int $letters): void {
    $acts = toldIn('Cut squares, 170 for half an hour '.str_repeat('x', $letters).'ééé½ more');
    expect(array_map(static fn (Told $one): string => $one->kind->value, $acts))->toBe(['shape', 'heat'])
        ->and($acts[1]->minutes?->best)->toEqual(30)->and($acts[1]->heat?->celsius)->toEqual(170);
})->with(range(0, 24));

it('tells when in the heat an act is done', function (): void {
    $of = static fn (string $steps): Told => toldIn($steps)[1];
    expect($of('Bake 20 minutes, turning half-way.')->isTimed())->toBeTrue()
        ->and($of('Bake 20 minutes, turning once.')->isTimed())->toBeFalse()
        ->and($of('Bake 20 minutes, look every five minutes.')->isTimed())->toBeTrue()
        ->and($of('Bake 20 minutes, after ten minutes turn the tray.')->after)->toEqual(10);
});

it('knows what makes a dough, or pieces of one, from what is done to baked things', function (string $verb, bool $makes): void {
    expect(toldIn(ucfirst($verb).' it on the tray.')[0]->makesADough())->toBe($makes);
})->with([
    ...array_map(static fn (string $verb): array => [$verb, true], ['mix', 'knead', 'roll', 'shape', 'form', 'press', 'spread', 'pipe', 'drop', 'pour', 'fill', 'flatten', 'divide', 'spoon', 'scoop', 'stamp', 'mould', 'portion']),
    ...array_map(static fn (string $verb): array => [$verb, false], ['cut', 'brush', 'dip', 'lay', 'score', 'sprinkle', 'mash', 'chill', 'bake']),
]);

it('knows in what it is heated by its words', function (string $words, ?string $where): void {
    expect(Place::named($words))->toBe($where);
})->with(static function (): array {
    $rows = array_map(static fn (string $row): array => explode(',', $row), array_slice(file(__DIR__.'/../../data/work-places.csv', FILE_IGNORE_NEW_LINES) ?: [], 1));

    return [...array_map(static fn (array $row): array => ["put it: $row[0], and wait", $row[1]], $rows), ['fried on both sides', null], ['a boiler', null], ['in a pan', null], ['microwaved', 'microwave'], ['simmering', 'hob']];
});
