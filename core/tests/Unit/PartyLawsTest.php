<?php

declare(strict_types=1);

use MildBowl\Core\Tests\Support\Asking;

/*
 * What must hold for every occasion, whoever comes and whatever is served: pieces are neither lost nor made of air, every dog is told of
 * once, no set with fewer treats does as much, nobody's coming changes what another may have, and the plan runs forward in time.
 */

const SERVED = [
    'rounds' => ['recipe' => ['text' => "2 cups barley flour\n1 egg\n100 g beetroot\n60 g water"], 'cut' => ['shape' => 'pieces', 'count' => 30], 'bake' => ['texture' => 'hard']],
    'coins' => ['recipe' => ['text' => "400 g lean venison\n150 g parsnip"], 'cut' => ['shape' => 'pieces', 'count' => 40], 'bake' => ['texture' => 'soft']],
    'cake' => ['recipe' => ['text' => "180 g whole wheat flour\n200 g mashed banana\n2 eggs\n50 g rapeseed oil\n150 g low-fat cream cheese"], 'cut' => ['shape' => 'slices', 'count' => 12], 'bake' => ['texture' => 'cake']],
    'squares' => ['recipe' => ['text' => "200 g sorghum flour\n1 pear\n80 g water"], 'cut' => ['shape' => 'pieces', 'count' => 24], 'bake' => ['texture' => 'biscuit']],
    'melon' => ['recipe' => ['text' => "300 g cantaloupe melon\n50 g fennel"], 'cut' => ['shape' => 'pieces', 'count' => 20], 'bake' => ['texture' => 'frozen']],
    'bad' => ['recipe' => ['text' => "200 g oat flour\n50 g raisins\n60 g water"], 'cut' => ['shape' => 'pieces', 'count' => 20], 'bake' => ['texture' => 'biscuit']],
];

/** @return list<array<string, mixed>> */
function guestsAtRandom(int $seed): array
{
    mt_srand($seed);
    $dogs = [];
    foreach (array_slice(['Ash', 'Bo', 'Cleo', 'Dot', 'Elm', 'Fig', 'Gus', 'Hop'], 0, mt_rand(1, 8)) as $n => $name) {
        $dog = ['id' => "d$n", 'name' => $name, 'weightKg' => mt_rand(2, 45), 'ageMonths' => mt_rand(14, 120), 'allergies' => array_values(array_intersect_key(['gluten', 'egg', 'dairy', 'beef'], array_flip((array) array_rand([0, 1, 2, 3], mt_rand(1, 2)))))];
        $dogs[] = mt_rand(0, 3) === 0 ? array_diff_key($dog, ['weightKg' => 1]) : (mt_rand(0, 1) === 0 ? ['allergies' => []] + $dog : $dog);
    }

    return $dogs;
}

/** @return array<string, mixed> a whole request */
function partyAtRandom(int $seed): array
{
    $dogs = guestsAtRandom($seed);
    $names = array_keys(SERVED);
    shuffle($names);
    $treats = array_map(static fn (string $id): array => ['id' => $id, 'name' => ucfirst($id)] + SERVED[$id], array_slice($names, 0, mt_rand(1, count($names))));
    $asked = ['version' => 1, 'dogs' => $dogs, 'treats' => $treats, 'on' => '2026-06-27'];
    if (mt_rand(0, 1) === 1) {
        $asked += ['at' => sprintf('%02d:30', mt_rand(8, 19)), 'transportMinutes' => mt_rand(0, 60)];
    }
    $asked['unasked'] = mt_rand(0, 1) === 0 ? [] : [['dog' => $dogs[0]['id'], 'what' => ['allergies']]];
    $asked['shares'] = mt_rand(0, 2) > 0 ? [] : [['dog' => $dogs[0]['id'], 'treat' => $treats[0]['id'], 'pieces' => mt_rand(1, 4) / 2]];
    $asked['boxes'] = array_map(static fn (int $n): array => ['for' => "the boat $n", 'dog' => mt_rand(0, 1) === 0 ? null : $dogs[array_rand($dogs)]['id'], 'treat' => $treats[array_rand($treats)]['id'], 'pieces' => mt_rand(4, 90)], range(1, mt_rand(1, 3)));

    return $asked;
}

/** @return array<string, mixed> */
function partyOf(array $asked): array
{
    $answer = Asking::of('party', $asked);
    expect(schemaErrors($answer, 'party-answer'))->toBe('');

    return $answer;
}

dataset('parties', array_map(static fn (int $seed): array => [$seed], range(1, 60)));

it('makes no piece of air and loses none: what is baked is eaten, boxed, or left', function (int $seed): void {
    $answer = partyOf(partyAtRandom($seed));
    foreach ($answer['treats'] as $treat) {
        $eaten = array_sum(array_column(array_filter($answer['guests'], static fn (array $one): bool => $one['treat'] === $treat['id']), 'pieces'));
        $boxed = array_sum(array_column(array_filter($answer['boxes'], static fn (array $one): bool => $one['treat'] === $treat['id'] && $one['stops'] === null), 'pieces'));
        expect($treat['pieces'])->toEqualWithDelta($eaten + $boxed, 1e-9)
            ->and($treat['times'] * $treat['aBatch'])->toEqualWithDelta($treat['pieces'] + $treat['left'], 1e-6)
            ->and($treat['left'])->toBeGreaterThanOrEqual(0.0)
            ->and($treat['times'] === 0 ? 0.0 : ($treat['times'] - 1) * $treat['aBatch'])->toBeLessThanOrEqual($treat['pieces']);
    }
})->with('parties');

it('tells of every dog once, gives it only what it may have, and nothing unanswered looks answered', function (int $seed): void {
    $asked = partyAtRandom($seed);
    $answer = partyOf($asked);
    expect(array_column($answer['guests'], 'dogId'))->toBe(array_column($asked['dogs'], 'id'));
    $serves = array_map(static fn (array $one): array => array_column($one['serves'], 'dogId'), array_column($answer['treats'], null, 'id'));
    foreach ($answer['guests'] as $n => $one) {
        $isAsked = $asked['unasked'] !== [] && $n === 0;
        expect($one['state'])->toBeIn(['may', 'ask-first', 'none'])->and($one['ask'] === [])->toBe(! $isAsked);
        if ($one['state'] === 'none') {
            expect($one['pieces'])->toBe(0.0)->and($one['why'])->not->toBeNull();
        } else {
            expect($one['pieces'])->toBeGreaterThan(0.0)->and($serves[$one['treat']])->toContain($one['dogId'])->and($one['state'])->toBe($isAsked ? 'ask-first' : 'may');
        }
        $weight = $asked['dogs'][$n]['weightKg'] ?? null;
        expect($weight === null ? $one['state'] : 'none')->toBe('none');
    }
    foreach ($answer['treats'] as $treat) {
        expect(count($treat['serves']) + count($treat['lacks']))->toBe(count($asked['dogs']));
        expect($treat['id'] === 'bad' ? $treat['serves'] : [])->toBe([]);
    }
    foreach ($answer['boxes'] as $box) {
        expect($box['stops'] !== null || $box['dogId'] === null || in_array($box['dogId'], $serves[$box['treat']], true))->toBeTrue()
            ->and($box['treat'] === 'bad' && $box['stops'] === null)->toBeFalse();
    }
})->with('parties');

it('names the fewest treats: they serve everybody who can be served, and no smaller set does', function (int $seed): void {
    $answer = partyOf(partyAtRandom($seed));
    $serves = array_map(static fn (array $one): array => array_column($one['serves'], 'dogId'), array_column($answer['treats'], null, 'id'));
    $all = array_unique(array_merge(...array_values($serves)));
    $by = static fn (array $ids): int => count(array_unique(array_merge([], ...array_map(static fn (string $id): array => $serves[$id], $ids))));
    expect($by($answer['fewest']))->toBe(count($all))->and($answer['allServed'])->toBe(count($all) === count($answer['guests']));
    $ids = array_keys($serves);
    for ($set = 0; $set < 1 << count($ids); $set++) {
        $those = array_values(array_filter($ids, static fn (string $id, int $n): bool => ($set >> $n & 1) === 1, ARRAY_FILTER_USE_BOTH));
        if (count($those) < count($answer['fewest'])) {
            expect($by($those))->toBeLessThan(count($all));
        }
    }
})->with('parties');

it('changes nobody\'s share when another comes, and takes nobody away when more is served', function (int $seed): void {
    $asked = partyAtRandom($seed);
    $with = partyOf(['dogs' => [...$asked['dogs'], ['id' => 'late', 'name' => 'Late', 'weightKg' => 12, 'ageMonths' => 40]]] + $asked);
    $without = partyOf($asked);
    $by = static fn (array $answer): array => array_map(static fn (array $one): array => array_column($one['serves'], 'dogId'), array_column($answer['treats'], null, 'id'));
    foreach ($by($without) as $id => $dogs) {
        expect(array_values(array_diff($by($with)[$id], ['late'])))->toBe($dogs);
    }
    $more = partyOf(['treats' => [...$asked['treats'], ['id' => 'more', 'name' => 'More'] + SERVED['squares']]] + $asked);
    $states = static fn (array $answer): array => array_column(array_filter($answer['guests'], static fn (array $one): bool => $one['state'] !== 'none'), 'dogId');
    expect(array_diff($states($without), $states($more)))->toBe([])->and(count($more['fewest']))->toBeLessThanOrEqual(count($without['fewest']) + 1);
    $turned = partyOf(['dogs' => array_reverse($asked['dogs']), 'treats' => array_reverse($asked['treats'])] + $asked);
    expect(count($turned['fewest']))->toBe(count($without['fewest']))->and(array_reverse(array_column($turned['guests'], 'state')))->toBe(array_column($without['guests'], 'state'));
})->with('parties');

it('plans backward: every step before the next, all before the guests eat, and nothing past what it keeps', function (int $seed, ?string $bakeOn): void {
    $asked = partyAtRandom($seed);
    $asked['treats'] = array_map(static fn (array $one): array => $one + ($bakeOn === null ? [] : ['bakeOn' => $bakeOn]), $asked['treats']);
    foreach (partyOf($asked)['treats'] as $treat) {
        $plan = $treat['plan'];
        if ($treat['times'] === 0) {
            expect($plan)->toBeNull();

            continue;
        }
        expect($plan['bakeOn'])->toBe($bakeOn ?? $plan['bakeOn'])->and($plan['bakeOn'])->toBeLessThanOrEqual('2026-06-27')->and($plan['earliestOn'])->toBeLessThanOrEqual('2026-06-27');
        $before = '';
        foreach ($plan['steps'] as $step) {
            expect($step['on'])->toBeGreaterThanOrEqual(substr($before, 0, 10));
            $at = $step['on'].'T'.($step['at'] ?? '');
            expect($step['at'] === null || strlen($before) < 12 || $at >= $before)->toBeTrue("$before $at");
            $before = $step['at'] === null ? $step['on'] : $at;
        }
        $keeps = $plan['keepsUntil'] !== null && $plan['keepsUntil'] >= '2026-06-27' && $plan['bakeOn'] >= $plan['earliestOn'];
        // without a time of day only what it keeps can stand against a day
        expect(isset($asked['at']) ? $plan['problem'] !== null || $keeps : ($plan['problem'] === null) === $keeps)->toBeTrue($treat['id'].' '.($plan['problem'] ?? 'fine'));
        $serve = end($plan['steps']);
        expect($serve['kind'])->toBe('serve')->and($serve['on'])->toBe('2026-06-27')->and($serve['at'])->toBe($asked['at'] ?? null);
        expect(in_array('thaw', array_column($plan['steps'], 'kind'), true))->toBe($plan['place'] === 'freezer' && $treat['id'] !== 'melon');
    }
})->with('parties')->with([[null], ['2026-06-27'], ['2026-06-20'], ['2026-05-20'], ['2025-05-20']]);

/** @return list<array<string, mixed>> what other occasions take of these dogs' days */
function takenAtRandom(int $seed, array $dogs): array
{
    mt_srand(1000 + $seed);
    $taken = [];
    foreach ($dogs as $dog) {
        for ($n = 0; $n <= 7; $n++) {
            if (mt_rand(0, 2) === 0) {
                $taken[] = ['dog' => $dog['id'], 'on' => (new DateTimeImmutable("2026-06-27 +$n days"))->format('Y-m-d'), 'kcal' => mt_rand(0, 60), 'for' => 'the fair'];
            }
        }
    }

    return $taken;
}

it('lends no day twice: what another occasion takes is not there, and what is borrowed comes to what is too much', function (int $seed): void {
    $asked = partyAtRandom($seed);
    $taken = takenAtRandom($seed, $asked['dogs']);
    $free = partyOf($asked);
    $answer = partyOf($asked + ['taken' => $taken]);
    foreach ($answer['guests'] as $n => $one) {
        $by = array_column(array_filter($taken, static fn (array $of): bool => $of['dog'] === $one['dogId']), 'kcal', 'on');
        $isSame = $one['treat'] === $free['guests'][$n]['treat'] && $one['pieces'] === $free['guests'][$n]['pieces'];
        expect($one['mostPieces'])->toBeLessThanOrEqual($one['treat'] === $free['guests'][$n]['treat'] ? $free['guests'][$n]['mostPieces'] + 1e-9 : INF);
        if ($one['state'] === 'none') {
            expect($one['borrows'])->toBe([]);

            continue;
        }
        expect($isSame ? $one['daysWithout'] : PHP_INT_MAX)->toBeGreaterThanOrEqual($isSame ? $free['guests'][$n]['daysWithout'] : 0);
        $today = max(0.0, $one['budgetKcal'] - ($by['2026-06-27'] ?? 0.0));
        expect(array_sum(array_column($one['borrows'], 'kcal')))->toEqualWithDelta(max(0.0, $one['kcal'] - $today), 1e-6);
        foreach ($one['borrows'] as $of) {
            $on = (new DateTimeImmutable("2026-06-27 +{$of['daysAfter']} days"))->format('Y-m-d');
            expect($of['kcal'])->toBeLessThanOrEqual(max(0.0, $one['budgetKcal'] - ($by[$on] ?? 0.0)) + 1e-9)->and($of['daysAfter'])->toBeLessThanOrEqual($one['daysWithout']);
        }
        expect($one['daysWithout'])->toBe($one['borrows'] === [] ? 0 : max(array_column($one['borrows'], 'daysAfter')));
    }
})->with('parties');

it('says the same where nothing is taken, whatever is taken of another dog, and in whatever order it is told', function (int $seed): void {
    $asked = partyAtRandom($seed);
    $taken = takenAtRandom($seed, $asked['dogs']);
    expect(partyOf($asked + ['taken' => []]))->toBe(partyOf($asked))
        ->and(partyOf($asked + ['taken' => array_reverse($taken)])['guests'])->toBe(partyOf($asked + ['taken' => $taken])['guests']);
    $ofFirst = array_values(array_filter($taken, static fn (array $one): bool => $one['dog'] === 'd0'));
    expect(array_slice(partyOf($asked + ['taken' => $ofFirst])['guests'], 1))->toBe(array_slice(partyOf($asked)['guests'], 1));
    $split = array_merge([], ...array_map(static fn (array $one): array => [['kcal' => $one['kcal'] / 2] + $one, ['kcal' => $one['kcal'] / 2] + $one], $taken));
    expect(partyOf($asked + ['taken' => $split])['guests'])->toBe(partyOf($asked + ['taken' => $taken])['guests']);
})->with('parties');
