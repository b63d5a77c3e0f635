<?php

declare(strict_types=1);

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Generated;

/** @param  list<array<string, mixed>>  $bakes  @return array<string, array<string, mixed>> by "class of" */
function lessons(array $bakes): array
{
    $request = ['version' => 1, 'bakes' => $bakes];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'learn-request'))->toBe('');
    $answer = Asking::of('learn', $request);
    expect(schemaErrors($answer, 'learn-answer'))->toBe('');

    return array_combine(array_map(static fn (array $one): string => "{$one['class']} {$one['of']}", $answer['learned']), $answer['learned']);
}

/** @return list<array<string, mixed>> so many bakes of one class, a week apart, whose minutes came to these shares of the plan */
function bakes(array $shares, string $class = 'biscuit'): array
{
    return array_map(static fn (float $share, int $n): array => ['on' => sprintf('2026-05-%02d', $n + 1), 'class' => $class, 'plannedMinutes' => 20, 'actualMinutes' => 20 * $share], $shares, array_keys($shares));
}

it('takes the middle of the newest five of a class, and says how far they went', function (array $shares, ?float $factor, int $from, float $low, float $high, string $says): void {
    $lesson = lessons(bakes($shares))['biscuit minutes'];
    expect([round($lesson['factor'] ?? -1, 9), $lesson['from'], round($lesson['low'], 9), round($lesson['high'], 9), $lesson['says']])->toEqual([$factor ?? -1, $from, $low, $high, $says]);
})->with([
    'as the contract tells it' => [[1.02, 1.10, 1.20, 1.20], 1.15, 4, 1.02, 1.20, 'your last 4 biscuit bakes: 15 % longer'],
    'one is none' => [[1.5], null, 1, 1.5, 1.5, 'your one biscuit bake: 50 % longer; from two on it can be reckoned with'],
    'two' => [[0.8, 1.0], 0.9, 2, 0.8, 1.0, 'your last 2 biscuit bakes: 10 % shorter'],
    'the sixth is forgotten' => [[9, 1.1, 1.2, 1.3, 1.4, 1.5], 1.3, 5, 1.1, 1.5, 'your last 5 biscuit bakes: 30 % longer'],
    'one that burnt moves nothing' => [[1, 1, 1, 1, 3], 1.0, 5, 1.0, 3.0, 'your last 5 biscuit bakes: as planned'],
]);

it('learns of four things, each from the bakes that measured it', function (): void {
    $lessons = lessons([
        ['on' => '2026-05-01', 'class' => 'biscuit', 'plannedMinutes' => 20, 'actualMinutes' => 23, 'computedBakedGrams' => 380, 'bakedGrams' => 372, 'computedCount' => 66, 'count' => 61, 'wetness' => 0.98, 'felt' => 'tacky'],
        ['on' => '2026-05-08', 'class' => 'biscuit', 'plannedMinutes' => 20, 'actualMinutes' => null, 'computedBakedGrams' => 400, 'bakedGrams' => 400, 'computedCount' => 0, 'count' => 12, 'wetness' => 1.0, 'felt' => 'tacky, drop or ball'],
        ['on' => '2026-05-09', 'class' => 'biscuit', 'wetness' => 1.0, 'felt' => 'shapes'],
        ['on' => '2026-05-09', 'class' => 'cake', 'felt' => 'rolls'],
    ]);
    expect(array_keys($lessons))
        ->toBe(['biscuit minutes', 'biscuit mass', 'biscuit count', 'biscuit wetness'])
        ->and([$lessons['biscuit minutes']['from'], $lessons['biscuit mass']['from'], $lessons['biscuit count']['from'], $lessons['biscuit wetness']['from']])
        ->toBe([1, 2, 1, 2])
        ->and($lessons['biscuit mass']['factor'])
        ->toEqualWithDelta((372 / 380 + 1) / 2, 1e-12)
        ->and($lessons['biscuit wetness']['factor'])
        ->toEqualWithDelta((1.19 / 0.98 + 1.19) / 2, 1e-12)
        ->and($lessons['biscuit count']['says'])
        ->toContain('8 % fewer pieces');
});

it('keeps a middle of every feel of a dough of flour within it', function (): void {
    foreach (Feel::all() as $feel) {
        expect($feel->middle())->toBeGreaterThanOrEqual(max(0.6, $feel->from()))->toBeLessThanOrEqual(min(2.2, $feel->below));
    }
    expect(array_map(static fn (Feel $feel): ?float => $feel->middle(), Feel::all()))->toBe([0.60, 0.84, 1.00, 1.19, 1.55, 2.00])
        ->and(Feel::called('holds')?->middle())->toBeNull();
});

it('learns the same whatever the order the bakes are told in, and each class by itself', function (): void {
    always(60, static function (Generated $made): ?string {
        $bakes = [];
        foreach (range(1, $made->number(1, 14)) as $n) {
            $bakes[] = ['on' => sprintf('2026-%02d-%02d', $made->number(1, 12), $n), 'class' => $made->one(['biscuit', 'cake', 'jerky']), 'plannedMinutes' => $made->number(0, 30), 'actualMinutes' => $made->number(1, 60), 'computedCount' => $made->number(0, 90), 'count' => $made->one([null, $made->number(1, 90)])];
        }
        $all = lessons($bakes);
        if ($all != lessons(array_reverse($bakes))) {
            return 'the order matters';
        }
        foreach ($all as $key => $lesson) {
            $alone = lessons(array_values(array_filter($bakes, static fn (array $one): bool => $one['class'] === $lesson['class'])));
            if ($alone[$key] !== $lesson || ($lesson['factor'] !== null && ($lesson['factor'] < $lesson['low'] || $lesson['factor'] > $lesson['high']))) {
                return "$key: ".json_encode($lesson);
            }
        }

        return null;
    });
});

it('refuses a log that cannot be', function (array $bake, string $path, string $says): void {
    $refused = null;
    try {
        Asking::of('learn', ['version' => 1, 'bakes' => [$bake + ['on' => '2026-05-01', 'class' => 'biscuit']]]);
    } catch (MildBowl\Core\Questions\RequestRefused $refused) {
    }
    expect($refused?->path)->toBe($path)->and($refused?->getMessage())->toContain($says);
})->with([
    [['on' => '2026-02-30'], '/bakes/0/on', 'a date'],
    [['class' => ' '], '/bakes/0/class', 'must not be empty'],
    [['felt' => 'lovely'], '/bakes/0/felt', 'No dough feels so. There are: crumbles, stiff'],
    [['count' => -3], '/bakes/0/count', 'from 0'],
    [['minutes' => 3], '/bakes/0/minutes', 'Nobody knows the key "minutes"'],
]);

const LEARNT = ['cut' => ['shape' => 'round', 'diameterMm' => 20, 'thicknessMm' => 6], 'bake' => ['texture' => 'biscuit'], 'oven' => ['fan' => false], 'dogs' => []];

/** @return array<string, mixed> */
function learnt(string $of, float $factor, string $class = 'biscuit', array $more = []): array
{
    return answer("300 g oat flour\n100 g pumpkin puree\n1 large egg", $more + LEARNT + ['learned' => [['of' => $of, 'class' => $class, 'factor' => $factor]]]);
}

it('reckons with what was learned and accepted, and nothing else moves', function (): void {
    $plain = learnt('minutes', 1.0);
    $minutes = static fn (array $answer): array => [$answer['portions'][0]['heat']['stages'][0]['minutesLow'], $answer['portions'][0]['heat']['stages'][0]['minutesHigh'], $answer['portions'][0]['heat']['stages'][0]['firstLookMinutes']];
    expect($minutes($plain))->toBe([15, 25, 12])
        ->and($minutes(learnt('minutes', 1.2)))->toBe([18, 30, 14])
        ->and(learnt('minutes', 1.2)['piece'])->toBe($plain['piece'])
        ->and(learnt('mass', 0.9)['batch']['bakedGrams']['best'])->toEqualWithDelta(0.9 * $plain['batch']['bakedGrams']['best'], 1e-6)
        ->and(learnt('mass', 0.9)['piece']['kcal'])->toBe($plain['piece']['kcal'])
        ->and(learnt('mass', 9)['batch']['bakedGrams'])->toEqual($plain['batch']['doughGrams'])
        ->and(learnt('count', 0.9)['piece']['count']['best'])->toEqualWithDelta(0.9 * $plain['piece']['count']['best'], 1e-6)
        ->and(learnt('count', 0.9)['piece']['kcal']['best'])->toEqualWithDelta($plain['piece']['kcal']['best'] / 0.9, 1e-6)
        ->and(learnt('count', 0.9)['batch']['kcal'])->toEqual($plain['batch']['kcal'])
        ->and(learnt('count', 0.9, more: ['cut' => ['shape' => 'pieces', 'count' => 40]])['piece']['count']['best'])->toEqual(40)
        ->and(learnt('wetness', 1.3)['batch']['wetness'])->toEqualWithDelta(1.3 * $plain['batch']['wetness'], 1e-9)
        ->and(learnt('wetness', 1.3)['batch']['feel'])->not->toBe($plain['batch']['feel'])
        ->and(array_column(learnt('minutes', 1.12)['assumptions'], 'message'))->toContain('As your kitchen learned of biscuit treats: 12 % longer (time in the heat).');
});

it('reckons with it for its own class only, and a weighed figure overrules it', function (): void {
    $plain = learnt('minutes', 1.0, 'cake');
    foreach (['minutes', 'mass', 'count', 'wetness'] as $of) {
        expect(learnt($of, 1.5, 'cake'))->toBe($plain);
    }
    $measured = ['measured' => ['count' => 50, 'bakedGrams' => 333]];
    expect(learnt('mass', 0.8, more: $measured)['batch']['bakedGrams']['best'])->toEqual(333)
        ->and(learnt('count', 0.8, more: $measured)['piece']['count']['best'])->toEqual(50);
});

it('lets advice believe how wet such doughs turn out here', function (): void {
    $advice = static fn (float $factor): array => Asking::of('dough', ['version' => 1, 'recipe' => ['text' => "300 g oat flour\n100 g pumpkin puree\n1 large egg"], 'learned' => [['of' => 'wetness', 'class' => 'biscuit', 'factor' => $factor]]] + array_diff_key(LEARNT, ['dogs' => 1]));
    expect($advice(1.3)['wetness'])->toEqualWithDelta(1.3 * $advice(1.0)['wetness'], 1e-9);
});

it('refuses what nobody can have learned', function (array $learned, string $path): void {
    expect(refusalOf('formulate', ['learned' => $learned])->path)->toBe($path);
})->with([
    [[['of' => 'taste', 'class' => 'biscuit', 'factor' => 1]], '/learned/0/of'],
    [[['of' => 'mass', 'class' => '', 'factor' => 1]], '/learned/0/class'],
    [[['of' => 'mass', 'class' => 'biscuit', 'factor' => 0]], '/learned/0/factor'],
    [[['of' => 'mass', 'class' => 'biscuit', 'factor' => 11]], '/learned/0/factor'],
    [[['of' => 'mass', 'class' => 'biscuit', 'factor' => 1], ['of' => 'mass', 'class' => 'biscuit', 'factor' => 1.1]], '/learned/1'],
]);
