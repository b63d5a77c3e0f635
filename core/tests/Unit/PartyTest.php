<?php

declare(strict_types=1);

use MildBowl\Core\Questions\FewestTreats;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

const PARTY_ROUNDS = ['id' => 'rounds', 'name' => 'Rounds', 'recipe' => ['text' => "300 g barley flour\n1 egg\n100 g water"], 'cut' => ['shape' => 'pieces', 'count' => 30], 'bake' => ['texture' => 'biscuit']];
const PARTY_COINS = ['id' => 'coins', 'name' => 'Coins', 'recipe' => ['text' => "400 g lean venison\n150 g parsnip"], 'cut' => ['shape' => 'pieces', 'count' => 40], 'bake' => ['texture' => 'soft']];
const PARTY_ICED = ['id' => 'iced', 'name' => 'Iced', 'recipe' => ['text' => "300 g cantaloupe melon\n50 g fennel"], 'cut' => ['shape' => 'pieces', 'count' => 20], 'bake' => ['texture' => 'frozen']];
const PARTY_REX = ['id' => 'rex', 'name' => 'Rex', 'weightKg' => 20, 'ageMonths' => 48];

/** @return array<string, mixed> */
function party(array $treats, array $more = []): array
{
    $answer = Asking::of('party', $more + ['version' => 1, 'dogs' => [PARTY_REX], 'treats' => $treats, 'on' => '2026-06-27']);
    expect(schemaErrors($answer, 'party-answer'))->toBe('');

    return $answer;
}

it('waits where it keeps, as long as it keeps there', function (array $treat, int $daysBefore, ?string $place, ?string $keepsUntil, array $kinds, array $more = []): void {
    $bakeOn = gmdate('Y-m-d', (int) strtotime("2026-06-27 -$daysBefore days UTC"));
    $plan = party([$treat + ['bakeOn' => $bakeOn]], $more)['treats'][0]['plan'];
    expect([$plan['place'], $plan['keepsUntil'], array_column($plan['steps'], 'kind')])->toBe([$place, $keepsUntil, $kinds])->and($plan['problem'] === null)->toBe($keepsUntil !== null);
})->with([
    // a biscuit: 10 days in a jar, 21 in the fridge, 120 in the freezer (keeping.csv)
    'eaten the same day' => [PARTY_ROUNDS, 0, null, '2026-07-18', ['bake', 'cool', 'serve']],
    'the last day of the jar' => [PARTY_ROUNDS, 10, 'jar', '2026-06-27', ['bake', 'cool', 'keep', 'serve']],
    'a day more: the fridge' => [PARTY_ROUNDS, 11, 'fridge', '2026-07-07', ['bake', 'cool', 'keep', 'serve']],
    'the last day of the fridge' => [PARTY_ROUNDS, 21, 'fridge', '2026-06-27', ['bake', 'cool', 'keep', 'serve']],
    'then the freezer, thawed the day before' => [PARTY_ROUNDS, 22, 'freezer', '2026-07-17', ['bake', 'cool', 'freeze', 'thaw', 'serve']],
    'the last day of the freezer is the day of thawing' => [PARTY_ROUNDS, 121, 'freezer', '2026-07-17', ['bake', 'cool', 'freeze', 'thaw', 'serve']],
    'too early' => [PARTY_ROUNDS, 122, null, null, ['bake', 'cool', 'serve']],
    'a warm kitchen has no jar for it' => [PARTY_ROUNDS, 5, 'fridge', '2026-07-13', ['bake', 'cool', 'keep', 'serve'], ['roomCelsius' => 26]],
    // moist with meat: no jar, 3 days in the fridge, 60 in the freezer
    'meat: the fridge' => [PARTY_COINS, 3, 'fridge', '2026-06-27', ['bake', 'cool', 'keep', 'serve']],
    'meat: a day more' => [PARTY_COINS, 4, 'freezer', '2026-06-29', ['bake', 'cool', 'freeze', 'thaw', 'serve']],
    // frozen: out of the freezer as it is eaten
    'iced' => [PARTY_ICED, 60, 'freezer', '2026-06-27', ['bake', 'freeze', 'serve']],
    'iced too early' => [PARTY_ICED, 61, null, null, ['bake', 'serve']],
    'on the way' => [PARTY_COINS, 1, 'fridge', '2026-06-29', ['bake', 'cool', 'keep', 'leave', 'serve'], ['transportMinutes' => 10]],
]);

it('is baked the day before where nobody says when, and on the day where it keeps not a night', function (): void {
    expect(party([PARTY_ROUNDS])['treats'][0]['plan']['bakeOn'])->toBe('2026-06-26')->and(party([PARTY_ICED])['treats'][0]['plan'])->toMatchArray(['bakeOn' => '2026-06-26', 'place' => 'freezer']);
});

it('begins on the day so early that it is cold when they leave, and says so where the day is too short', function (): void {
    $plan = party([PARTY_ROUNDS + ['bakeOn' => '2026-06-27']], ['at' => '15:00', 'transportMinutes' => 20])['treats'][0]['plan'];
    $at = array_column($plan['steps'], 'at', 'kind');
    $minutes = static fn (string $clock): int => 60 * (int) substr($clock, 0, 2) + (int) substr($clock, 3);
    expect($at['serve'])->toBe('15:00')->and($at['leave'])->toBe('14:40')->and($minutes($at['leave']) - $minutes($at['bake']))->toBe($plan['elapsedMinutes'])->and($minutes($at['cool']) - $minutes($at['bake']))->toBe($plan['coolMinutes']);
    $early = party([PARTY_ROUNDS + ['bakeOn' => '2026-06-27']], ['at' => '00:40'])['treats'][0]['plan'];
    expect($early['problem'])->toContain('begin the day before')->and(array_column($early['steps'], 'at', 'kind')['bake'])->toBeNull();
    // left to itself it is begun the day before
    expect(party([PARTY_ROUNDS], ['at' => '00:40'])['treats'][0]['plan'])->toMatchArray(['bakeOn' => '2026-06-26', 'problem' => null]);
    // they leave the evening before
    $night = party([PARTY_ROUNDS], ['at' => '00:10', 'transportMinutes' => 30])['treats'][0]['plan'];
    expect(array_column($night['steps'], 'on', 'kind')['leave'])->toBe('2026-06-26')->and(array_column($night['steps'], 'at', 'kind')['leave'])->toBe('23:40');
});

it('bakes whole batches for what is eaten and boxed, doubled for the holidays', function (float $boxed, int $times, float $left): void {
    $answer = party([PARTY_ROUNDS], ['dogs' => [], 'boxes' => [['for' => 'the boat', 'treat' => 'rounds', 'pieces' => $boxed]]]);
    expect($answer['treats'][0])->toMatchArray(['aBatch' => 30, 'times' => $times])->and($answer['treats'][0]['left'])->toEqualWithDelta($left, 1e-9)
        ->and($answer['treats'][0]['plan']['steps'][0]['text'])->toContain($times === 1 ? 'in all' : ($times === 2 ? 'doubled' : "$times batches"));
})->with([[30, 1, 0], [30.25, 2, 29.75], [60, 2, 0], [61, 3, 29]]);

it('takes longer for a second batch, by its time in the oven', function (): void {
    $of = static fn (float $pieces): int => party([PARTY_ROUNDS], ['dogs' => [], 'boxes' => [['for' => 'x', 'treat' => 'rounds', 'pieces' => $pieces]]])['treats'][0]['plan']['elapsedMinutes'];
    expect($of(60))->toBeGreaterThan($of(30))->and($of(90) - $of(60))->toBe($of(60) - $of(30));
});

it('gives what was said, in words too, as far as the dog may have it', function (int|float|string $said, float $pieces): void {
    $answer = party([PARTY_ROUNDS], ['shares' => [['dog' => 'rex', 'treat' => 'rounds', 'pieces' => $said]]]);
    expect($answer['guests'][0]['pieces'])->toEqualWithDelta($pieces, 1e-9);
})->with([[2, 2.0], [0.5, 0.5], ['half a piece', 0.5], ['a tenth', 3.0], [900, 0.0]]);

it('gives only a part of a piece to a dog that may not have a whole one', function (): void {
    $rich = ['id' => 'cake', 'name' => 'Cake', 'recipe' => ['text' => "300 g wheat flour\n3 eggs\n100 g rapeseed oil\n200 g mashed banana"], 'cut' => ['shape' => 'slices', 'count' => 6], 'bake' => ['texture' => 'cake']];
    $answer = party([$rich], ['dogs' => [['id' => 'pip', 'name' => 'Pip', 'weightKg' => 4, 'ageMonths' => 40]]]);
    expect($answer['guests'][0]['state'])->toBe('may')->and($answer['guests'][0]['pieces'])->toBeGreaterThan(0.0)->toBeLessThan(1.0)->and($answer['guests'][0]['daysWithout'])->toBeGreaterThanOrEqual(5)
        ->and($answer['treats'][0]['slices'][0]['parts'][0]['share'])->toBe($answer['guests'][0]['pieces']);
});

it('says when a box lasts a dog longer than it keeps, and begins it after what was borrowed', function (): void {
    $box = static fn (float $pieces): array => party([PARTY_COINS], ['boxes' => [['for' => 'Rex', 'dog' => 'rex', 'treat' => 'coins', 'pieces' => $pieces]]])['boxes'][0];
    $few = $box(2);
    expect($few['stops'])->toBeNull()->and($few['from'])->toBe('2026-06-28')->and($few['says'])->toBeNull()->and($few['keepsUntil'])->toBe('2026-06-29');
    $perDay = $few['piecesPerDay'];
    expect($box(2 * $perDay)['days'])->toBe(2)->and($box(2 * $perDay)['says'])->toBeNull()->and($box(2 * $perDay + 0.25)['days'])->toBe(3)->and($box(2 * $perDay + 0.25)['says'])->toContain('longer than it keeps')->toContain('29 June 2026');
});

it('fills no box with what must not be given: for the dog it is for, or for any', function (): void {
    $allergic = ['allergies' => ['gluten']] + PARTY_REX;
    $bad = ['id' => 'bad', 'recipe' => ['text' => "200 g oat flour\n50 g raisins"]] + PARTY_ROUNDS;
    $answer = party([PARTY_ROUNDS, $bad], ['dogs' => [$allergic], 'boxes' => [['for' => 'Rex', 'dog' => 'rex', 'treat' => 'rounds', 'pieces' => 9], ['for' => 'a boat', 'treat' => 'bad', 'pieces' => 9], ['for' => 'a boat', 'treat' => 'rounds', 'pieces' => 9]]]);
    expect($answer['boxes'][0]['stops'])->toContain('gluten')->and($answer['boxes'][1]['stops'])->not->toBeNull()->and($answer['boxes'][2]['stops'])->toBeNull()->and($answer['treats'][0]['pieces'])->toEqual(9)->and($answer['treats'][1]['pieces'])->toEqual(0);
});

it('asks first for a box as for a plate', function (): void {
    $box = static fn (array $unasked): array => party([PARTY_ROUNDS], ['unasked' => $unasked, 'boxes' => [['for' => 'Rex', 'dog' => 'rex', 'treat' => 'rounds', 'pieces' => 4]]])['boxes'][0]['ask'];
    expect($box([['dog' => 'rex', 'what' => ['allergies']]]))->toBe(['allergies'])->and($box([]))->toBe([]);
});

it('tells which label or vet could settle what stands against it', function (): void {
    $answer = party([PARTY_ROUNDS], ['dogs' => [['conditions' => ['heart']] + PARTY_REX, ['id' => 'ivy', 'name' => 'Ivy', 'allergies' => ['egg']] + PARTY_REX]]);
    expect(array_column($answer['treats'][0]['lacks'], 'confirmable', 'dog'))->toBe(['Rex' => true, 'Ivy' => false]);
});

it('finds the fewest sets that cover', function (array $serves, array $fewest): void {
    expect(FewestTreats::of($serves))->toBe($fewest);
})->with([
    'none' => [[], []], 'nobody' => [['a' => []], []], 'one for all' => [['a' => ['1'], 'b' => ['1', '2'], 'c' => ['2']], ['b']], 'the first of two alike' => [['a' => ['1', '2'], 'b' => ['1', '2']], ['a']],
    'the greedy way is longer' => [['big' => ['1', '2', '3', '4'], 'left' => ['1', '2', '5'], 'right' => ['3', '4', '6']], ['left', 'right']],
    'three' => [['a' => ['1', '2'], 'b' => ['2', '3'], 'c' => ['3', '4'], 'd' => ['5']], ['a', 'c', 'd']],
]);

it('names the place of what cannot be', function (array $more, string $path): void {
    try {
        Asking::of('party', $more + ['version' => 1, 'dogs' => [PARTY_REX], 'treats' => [PARTY_ROUNDS], 'on' => '2026-06-27']);
        $this->fail('It was taken.');
    } catch (RequestRefused $refused) {
        expect($refused->path)->toBe($path);
    }
})->with([
    [['treats' => []], '/treats'], [['treats' => [PARTY_ROUNDS, PARTY_ROUNDS]], '/treats/1/id'], [['treats' => [PARTY_ROUNDS + ['bakeOn' => '2026-06-28']]], '/treats/0/bakeOn'],
    [['on' => 'soon'], '/on'], [['at' => '24:00'], '/at'], [['transportMinutes' => -1], '/transportMinutes'],
    [['shares' => [['dog' => 'nobody']]], '/shares/0/dog'], [['shares' => [['dog' => 'rex', 'treat' => 'pie']]], '/shares/0/treat'], [['shares' => [['dog' => 'rex'], ['dog' => 'Rex']]], '/shares/1/dog'], [['shares' => [['dog' => 'rex', 'pieces' => 'plenty']]], '/shares/0/pieces'],
    [['boxes' => [['for' => 'x', 'treat' => 'pie', 'pieces' => 1]]], '/boxes/0/treat'], [['boxes' => [['for' => '', 'treat' => 'rounds', 'pieces' => 1]]], '/boxes/0/for'], [['boxes' => [['for' => 'x', 'treat' => 'rounds', 'pieces' => 0]]], '/boxes/0/pieces'],
    [['unasked' => [['dog' => 'rex', 'what' => ['name']]]], '/unasked/0/what/0'],
]);

it('says in words what is done, and how long it takes', function (): void {
    $texts = static fn (array $treat, array $more): array => array_column(party([$treat], $more)['treats'][0]['plan']['steps'], 'text', 'kind');
    $early = $texts(PARTY_COINS, ['transportMinutes' => 10]);
    expect($early['bake'])->toMatch('/^\d\d min in all\.$/')->and($texts(PARTY_ROUNDS, ['dogs' => [], 'boxes' => [['for' => 'x', 'treat' => 'rounds', 'pieces' => 300]]])['bake'])->toMatch('/^10 batches, \d h \d\d? min in all\.$/')->and($early['cool'])->toMatch('/^Let it get cold right through, .+ after you begin\.$/')->and($early['leave'])->toBe('On the way for 10 min, in a cool box with ice packs: it does not keep out of the fridge.');
    $rounds = $texts(PARTY_ROUNDS + ['bakeOn' => '2026-06-27'], ['transportMinutes' => 10, 'at' => '18:00']);
    expect($rounds['bake'])->toContain('in all, begun then at the latest.')->and($rounds['cool'])->toBe('Cold right through by then.')->and($rounds['leave'])->toContain('in a tin, out of the sun')->and($rounds['serve'])->toContain('Water for every dog');
    $iced = $texts(PARTY_ICED, ['transportMinutes' => 10]);
    expect($iced['bake'])->toStartWith('Without an oven, ')->and($iced['leave'])->toContain('cool box with ice packs.')->and($iced['serve'])->toContain('Straight from the cold');
});

it('takes as long as the plan of the work says, and the oven once more for each further batch', function (): void {
    $question = array_diff_key(PARTY_ROUNDS, ['id' => 1, 'name' => 1]) + ['version' => 1];
    $work = Asking::of('bake', ['version' => 1, 'question' => $question, 'trays' => 1]);
    $heat = array_sum(array_map(static fn (array $step): float => $step['kind'] === 'heat' ? $step['minutes']['high'] : 0.0, $work['steps']));
    $cold = max(array_map(static fn (array $step): float => $step['kind'] === 'cool' ? $step['startsAfterMinutes'] + $step['minutes']['best'] : 0.0, $work['steps']));
    $of = static fn (float $pieces): array => party([PARTY_ROUNDS], ['dogs' => [], 'boxes' => [['for' => 'x', 'treat' => 'rounds', 'pieces' => $pieces]]])['treats'][0]['plan'];
    expect($of(30)['elapsedMinutes'])->toBe($work['elapsedMinutes'])->and($of(30)['coolMinutes'])->toBe((int) ceil($cold - 1e-6))
        ->and($of(90)['elapsedMinutes'])->toBe($work['elapsedMinutes'] + (int) ceil(2 * $heat))->and($of(90)['coolMinutes'])->toBe((int) ceil($cold - 1e-6) + (int) ceil(2 * $heat));
});

it('gives one piece where nobody said how many, of the treat that was said', function (): void {
    $both = [PARTY_ROUNDS, PARTY_COINS];
    expect(party($both)['guests'][0])->toMatchArray(['treat' => 'rounds', 'pieces' => 1])
        ->and(party($both, ['shares' => [['dog' => 'rex', 'treat' => 'coins']]])['guests'][0])->toMatchArray(['treat' => 'coins', 'pieces' => 1]);
});

it('begins a box after the days that the occasion borrows', function (): void {
    $cake = ['id' => 'cake', 'name' => 'Cake', 'recipe' => ['text' => "300 g wheat flour\n3 eggs\n60 g rapeseed oil\n200 g mashed banana"], 'cut' => ['shape' => 'slices', 'count' => 12], 'bake' => ['texture' => 'cake']];
    $answer = party([$cake, PARTY_ROUNDS], ['dogs' => [['weightKg' => 10] + PARTY_REX], 'shares' => [['dog' => 'rex', 'treat' => 'cake', 'pieces' => 1]], 'boxes' => [['for' => 'Rex', 'dog' => 'rex', 'treat' => 'rounds', 'pieces' => 3]]]);
    $without = $answer['guests'][0]['daysWithout'];
    expect($without)->toBeGreaterThan(1)->and($answer['boxes'][0]['from'])->toBe(gmdate('Y-m-d', (int) strtotime('2026-06-28 +'.$without.' days UTC')));
});

it('fills no box for a dog whose day has no room for a piece, though an occasion has', function (): void {
    $rich = ['id' => 'cake', 'name' => 'Cake', 'recipe' => ['text' => "300 g wheat flour\n3 eggs\n100 g rapeseed oil\n200 g mashed banana"], 'cut' => ['shape' => 'slices', 'count' => 6], 'bake' => ['texture' => 'cake']];
    $answer = party([$rich], ['dogs' => [['id' => 'pip', 'name' => 'Pip', 'weightKg' => 4, 'ageMonths' => 40]], 'boxes' => [['for' => 'Pip', 'dog' => 'pip', 'treat' => 'cake', 'pieces' => 1]]]);
    expect($answer['guests'][0]['state'])->toBe('may')->and($answer['boxes'][0]['stops'])->not->toBeNull();
});

it('says of what was frozen that its rest is thrown away, of the other that it is frozen', function (string $bakeOn, string $says): void {
    expect(party([PARTY_COINS + ['bakeOn' => $bakeOn]], ['boxes' => [['for' => 'Rex', 'dog' => 'rex', 'treat' => 'coins', 'pieces' => 300]]])['boxes'][0]['says'])->toContain($says);
})->with([['2026-06-26', 'have the rest frozen'], ['2026-06-10', 'have the rest thrown away']]);

it('takes as many treats and boxes as it says', function (): void {
    $many = static fn (int $treats): array => array_map(static fn (int $n): array => ['id' => "t$n"] + PARTY_ROUNDS, range(1, $treats));
    expect(party($many(40))['treats'])->toHaveCount(40)->and(fn () => party($many(41)))->toThrow(RequestRefused::class)
        ->and(party([PARTY_ROUNDS], ['shares' => [['dog' => 'rex', 'pieces' => 1000]]])['guests'][0]['state'])->toBe('none')->and(fn () => party([PARTY_ROUNDS], ['shares' => [['dog' => 'rex', 'pieces' => '1001 pieces']]]))->toThrow(RequestRefused::class);
});

it('freezes what waits there, and leaves there what is eaten frozen', function (): void {
    $freeze = static fn (array $treat): string => array_column(party([$treat + ['bakeOn' => '2026-06-17']])['treats'][0]['plan']['steps'], 'text', 'kind')['freeze'];
    expect($freeze(PARTY_COINS))->toBe('Into the freezer once it is cold, with the date on it.')->and($freeze(PARTY_ICED))->toBe('It stays in the freezer until then.');
    $raw = ['id' => 'balls', 'name' => 'Balls', 'recipe' => ['text' => "200 g rolled oats\n120 g mashed banana"], 'cut' => ['shape' => 'pieces', 'count' => 20], 'bake' => ['texture' => 'none']];
    expect(party([$raw])['treats'][0]['plan']['steps'][0]['text'])->toStartWith('Without an oven, ');
});

it('refuses more boxes than can be asked about', function (): void {
    $boxes = static fn (int $many): array => ['boxes' => array_fill(0, $many, ['for' => 'x', 'treat' => 'rounds', 'pieces' => 1])];
    expect(party([PARTY_ROUNDS], $boxes(60))['boxes'])->toHaveCount(60)->and(fn () => party([PARTY_ROUNDS], $boxes(61)))->toThrow(RequestRefused::class);
});

/** Rex with a budget that is known, and coins of so many kcal that he borrows. @return array<string, mixed> what he gets */
function rexWith(float $ofBudget, array $taken): array
{
    $one = party([PARTY_COINS])['guests'][0];
    $pieces = $ofBudget * $one['budgetKcal'] / $one['kcal'];

    return party([PARTY_COINS], ['shares' => [['dog' => 'rex', 'pieces' => $pieces]], 'taken' => array_map(static fn (array $of): array => ['dog' => 'rex', 'on' => $of[0], 'kcal' => $of[1] * $one['budgetKcal'], 'for' => $of[2] ?? 'The fair'], $taken)])['guests'][0];
}

it('borrows around the days that another occasion took', function (float $ofBudget, array $taken, ?int $days, array $borrows, array $countedWith): void {
    $rex = rexWith($ofBudget, $taken);
    expect($rex['state'])->toBe($days === null ? 'none' : 'may')->and($rex['daysWithout'])->toBe($days)->and($rex['countedWith'])->toBe($countedWith)
        ->and(array_map(static fn (array $one): array => [$one['daysAfter'], round($one['kcal'] / ($rex['budgetKcal'] ?? 1.0), 3)], $rex['borrows']))->toEqual($borrows);
})->with([
    // so much of a day's budget, what is taken as parts of it; what is borrowed
    'a day' => [1.0, [], 0, [], []],
    'a hair over it' => [1.001, [], 1, [[1, 0.001]], []],
    'two days more' => [3.0, [], 2, [[1, 1.0], [2, 1.0]], []],
    'the day itself is taken' => [1.0, [['2026-06-27', 1.0]], 1, [[1, 1.0]], ['The fair']],
    'half of it' => [1.0, [['2026-06-27', 0.5]], 1, [[1, 0.5]], ['The fair']],
    'the next day is taken' => [2.0, [['2026-06-28', 1.0]], 2, [[1, 0.0], [2, 1.0]], ['The fair']],
    'the next day in part' => [2.0, [['2026-06-28', 0.25]], 2, [[1, 0.75], [2, 0.25]], ['The fair']],
    'a day that is not needed' => [2.0, [['2026-06-29', 1.0]], 1, [[1, 1.0]], []],
    'the last day it needs' => [3.0, [['2026-06-29', 1.0]], 3, [[1, 1.0], [2, 0.0], [3, 1.0]], ['The fair']],
    'more than a day has' => [2.0, [['2026-06-28', 4.0]], 2, [[1, 0.0], [2, 1.0]], ['The fair']],
    'of two occasions' => [2.0, [['2026-06-28', 0.5, 'The fair'], ['2026-06-28', 0.5, 'Advent']], 2, [[1, 0.0], [2, 1.0]], ['Advent', 'The fair']],
    'the seventh day' => [2.0, array_map(static fn (int $n): array => ["2026-06-2$n", 1.0], [8, 9]) + [2 => ['2026-06-30', 1.0], 3 => ['2026-07-01', 1.0], 4 => ['2026-07-02', 1.0], 5 => ['2026-07-03', 1.0]], 7, [[1, 0.0], [2, 0.0], [3, 0.0], [4, 0.0], [5, 0.0], [6, 0.0], [7, 1.0]], ['The fair']],
]);

it('refuses what the days that are left cannot give, and says with what it counted', function (): void {
    $week = array_map(static fn (int $n): array => [(new DateTimeImmutable("2026-06-27 +$n days"))->format('Y-m-d'), 1.0], range(1, 7));
    $rex = rexWith(2.0, $week);
    expect($rex['state'])->toBe('none')->and($rex['says'])->toContain('Even with seven days without other treats that is too much. Counted with what The fair takes from these days. At most')
        ->and(rexWith(2.0, [...array_slice($week, 0, 6), ['2026-07-04', 0.99]])['state'])->toBe('none')
        ->and(rexWith(1.0, $week))->toMatchArray(['state' => 'may', 'daysWithout' => 0])
        ->and(rexWith(2.0, [['2026-06-27', 0.3, 'The fair'], ['2026-06-28', 0.2, 'Advent']])['says'])->toContain('Counted with what Advent and The fair take from these days.');
});

it('spreads fat over no day that carries the fat of another occasion', function (): void {
    $rich = ['id' => 'rich', 'name' => 'Rich', 'recipe' => ['text' => "60 g plain flour\n200 g butter\n2 eggs"], 'cut' => ['shape' => 'pieces', 'count' => 60], 'bake' => ['texture' => 'biscuit']];
    $of = static fn (int|float $pieces, int ...$taken): array => party([$rich], [
        'shares' => [['dog' => 'rex', 'pieces' => $pieces]],
        'taken' => array_map(static fn (int $n): array => ['dog' => 'rex', 'on' => (new DateTimeImmutable("2026-06-27 +$n days"))->format('Y-m-d'), 'kcal' => 0, 'for' => 'The fair'], $taken),
    ])['guests'][0];
    // its energy would be one day; the fat of three pieces is two days' and that of six is three days'
    expect($of(3)['daysWithout'])->toBe(1)->and($of(6)['daysWithout'])->toBe(2)->and($of(6, 2)['daysWithout'])->toBe(3)->and($of(6, 0)['daysWithout'])->toBe(3)->and($of(6, 1, 2)['daysWithout'])->toBe(4)->and($of(6, 3)['daysWithout'])->toBe(2)
        ->and(array_column($of(3)['borrows'], 'kcal'))->toEqual([0])
        ->and($of(6, 1, 2, 3, 4, 5, 6))->toMatchArray(['state' => 'none', 'mostPieces' => $of(6, 0, 1, 2, 3, 4, 5)['mostPieces']])->and($of(6, 1, 2, 3, 4, 5, 6)['mostPieces'])->toBeLessThan(6.0)->and($of(6, 1, 2, 3, 4, 5, 6)['says'])->toContain('even spread over seven days.')->and($of(9)['says'])->toContain('never borrowed against')
        ->and($of(1, ...range(0, 7)))->toMatchArray(['state' => 'none', 'mostPieces' => 0.0]);
});

it('counts what a dog had that day', function (): void {
    $rex = party([PARTY_ROUNDS], ['dogs' => [PARTY_REX + ['alreadyToday' => ['kcal' => 30]]]])['guests'][0];
    $free = party([PARTY_ROUNDS])['guests'][0];
    expect($rex['leftKcal'])->toEqualWithDelta($free['leftKcal'] - 30, 1e-9)->and($free['leftKcal'])->toBe($free['budgetKcal'])->and($rex['mostPieces'])->toBeLessThan($free['mostPieces']);
});

it('names the place of what is taken and cannot be', function (array $one, string $path): void {
    expect(fn () => party([PARTY_ROUNDS], ['taken' => [$one + ['dog' => 'rex', 'on' => '2026-06-28', 'kcal' => 1, 'for' => 'The fair']]]))->toThrow(function (RequestRefused $refused) use ($path): void {
        expect($refused->path)->toBe($path);
    });
})->with([
    'the day before' => [['on' => '2026-06-26'], '/taken/0/on'],
    'the eighth day after' => [['on' => '2026-07-05'], '/taken/0/on'],
    'no day' => [['on' => 'soon'], '/taken/0/on'],
    'a dog that does not come' => [['dog' => 'max'], '/taken/0/dog'],
    'less than nothing' => [['kcal' => -1], '/taken/0/kcal'],
    'for nothing' => [['for' => ''], '/taken/0/for'],
    'something else' => [['grams' => 3], '/taken/0/grams'],
]);

it('takes the seventh day after and the day itself', function (string $on): void {
    expect(party([PARTY_ROUNDS], ['taken' => [['dog' => 'rex', 'on' => $on, 'kcal' => 1, 'for' => 'The fair']]])['guests'][0]['state'])->toBe('may');
})->with(['2026-06-27', '2026-07-04']);

it('says in words what is spent, borrowed and held back', function (float $ofBudget, string $says, float $grams): void {
    $dogs = [PARTY_REX + ['foodKcalPer100g' => 350]];
    $free = party([PARTY_COINS], ['dogs' => $dogs])['guests'][0];
    $rex = party([PARTY_COINS], ['dogs' => $dogs, 'shares' => [['dog' => 'rex', 'pieces' => $ofBudget * $free['budgetKcal'] / $free['kcal']]]])['guests'][0];
    expect($rex['says'])->toEndWith($says)->and($rex['holdBackGrams'])->toEqualWithDelta($grams, 0.05)
        // without a food that is known nothing of it is held back
        ->and($free['budgetKcal'])->toEqualWithDelta(105.9, 0.05)->and(party([PARTY_COINS])['guests'][0])->holdBackGrams->toBeNull();
})->with([
    'nothing is borrowed' => [1.0, ' kcal against 106 left today. Nothing is borrowed. Hold back 30 g of its food that day.', 105.92 / 3.5],
    'one day' => [1.5, ' kcal against 106 left today; then one day without other treats. Hold back 45 g of its food that day.', 158.88 / 3.5],
    // a quarter of 1059 kcal and no more
    'two days' => [2.6, ' kcal against 106 left today; then 2 days without other treats. Hold back 76 g of its food that day, a quarter of it and no more.', 264.8 / 3.5],
    'a crumb of it' => [0.01, ' kcal against 106 left today. Nothing is borrowed. Hold back 1 g of its food that day.', 0.303],
]);

it('finds the one day that is left, wherever it is', function (int $left): void {
    $taken = array_map(static fn (int $n): array => [(new DateTimeImmutable("2026-06-27 +$n days"))->format('Y-m-d'), 1.0], array_values(array_diff(range(1, 7), [$left])));
    expect(rexWith(2.0, $taken))->toMatchArray(['state' => 'may', 'daysWithout' => $left])->and(rexWith(2.02, $taken)['state'])->toBe('none')
        ->and(rexWith(1.0, [['2026-06-28', 1.0]])['countedWith'])->toBe([])->and(rexWith(1.5, [['2026-06-28', 0.1]])['countedWith'])->toBe(['The fair']);
})->with([1, 2, 6, 7]);

it('tells the most that the day and the week after it can give, in quarters', function (): void {
    $rex = party([PARTY_ROUNDS])['guests'][0];
    $ofWeek = 8 * $rex['budgetKcal'] / $rex['kcal'];
    expect($rex['mostPieces'])->toBe(floor($ofWeek * 4) / 4)->and(rexWith(1.0, [['2026-06-27', 1.5]])['leftKcal'])->toEqual(0)
        ->and(party([PARTY_ROUNDS], ['shares' => [['dog' => 'rex', 'pieces' => $rex['mostPieces'] + 0.25]]])['guests'][0])->state->toBe('none')->mostPieces->toBe($rex['mostPieces']);
});

it('gives nothing to a dog that is stopped, and to the others what they get without it', function (): void {
    $dogs = [PARTY_REX, ['id' => 'max', 'name' => 'Max', 'weightKg' => 12, 'ageMonths' => 40]];
    $why = 'It had raisins. Nothing more before a vet says so.';
    $answer = party([PARTY_ROUNDS, PARTY_COINS], ['dogs' => $dogs, 'stopped' => [['dog' => 'rex', 'why' => $why], ['dog' => 'rex', 'why' => 'Another word.']], 'shares' => [['dog' => 'rex', 'treat' => 'coins', 'pieces' => 2]], 'boxes' => [['for' => 'Rex', 'dog' => 'rex', 'treat' => 'coins', 'pieces' => 8]]]);
    expect($answer['guests'][0])->toMatchArray(['state' => 'none', 'says' => $why, 'pieces' => 0.0, 'mostPieces' => 0.0])->and($answer['boxes'][0]['stops'])->toBe($why)->and($answer['allServed'])->toBeFalse()
        ->and($answer['guests'][1])->toBe(party([PARTY_ROUNDS, PARTY_COINS], ['dogs' => $dogs])['guests'][1])
        ->and(array_map(static fn (array $one): array => array_column($one['serves'], 'dogId'), $answer['treats']))->toBe([['max'], ['max']])
        ->and(array_column(array_merge(...array_column($answer['treats'], 'lacks')), 'confirmable'))->toBe([false, false]);
    foreach ([['dog' => 'nobody', 'why' => 'x'], ['dog' => 'rex', 'why' => '']] as $wrong) {
        expect(fn () => party([PARTY_ROUNDS], ['stopped' => [$wrong]]))->toThrow(RequestRefused::class);
    }
});

it('tells what a share holds of whatever has a limit, by the piece', function (): void {
    $of = static fn (float $pieces): array => array_column(party([PARTY_ROUNDS], ['shares' => [['dog' => 'rex', 'pieces' => $pieces]]])['guests'][0]['holds'], 'amount', 'substance');
    [$one, $three] = [$of(1), $of(3)];
    expect(array_keys($one))->toContain('fatG', 'sodiumMg', 'calciumMg')->not->toContain('garlicG')->and(array_keys($three))->toBe(array_keys($one));
    foreach ($one as $substance => $amount) {
        expect($three[$substance])->toEqualWithDelta(3 * $amount, 1e-9);
    }
    expect(party([PARTY_ROUNDS], ['dogs' => [PARTY_REX + ['allergies' => ['gluten']]]])['guests'][0])->state->toBe('none')->holds->toBe([]);
});

it('spreads its fat over its own day where the fat of the other is counted there already', function (): void {
    $taken = static fn (bool $spreads): array => ['taken' => [['dog' => 'rex', 'on' => '2026-06-27', 'kcal' => 10, 'for' => 'The fair', 'spreads' => $spreads]]];
    expect(party([PARTY_COINS], $taken(false))['guests'][0])->daysWithout->toBe(0)->countedWith->toBe(['The fair'])
        ->and(party([PARTY_COINS], $taken(true))['guests'][0])->daysWithout->toBe(1);
});
