<?php

declare(strict_types=1);

use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Asking;

/** @param  array<string, mixed>  $request  @return array<string, mixed> */
function thawed(array $request): array
{
    $request += ['version' => 1, 'from' => '2026-05-14', 'days' => 21];
    expect(schemaErrors(json_decode((string) json_encode($request)), 'thaw-request'))->toBe('');
    $answer = Asking::of('thaw', $request);
    expect(schemaErrors($answer, 'thaw-answer'))->toBe('');

    return $answer;
}

function dayAfter(string $day, int $n): string
{
    return (new DateTimeImmutable("$day 12:00 UTC"))->modify("$n days")->format('Y-m-d');
}

/**
 * The contract's words once more, by single quarters of a piece and by days written out.
 *
 * @param  array<string, mixed>  $request  @return array<string, mixed>
 */
function thawedByHand(array $request): array
{
    $need = (int) round(4 * array_sum(array_column($request['eaters'], 'piecesPerDay')));
    $open = $frozen = $waste = $takeOut = [];
    foreach ($request['bags'] as $bag) {
        $quarters = (int) round(4 * $bag['pieces']);
        if ($bag['place'] === 'freezer') {
            $frozen[$bag['id']] = $bag + ['quarters' => $quarters];
        } elseif ($bag['bestBefore'] < $request['from']) {
            $waste[] = ['bag' => $bag['id'], 'pieces' => $bag['pieces'], 'on' => $bag['bestBefore']];
        } else {
            $open[$bag['id']] = ['until' => $bag['bestBefore'], 'quarters' => $quarters];
        }
    }
    usort($waste, static fn (array $a, array $b): int => strcmp($a['on'].$a['bag'], $b['on'].$b['bag']));
    $good = static fn (array $open, string $day): int => array_sum(array_map(static fn (array $one): int => $one['until'] >= $day ? $one['quarters'] : 0, $open));
    $next = static function (array $frozen, string $day): ?string {
        $frozen = array_filter($frozen, static fn (array $bag): bool => $bag['bestBefore'] >= $day);
        uasort($frozen, static fn (array $a, array $b): int => strcmp($a['bestBefore'].$a['id'], $b['bestBefore'].$b['id']));

        return $frozen === [] ? null : (string) array_key_first($frozen);
    };
    $take = static function (string $today, string $covers) use (&$open, &$frozen, &$takeOut, $need, $good, $next): void {
        while ($good($open, $covers) < $need && ($id = $next($frozen, $today)) !== null) {
            $takeOut[] = ['on' => $today, 'bag' => $id];
            $open[$id] = ['until' => dayAfter($today, $frozen[$id]['thawedDays']), 'quarters' => $frozen[$id]['quarters']];
            unset($frozen[$id]);
        }
    };
    $lasts = null;
    $today = $request['from'];
    $take($today, $today);
    for ($n = 0; $n < $request['days']; $n++) {
        $today = dayAfter($request['from'], $n);
        if ($good($open, $today) < $need) {
            return ['version' => 1, 'takeOut' => $takeOut, 'waste' => $waste, 'lastsUntil' => $lasts, 'shortOn' => $today];
        }
        for ($eaten = 0; $eaten < $need; $eaten++) {
            $left = array_filter($open, static fn (array $one): bool => $one['quarters'] > 0 && $one['until'] >= $today);
            uksort($left, static fn (int|string $a, int|string $b): int => strcmp($left[$a]['until'].$a, $left[$b]['until'].$b));
            $open[array_key_first($left)]['quarters']--;
        }
        ksort($open, SORT_STRING);
        foreach ($open as $id => $one) {
            if ($one['until'] === $today && $one['quarters'] > 0) {
                $waste[] = ['bag' => (string) $id, 'pieces' => $one['quarters'] / 4, 'on' => $today];
                $open[$id]['quarters'] = 0;
            }
        }
        $lasts = $today;
        if ($n + 1 < $request['days']) {
            $take($today, dayAfter($today, 1));
        }
    }

    return ['version' => 1, 'takeOut' => $takeOut, 'waste' => $waste, 'lastsUntil' => $lasts, 'shortOn' => null];
}

/** @return array<string, mixed> */
function someBags(int $seed): array
{
    mt_srand($seed);
    $bags = [];
    for ($n = mt_rand(0, 9); $n > 0; $n--) {
        $place = ['jar', 'fridge', 'thawed', 'freezer', 'freezer', 'freezer'][mt_rand(0, 5)];
        $bags[] = ['id' => 'b'.mt_rand(0, 9).$n, 'pieces' => mt_rand(1, 60) / [1, 2, 4][mt_rand(0, 2)], 'place' => $place, 'bestBefore' => dayAfter('2026-05-14', mt_rand(-3, $place === 'freezer' ? 40 : 14)), 'thawedDays' => mt_rand(1, 7)];
    }
    $eaters = array_map(static fn (int $n): array => ['dog' => "dog $n", 'piecesPerDay' => mt_rand(0, 14) / 4], range(1, mt_rand(1, 4)));

    return ['version' => 1, 'from' => '2026-05-14', 'days' => mt_rand(1, 30), 'eaters' => $eaters, 'bags' => $bags];
}

it('takes the next bag out on the last day that the one before it covers', function (): void {
    $answer = thawed(['eaters' => [['dog' => 'Quill', 'piecesPerDay' => 2.5]], 'bags' => [
        ['id' => 'a', 'pieces' => 12, 'place' => 'fridge', 'bestBefore' => '2026-05-17'], ['id' => 'b', 'pieces' => 12, 'place' => 'freezer', 'bestBefore' => '2026-08-01', 'thawedDays' => 4],
    ]]);
    expect($answer)->toEqual([
        'version' => 1, 'takeOut' => [['on' => '2026-05-17', 'bag' => 'b']], 'waste' => [['bag' => 'a', 'pieces' => 2, 'on' => '2026-05-17'], ['bag' => 'b', 'pieces' => 2, 'on' => '2026-05-21']],
        'lastsUntil' => '2026-05-21', 'shortOn' => '2026-05-22',
    ]);
});

it('says the same as a reckoning by hand', function (): void {
    for ($seed = 1; $seed <= 600; $seed++) {
        $request = someBags($seed);
        expect(thawed($request))->toEqual(thawedByHand($request), "seed $seed");
    }
});

it('does not mind the order of the bags, nor who of the dogs eats how much', function (): void {
    for ($seed = 1; $seed <= 100; $seed++) {
        $request = someBags($seed);
        $answer = thawed($request);
        expect(thawed(['bags' => array_reverse($request['bags'])] + $request))->toBe($answer)
            ->and(thawed(['eaters' => [['dog' => 'all', 'piecesPerDay' => array_sum(array_column($request['eaters'], 'piecesPerDay'))]]] + $request))->toBe($answer);
    }
});

it('loses no piece: what is taken out or open is eaten, wasted or left, and another bag never shortens the time', function (): void {
    for ($seed = 1; $seed <= 150; $seed++) {
        $request = someBags($seed);
        $answer = thawed($request);
        $more = thawed(['bags' => [...$request['bags'], ['id' => 'z', 'pieces' => 20, 'place' => 'freezer', 'bestBefore' => '2027-01-01', 'thawedDays' => 5]]] + $request);
        $pieces = array_column($request['bags'], 'pieces', 'id');
        $wasted = array_sum(array_column($answer['waste'], 'pieces'));
        expect($wasted)->toBeLessThanOrEqual(array_sum($pieces) + 1e-9)->and($more['lastsUntil'] ?? '')->toBeGreaterThanOrEqual($answer['lastsUntil'] ?? '')
            ->and(count(array_unique(array_column($answer['takeOut'], 'bag'))))->toBe(count($answer['takeOut']));
        foreach ($answer['waste'] as $waste) {
            expect($waste['pieces'])->toBeGreaterThan(0)->toBeLessThanOrEqual($pieces[$waste['bag']]);
        }
    }
});

it('says what is wrong with a request, and where', function (array $more, string $path): void {
    try {
        Asking::of('thaw', $more + ['version' => 1, 'from' => '2026-05-14', 'days' => 7, 'eaters' => [], 'bags' => []]);
        $refused = null;
    } catch (RequestRefused $e) {
        $refused = $e;
    }
    expect($refused?->path)->toBe($path);
})->with([
    [['days' => 0], '/days'], [['days' => 400], '/days'], [['from' => 'today'], '/from'], [['eaters' => [['dog' => 'Quill', 'piecesPerDay' => -1]]], '/eaters/0/piecesPerDay'],
    [['eaters' => [['piecesPerDay' => 1]]], '/eaters/0/dog'], [['bags' => [['id' => 'a', 'pieces' => 3, 'place' => 'freezer', 'bestBefore' => '2026-06-01']]], '/bags/0/thawedDays'],
    [['bags' => [['id' => 'a', 'pieces' => 3, 'place' => 'freezer', 'bestBefore' => '2026-06-01', 'thawedDays' => 0]]], '/bags/0/thawedDays'],
    [['bags' => [['id' => 'a', 'pieces' => 3, 'place' => 'jar', 'bestBefore' => '2026-06-01'], ['id' => 'a', 'pieces' => 3, 'place' => 'jar', 'bestBefore' => '2026-06-01']]], '/bags/1/id'],
    [['bags' => [['id' => 'a', 'pieces' => -1, 'place' => 'jar', 'bestBefore' => '2026-06-01']]], '/bags/0/pieces'], [['bags' => [['id' => 'a', 'pieces' => 1, 'place' => 'jar']]], '/bags/0/bestBefore'],
    [['bags' => [['id' => 'a', 'pieces' => 1, 'place' => 'attic', 'bestBefore' => '2026-06-01']]], '/bags/0/place'],
]);

it('has nothing to take out where nobody eats', function (): void {
    $answer = thawed(['eaters' => [], 'bags' => [['id' => 'a', 'pieces' => 3, 'place' => 'freezer', 'bestBefore' => '2026-06-01', 'thawedDays' => 3]]]);
    expect($answer['takeOut'])->toBe([])->and($answer['shortOn'])->toBeNull()->and($answer['lastsUntil'])->toBe('2026-06-03');
});
