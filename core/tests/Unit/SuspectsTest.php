<?php

declare(strict_types=1);

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;
use MildBowl\Core\Tests\Support\Cases;
use MildBowl\Core\Watching\Strength;
use MildBowl\Core\Watching\Tally;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** @return array<string, mixed> */
function suspects(array $ate, array $signs, array $more = []): array
{
    $request = $more + ['version' => 1, 'dog' => 'Tuppence', 'from' => '2026-03-01', 'to' => '2026-05-14', 'ate' => $ate, 'signs' => $signs];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'suspects-request'))->toBe('');
    $answer = Asking::of('suspects', $request);
    expect(schemaErrors($answer, 'suspects-answer'))->toBe('');

    return $answer;
}

/** @return array<string, array<string, mixed>> the suspects of one kind, by food */
function suspectsOf(array $answer, string $kind): array
{
    foreach ($answer['kinds'] as $one) {
        if ($one['kind'] === $kind) {
            return array_column($one['suspects'], null, 'food');
        }
    }

    return [];
}

/** A day of March to May 2026, from 1. */
function marchDay(int $n): string
{
    return gmdate('Y-m-d', gmmktime(0, 0, 0, 3, $n, 2026));
}

/** @return list<array{on: string, foods: list<string>}> */
function eaten(array $days, string ...$foods): array
{
    return array_map(static fn (int $n): array => ['on' => marchDay($n), 'foods' => $foods], array_values($days));
}

/** @return list<array{on: string, kind: string, score: float|int}> */
function signsOn(array $days, string $kind, float $score = 6): array
{
    return array_map(static fn (int $n): array => ['on' => marchDay($n), 'kind' => $kind, 'score' => $score], $days);
}

function exactly(int $a, int $b, int $c, int $d): BigRational
{
    $choose = static function (int $n, int $k): BigInteger {
        $ways = BigInteger::one();
        for ($i = 1; $i <= $k; $i++) {
            $ways = $ways->multipliedBy($n - $k + $i)->quotient($i);
        }

        return $k < 0 || $k > $n ? BigInteger::zero() : $ways;
    };
    $sum = BigInteger::zero();
    for ($k = $a; $k <= min($a + $b, $a + $c); $k++) {
        $sum = $sum->plus($choose($a + $b, $k)->multipliedBy($choose($c + $d, $a + $c - $k)));
    }

    return BigRational::nd($sum, $choose($a + $b + $c + $d, $a + $c));
}

it('knows how likely a table is by chance', function (string $row): void {
    [$a, $b, $c, $d, $fraction] = explode(' ', $row);
    [$over, $under] = explode('/', $fraction);
    expect((new Tally((int) $a, (int) $b, (int) $c, (int) $d))->p())->toEqualWithDelta((float) $over / (float) $under, 1e-12);
})->with(Cases::rows('fisher.txt'));

it('agrees with exact rational arithmetic to six digits on a thousand random tables', function (): void {
    $chance = new Randomizer(new Mt19937(16));
    for ($n = 0; $n < 1000; $n++) {
        $most = $chance->getInt(1, 4) ** 4;
        [$a, $b, $c, $d] = [$chance->getInt(0, min($most, 40)), $chance->getInt(0, $most), $chance->getInt(0, min($most, 60)), $chance->getInt(0, 2 * $most)];
        $exact = exactly($a, $b, $c, $d)->toScale(320, RoundingMode::HALF_EVEN)->toFloat();
        $p = (new Tally($a, $b, $c, $d))->p();
        expect(abs($p - $exact))->toBeLessThanOrEqual(1e-9 * $exact, "$a $b $c $d: $p and not $exact");
    }
});

it('says how strong it is by what is left after Holm, and never on too few bad days', function (float $adjusted, int $bad, Strength $strength): void {
    expect(Strength::of($adjusted, $bad))->toBe($strength);
})->with([
    [0.0099, 4, Strength::Strong], [0.0099, 3, Strength::Some], [0.0099, 2, Strength::Weak], [0.01, 4, Strength::Some], [0.0499, 3, Strength::Some],
    [0.0499, 2, Strength::Weak], [0.05, 9, Strength::Weak], [0.1999, 1, Strength::Weak], [0.2, 9, Strength::None], [1.0, 0, Strength::None],
]);

it('counts a day as one with a food from the day it was eaten to the end of the window', function (string $kind, int $window, ?array $said): void {
    $answer = suspects(eaten([10, 30, 50], 'chicken'), signsOn([5], $kind, 9), $said === null ? [] : ['windowDays' => $said]);
    $one = suspectsOf($answer, $kind)['chicken'];
    expect($one['a'] + $one['b'])->toBe(3 * ($window + 1))->and($one['c'])->toBe(1)->and($one['a'] + $one['b'] + $one['c'] + $one['d'])->toBe(75);
})->with([
    ['gut', 1, null], ['vomiting', 1, null], ['skin', 3, null], ['ears', 3, null], ['energy', 3, null],
    ['gut', 0, ['gut' => 0]], ['skin', 5, ['skin' => 5]], ['ears', 3, ['skin' => 5]],
]);

it('counts what was eaten before the first day as far as the window goes, and nothing that was seen or eaten outside', function (): void {
    $answer = suspects([...eaten([-1, 20, 40], 'duck'), ['on' => '2026-06-01', 'foods' => ['duck']]], [...signsOn([1, 2], 'skin'), ['on' => '2026-02-27', 'kind' => 'ears', 'score' => 9]]);
    // eaten on the 27th of February: the 28th, the first and the second of March are left of its three days
    expect(suspectsOf($answer, 'skin')['duck'])->toMatchArray(['a' => 2, 'b' => 8, 'c' => 0, 'd' => 65])->and(array_column($answer['kinds'], 'kind'))->toBe(['skin']);
});

it('calls a day bad from the threshold on; of vomiting at any sign, and at none where there was none', function (string $kind, float $score, array $more, int $bad): void {
    $one = suspectsOf(suspects(eaten([10, 20, 30], 'pork'), signsOn([10], $kind, $score), $more), $kind)['pork'];
    expect($one['a'])->toBe($bad);
})->with([
    ['gut', 4.0, [], 1], ['gut', 3.9, [], 0], ['gut', 5.0, ['threshold' => 6], 0], ['gut', 6.0, ['threshold' => 6], 1], ['vomiting', 0.5, [], 1], ['vomiting', 1, ['threshold' => 10], 1], ['vomiting', 0, [], 0],
]);

it('lets a food count for its groups, and takes what was eaten on the same days for one', function (): void {
    $found = suspectsOf(suspects([...eaten([5, 15, 25], 'chicken breast', 'oat flour'), ...eaten([35, 45, 55], 'turkey mince')], signsOn([5, 15], 'gut')), 'gut');
    expect(array_keys($found))->toContain('poultry');
    expect($found['poultry']['a'] + $found['poultry']['b'])->toBe(12);
    $together = collectTogether($found);
    expect($together)->toContain('chicken', 'oat', 'grain', 'oat-flour')->not->toContain('poultry');
});

/** @return list<string> all that stands together with another */
function collectTogether(array $found): array
{
    return array_merge(...array_values(array_map(static fn (array $one): array => $one['together'], $found)));
}

it('names what cannot be told apart by a food before a group, and a narrow group before a wide one', function (): void {
    expect(suspectsOf(suspects(eaten([5, 15, 25], 'poultry', 'chicken'), signsOn([5], 'gut')), 'gut'))->toHaveKeys(['chicken']);
    $one = suspectsOf(suspects(eaten([5, 15, 25], 'oat flour'), signsOn([5], 'gut')), 'gut');
    expect($one)->toHaveKeys(['oat-flour'])->and($one['oat-flour']['together'])->toBe(['grain', 'oat']);
});

it('says nothing of a food with fewer than three days with it or without it', function (): void {
    $every = range(1, 75);
    $answer = suspects([...eaten([5, 20], 'lamb'), ...eaten(array_diff($every, [9, 10, 11]), 'rice flour'), ...eaten(array_diff($every, [9, 10, 11, 12]), 'cod')], signsOn([5], 'gut'), ['windowDays' => ['gut' => 0]]);
    $found = suspectsOf($answer, 'gut');
    expect($found)->not->toHaveKey('lamb')->toHaveKey('cod')->toHaveKey('white-rice-flour');
    expect(suspectsOf(suspects(eaten([1, 2, 3], 'lamb'), signsOn([5], 'gut'), ['windowDays' => ['gut' => 0]]), 'gut'))->toHaveKey('lamb');
    expect(suspectsOf(suspects(eaten(array_diff($every, [9, 10]), 'cod'), signsOn([5], 'gut'), ['windowDays' => ['gut' => 0]]), 'gut'))->toBe([]);
});

it('adjusts by Holm over what was tried, in the order of the figures', function (): void {
    $answer = suspects([...eaten([3, 13, 23, 33, 43], 'beef'), ...eaten([3, 13, 50, 60], 'cod'), ...eaten([8, 18, 28], 'carrot'), ...eaten([55, 65, 70], 'pear')], signsOn([3, 13, 23, 33, 43, 61], 'gut'));
    $list = $answer['kinds'][0]['suspects'];
    $before = 0.0;
    foreach ($list as $n => $one) {
        $expected = max($before, min(1.0, (count($list) - $n) * $one['p']));
        expect($one['adjusted'])->toEqualWithDelta($expected, 1e-15);
        $before = $expected;
    }
    $sorted = $list;
    usort($sorted, static fn (array $x, array $y): int => $x['p'] <=> $y['p'] ?: strcmp($x['food'], $y['food']));
    expect($list)->toBe($sorted)->and($list[0]['food'])->toBe('beef')->and($list[0]['strength'])->toBe('strong');
});

it('tells what to leave out next, and what to go on giving so that it tells something', function (): void {
    $next = static fn (array $ate, string $kind): ?array => suspects($ate, signsOn([3, 13, 23, 33, 43], $kind))['kinds'][0]['nextTest'];
    $days = [3, 13, 23, 33, 43];
    expect($next([...eaten($days, 'beef'), ...eaten([50, 60, 70], 'pear')], 'gut'))->toMatchArray(['leaveOut' => ['beef'], 'keep' => [], 'days' => 7]);
    expect($next(eaten($days, 'barley flour', 'carrot'), 'skin'))->toMatchArray(['leaveOut' => ['barley-flour'], 'keep' => ['carrot'], 'days' => 14])
        ->and($next(eaten($days, 'barley flour', 'carrot'), 'skin')['why'])->toContain('Barley flour and carrot were always eaten on the same days');
    // a group that was written down is one as well
    expect($next(eaten($days, 'barley flour', 'chicken'), 'skin'))->toMatchArray(['leaveOut' => ['barley-flour'], 'keep' => ['chicken']]);
    // another food of the same kind is no other food
    expect($next([...eaten($days, 'chicken'), ...eaten([3, 13, 60], 'chicken breast')], 'gut'))->toMatchArray(['leaveOut' => ['chicken'], 'keep' => []]);
    expect($next(eaten([50, 60, 70], 'pear'), 'gut'))->toBeNull();
});

it('says in plain words what it counted, how many days were silent, and that it is no diagnosis', function (): void {
    $answer = suspects(eaten([3, 13, 23, 33], 'barley flour', 'carrot'), signsOn([3, 13, 23, 60], 'skin'));
    expect($answer['says'])->toContain('On 70 of 75 days nothing was written down', 'on 1 what it ate and not how it was', 'not independent', 'no diagnosis', 'vet');
    $says = suspectsOf($answer, 'skin')['barley-flour']['says'];
    expect($says)->toContain('On 3 of 16 days with barley flour or up to 3 days after it itched; on 1 of 59 days without.', 'Few days', 'the same days as carrot: they cannot be told apart');
    expect(suspects([], [])['says'])->toContain('On 75 of 75 days nothing was written down');
    expect(suspects([], signsOn(range(1, 75), 'gut', 0))['says'])->toContain('Something was written down on every day.');
});

it('keeps a food that nobody knows as it was written', function (): void {
    $found = suspectsOf(suspects(eaten([3, 13, 23], 'the neighbour\'s biscuits'), signsOn([3], 'gut')), 'gut');
    expect($found)->toHaveKey('the neighbour\'s biscuits')->and($found['the neighbour\'s biscuits']['together'])->toBe([]);
});

it('answers the same whatever the order, and however a day is written down', function (): void {
    $chance = new Randomizer(new Mt19937(5));
    $foods = ['beef', 'oat flour', 'carrot', 'cod', 'pear', 'chicken', 'duck', 'barley flour'];
    for ($n = 0; $n < 25; $n++) {
        $ate = $signs = [];
        for ($day = -3; $day <= 75; $day++) {
            $some = array_values(array_filter($foods, static fn (): bool => $chance->getInt(0, 3) === 0));
            array_push($ate, ...$some === [] ? [] : eaten([$day], ...$some));
            array_push($signs, ...$chance->getInt(0, 4) === 0 && $day > 0 ? signsOn([$day], ['gut', 'skin', 'vomiting'][$chance->getInt(0, 2)], $chance->getInt(0, 10)) : []);
        }
        $answer = suspects($ate, $signs);
        $split = array_merge(...array_map(static fn (array $one): array => array_map(static fn (string $food): array => ['on' => $one['on'], 'foods' => [$food]], $one['foods']), $ate));
        expect(suspects($chance->shuffleArray([...$split, ...$ate]), $chance->shuffleArray([...$signs, ...$signs])))->toEqual($answer);
        foreach ($answer['kinds'] as $kind) {
            foreach ($kind['suspects'] as $one) {
                expect($one['a'] + $one['b'] + $one['c'] + $one['d'])->toBe(75)->and($one['p'])->toBeGreaterThan(0)->toBeLessThanOrEqual(1.0)->and($one['adjusted'])->toBeGreaterThanOrEqual($one['p']);
            }
        }
        // a day more of signs takes no bad day away
        $worse = suspects($ate, [...$signs, ...signsOn([$chance->getInt(1, 75)], 'gut', 10)]);
        foreach (suspectsOf($answer, 'gut') as $food => $one) {
            expect(suspectsOf($worse, 'gut')[$food]['a'])->toBeGreaterThanOrEqual($one['a']);
        }
    }
});

it('refuses in words what cannot be', function (array $change, string $path, string $says): void {
    $request = array_replace(['version' => 1, 'dog' => 'Tuppence', 'from' => '2026-03-01', 'to' => '2026-05-14', 'ate' => [], 'signs' => []], $change);
    try {
        Asking::of('suspects', $request);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path)->and($refused?->getMessage())->toContain($says);
})->with([
    'a score of 12' => [['signs' => [['on' => '2026-03-03', 'kind' => 'skin', 'score' => 12]]], '/signs/0/score', 'from 0 to 10'],
    'no such sign' => [['signs' => [['on' => '2026-03-03', 'kind' => 'mood', 'score' => 1]]], '/signs/0/kind', 'gut, skin, ears, vomiting, energy'],
    'ends before it begins' => [['to' => '2026-02-01'], '/to', 'no earlier than the first day'],
    'a thousand years' => [['to' => '3026-02-01'], '/to', 'At most 3660 days'],
    'a threshold of nothing' => [['threshold' => 0], '/threshold', 'more than 0'],
    'a threshold over all' => [['threshold' => 11], '/threshold', 'from 0 to 10'],
    'a window backwards' => [['windowDays' => ['gut' => -1]], '/windowDays/gut', 'from 0 to 60'],
    'an empty food' => [['ate' => [['on' => '2026-03-03', 'foods' => ['']]]], '/ate/0/foods/0', 'must not be empty'],
    'no such day' => [['ate' => [['on' => '2026-02-30', 'foods' => ['beef']]]], '/ate/0/on', 'a date such as'],
]);

it('never says that a food is fine: what does not stand out is not told from chance, or is no oftener', function (): void {
    $says = static fn (array $days): string => suspectsOf(suspects(eaten([10, 20, 30], 'pork'), signsOn($days, 'gut')), 'gut')['pork']['says'];
    expect($says([10, 50, 60]))->toContain('These days cannot tell that from chance.')->and($says([50, 60, 70]))->toContain('no oftener with it than without')->and($says([50]))->not->toContain('Nothing speaks');
});
