<?php

declare(strict_types=1);

use MildBowl\Core\Contract\LogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\Kind;
use MildBowl\Core\Making\Log;
use MildBowl\Core\Making\Planned;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Tests\Support\Generated;

/** @param  array<string, mixed>  $said */
function entry(string $id, string $kind, array $said = [], string $at = '12:00', ?string $corrects = null, string $by = 'Ines'): Entry
{
    $clock = strlen($at) === 5 ? "$at:00" : $at;

    return LogReader::entry(new Node(json_decode((string) json_encode(['id' => $id, 'at' => "2026-05-14T{$clock}Z", 'by' => $by, 'kind' => $kind, 'said' => (object) $said] + ($corrects === null ? [] : ['corrects' => $corrects])))));
}

function planned(): Planned
{
    return new Planned(
        ['s1' => ['kind' => Kind::Prepare, 'lot' => null], 's2' => ['kind' => Kind::Heat, 'lot' => 'soft ones'], 's3' => ['kind' => Kind::Heat, 'lot' => 'hard ones']],
        ['soft ones' => ['count' => 40.6, 'doughGrams' => 300.0, 'bakedGrams' => 230.0], 'hard ones' => ['count' => 30.0, 'doughGrams' => 200.0, 'bakedGrams' => 130.0]],
    );
}

/** @param  list<Entry>  $log  @return array<string, mixed> what follows from it */
function stateOf(array $log): array
{
    $of = new Log($log);

    return [array_map(static fn (Entry $one): array => [$one->id, $one->at, $one->kind->value, $one->said], $of->standing), $of->timers(), $of->measured(null), $of->measured('soft ones'), $of->asMade(), $of->isClosed(), $of->minutesInHeat(planned(), null)];
}

/** @return list<Entry> */
function logByChance(Generated $made): array
{
    $log = [];
    foreach (range(1, $made->number(2, 30)) as $n) {
        $at = sprintf('%02d:%02d:%02d', $made->number(10, 13), $made->number(0, 59), $made->number(0, 59));
        $corrects = $n > 1 && $made->number(0, 3) === 0 ? 'e'.$made->number(1, $n - 1) : null;
        $log[] = $corrects !== null && $made->number(0, 1) === 0 ? entry("e$n", 'undone', [], $at, $corrects)
            : match ($made->number(0, 8)) {
                0 => entry("e$n", 'timer', ['timer' => 't'.$made->number(1, 3), 'name' => 'oven', 'seconds' => $made->number(1, 5000)], $at, $corrects),
                1 => entry("e$n", 'more', ['timer' => 't'.$made->number(1, 3), 'seconds' => 300], $at, $corrects),
                2 => entry("e$n", 'stopped', ['timer' => 't'.$made->number(1, 3)], $at, $corrects),
                3 => entry("e$n", 'begun', ['step' => $made->one(['s2', 's3'])], $at, $corrects),
                4 => entry("e$n", 'done', ['step' => $made->one(['s1', 's2', 's3'])], $at, $corrects),
                5 => entry("e$n", 'made', ['entry' => ['text' => '1 tsp water']], $at, $corrects),
                6 => entry("e$n", 'count', ['pieces' => $made->number(0, 60), 'lot' => $made->one(['soft ones', 'hard ones'])], $at, $corrects),
                7 => entry("e$n", 'waste', ['pieces' => $made->number(0, 5), 'why' => 'burnt'], $at, $corrects),
                default => entry("e$n", 'weight', ['grams' => $made->number(1, 200)], $at, $corrects),
            };
    }

    return $log;
}

it('says the same whatever the order the entries came in, and however often one was sent', function (): void {
    always(150, static function (Generated $made): ?string {
        $log = logByChance($made);
        $state = stateOf($log);
        if (stateOf(array_reverse($log)) != $state) {
            return 'the order of arrival matters';
        }

        return stateOf([...$log, ...$log]) == $state ? null : 'sent twice is said twice';
    });
});

it('loses nothing that was not corrected, and changes nothing by what only corrects', function (): void {
    always(100, static function (Generated $made): ?string {
        $log = logByChance($made);
        $standing = array_map(static fn (Entry $one): string => $one->id, (new Log($log))->standing);
        $corrected = array_filter(array_map(static fn (Entry $one): ?string => $one->corrects, $log));
        foreach ($log as $one) {
            if ($one->corrects === null && ! in_array($one->id, $corrected, true) && ! in_array($one->id, $standing, true)) {
                return "{$one->id} is gone";
            }
        }

        return null;
    });
});

it('puts a correction in the place of what it corrects, the last of several, and lets a slip be one', function (): void {
    $log = [entry('a', 'weight', ['grams' => 300], '12:00'), entry('b', 'count', ['pieces' => 40], '12:05'), entry('c', 'weight', ['grams' => 310], '12:10', 'a'), entry('d', 'weight', ['grams' => 312], '12:20', 'c'), entry('e', 'undone', [], '12:30', 'b')];
    $of = new Log($log);
    expect(array_map(static fn (Entry $one): array => [$one->id, substr($one->at, 11, 5)], $of->standing))->toBe([['d', '12:00']])
        ->and($of->measured(null))->toBe(['count' => null, 'bakedGrams' => 312.0, 'wastePieces' => 0.0, 'wasteGrams' => 0.0, 'tastedGrams' => 0.0])
        // two people correct the same: the later counts
        ->and((new Log([entry('a', 'weight', ['grams' => 1]), entry('b', 'weight', ['grams' => 2], '12:10', 'a'), entry('c', 'weight', ['grams' => 3], '12:09', 'a')]))->measured(null)['bakedGrams'])->toBe(2.0);
});

it('keeps timers as moments: prolonged before they ring, from now on after, stopped, begun again by five more minutes', function (): void {
    $timer = entry('a', 'timer', ['timer' => 't', 'name' => 'soft ones', 'seconds' => 600, 'lot' => 'soft ones', 'step' => 's2'], '12:00');
    $ends = static fn (Entry ...$more): string => gmdate('H:i:s', (int) (new Log([$timer, ...array_values($more)]))->timers()['t']['endsAt']);
    expect($ends())->toBe('12:10:00')
        ->and($ends(entry('b', 'more', ['timer' => 't', 'seconds' => 300], '12:05')))->toBe('12:15:00')
        ->and($ends(entry('b', 'more', ['timer' => 't', 'seconds' => 300], '12:12')))->toBe('12:17:00')
        ->and((new Log([$timer, entry('b', 'stopped', ['timer' => 't'], '12:08')]))->timers()['t']['stopped'])->toBeTrue()
        ->and((new Log([$timer, entry('b', 'stopped', ['timer' => 't'], '12:08'), entry('c', 'more', ['timer' => 't', 'seconds' => 60], '12:09')]))->timers()['t']['stopped'])->toBeFalse();
});

it('knows a moment to the millisecond', function (): void {
    $one = LogReader::entry(new Node(json_decode('{"id":"a","at":"2026-05-14T12:00:01.25Z","by":"Ines","kind":"finished"}')));
    expect($one->at)->toBe('2026-05-14T12:00:01.250Z')->and($one->seconds())->toEqual(1778760001.25);
});

it('tells how long a lot was in the heat', function (): void {
    $log = new Log([entry('a', 'begun', ['step' => 's2'], '12:00'), entry('b', 'begun', ['step' => 's3'], '12:00'), entry('c', 'done', ['step' => 's2'], '12:18:30')]);
    expect($log->minutesInHeat(planned(), 'soft ones'))->toEqualWithDelta(18.5, 1e-9)->and($log->minutesInHeat(planned(), 'hard ones'))->toBeNull();
});

it('takes what a dog had of the batch off it, and nothing it had beside or would not have', function (): void {
    $tasted = static fn (array $more): float => (new Log([entry('a', 'tasted', $more + ['dog' => 'd1', 'name' => 'Bosun', 'what' => 'licked the spoon', 'took' => true, 'grams' => 3, 'ofBatch' => true])]))->measured(null)['tastedGrams'];
    expect($tasted([]))->toBe(3.0)->and($tasted(['took' => false]))->toBe(0.0)->and($tasted(['ofBatch' => false]))->toBe(0.0);
});

it('says what is wrong with an entry, and the log stays as it was', function (Entry $new, ?string $says): void {
    $log = new Log([
        entry('a', 'done', ['step' => 's1']), entry('b', 'begun', ['step' => 's2']), entry('t', 'timer', ['timer' => 't', 'name' => 'oven', 'seconds' => 15 * 3600]),
        entry('c', 'count', ['pieces' => 38, 'lot' => 'soft ones']), entry('w', 'waste', ['pieces' => 2, 'why' => 'burnt', 'lot' => 'soft ones']), entry('g', 'bag', ['place' => 'jar', 'pieces' => 30, 'bags' => 1, 'lot' => 'soft ones']),
    ]);
    $refusal = $log->refusal($new, planned());
    $says === null ? expect($refusal)->toBeNull() : expect((string) $refusal)->toContain($says);
})->with(fn (): array => [
    'a step done twice' => [entry('n', 'done', ['step' => 's1']), 'done already, by Ines'],
    'a step begun twice' => [entry('n', 'begun', ['step' => 's2']), 'begun already, by Ines'],
    'begun when it is done' => [entry('n', 'begun', ['step' => 's1']), 'done already'],
    'begun, then done' => [entry('n', 'done', ['step' => 's2']), null],
    'the same entry again' => [entry('a', 'done', ['step' => 's1']), null],
    'no such step' => [entry('n', 'done', ['step' => 's9']), 'no step "s9"'],
    'no such lot' => [entry('n', 'weight', ['grams' => 5, 'lot' => 'tiny ones']), 'no lot "tiny ones"'],
    'a timer of no time' => [entry('n', 'timer', ['timer' => 'u', 'name' => 'x', 'seconds' => 0]), 'rings at once'],
    'a timer of 20 hours' => [entry('n', 'timer', ['timer' => 'u', 'name' => 'x', 'seconds' => 72000]), 'longer than 16 hours'],
    'a timer of 16 hours' => [entry('n', 'timer', ['timer' => 'u', 'name' => 'x', 'seconds' => 57600]), null],
    'a timer of a second' => [entry('n', 'timer', ['timer' => 'u', 'name' => 'x', 'seconds' => 1]), null],
    'prolonged beyond that' => [entry('n', 'more', ['timer' => 't', 'seconds' => 3601]), 'longer than 16 hours'],
    'of no timer' => [entry('n', 'more', ['timer' => 'u', 'seconds' => 300]), 'no such timer'],
    'as much waste as pieces' => [entry('n', 'waste', ['pieces' => 38, 'why' => 'burnt', 'lot' => 'soft ones']), null],
    'more waste than pieces' => [entry('n', 'waste', ['pieces' => 39, 'why' => 'burnt', 'lot' => 'soft ones']), '41 wasted are more than the 40'],
    'as heavy as the dough' => [entry('n', 'weight', ['grams' => 300, 'lot' => 'soft ones']), null],
    'a weight over the dough' => [entry('n', 'weight', ['grams' => 307, 'lot' => 'soft ones']), '307 g are more than the 300 g of dough'],
    'of all of it' => [entry('n', 'weight', ['grams' => 507]), null],
    'a core of 740' => [entry('n', 'core', ['celsius' => 740]), 'is 74 °C meant?'],
    'a core of 130' => [entry('n', 'core', ['celsius' => 130]), null],
    'a core of ice' => [entry('n', 'core', ['celsius' => -30]), null],
    'a core of nothing' => [entry('n', 'core', ['celsius' => -31]), 'Probe it again'],
    'a core of 131' => [entry('n', 'core', ['celsius' => 131]), '131 °C is the core temperature of nothing'],
    'more put away than counted' => [entry('n', 'bag', ['place' => 'freezer', 'pieces' => 9, 'bags' => 1, 'lot' => 'soft ones']), '39 put away are more than the 38 that were counted'],
    'all put away' => [entry('n', 'bag', ['place' => 'freezer', 'pieces' => 8, 'bags' => 1, 'lot' => 'soft ones']), null],
    'a correction of nothing' => [entry('n', 'weight', ['grams' => 5], '12:00', 'zz'), 'not in the log'],
    'a correction of another kind' => [entry('n', 'weight', ['grams' => 5], '12:00', 'c'), 'A correction is of the same kind'],
    'a slip of nothing' => [entry('n', 'undone'), 'Say which entry'],
    'a corrected count' => [entry('n', 'count', ['pieces' => 37, 'lot' => 'soft ones'], '12:30', 'c'), null],
    'a corrected waste' => [entry('n', 'waste', ['pieces' => 40, 'why' => 'burnt', 'lot' => 'soft ones'], '12:30', 'w'), null],
]);

it('takes only what comes afterwards when it is finished, until that is undone', function (): void {
    $log = [entry('a', 'done', ['step' => 's1']), entry('f', 'finished', [], '13:00')];
    expect((string) (new Log($log))->refusal(entry('n', 'done', ['step' => 's2']), planned()))->toContain('This batch is finished')
        ->and((string) (new Log($log))->refusal(entry('n', 'finished'), planned()))->toContain('This batch is finished')
        ->and((new Log($log))->refusal(entry('n', 'note', ['about' => 'next', 'text' => 'less water']), planned()))->toBeNull()
        ->and((new Log($log))->refusal(entry('n', 'undone', [], '13:05', 'f'), planned()))->toBeNull()
        ->and((new Log([...$log, entry('u', 'undone', [], '13:05', 'f')]))->refusal(entry('n', 'done', ['step' => 's2']), planned()))->toBeNull();
});

it('refuses what is no entry, at its place', function (array $entry, string $path): void {
    $refused = null;
    try {
        LogReader::entry(new Node(json_decode((string) json_encode($entry + ['id' => 'a', 'at' => '2026-05-14T12:00:00.000Z', 'by' => 'Ines', 'kind' => 'finished']))));
    } catch (RequestRefused $refused) {
    }
    expect($refused?->path)->toBe($path);
})->with([
    [['kind' => 'sung'], '/kind'],
    [['at' => '2026-05-14T12:00'], '/at'],
    [['at' => '2026-02-30T12:00:00Z'], '/at'],
    [['by' => '  '], '/by'],
    [['said' => ['step' => 's1']], '/said/step'],
    [['kind' => 'done'], '/said/step'],
    [['kind' => 'waste', 'said' => ['why' => 'burnt']], '/said'],
    [['kind' => 'waste', 'said' => ['why' => 'eaten', 'pieces' => 1]], '/said/why'],
    [['kind' => 'count', 'said' => ['pieces' => 2.5]], '/said/pieces'],
    [['kind' => 'felt', 'said' => ['feel' => 'lovely']], '/said/feel'],
    [['kind' => 'made', 'said' => ['entry' => ['row' => 1]]], '/said/entry'],
    [['kind' => 'made', 'said' => ['entry' => ['row' => 1, 'share' => 2]]], '/said/entry/share'],
    [['kind' => 'core', 'said' => ['celsius' => 'hot']], '/said/celsius'],
    [['kind' => 'bag', 'said' => ['place' => 'hat', 'pieces' => 1, 'bags' => 1]], '/said/place'],
]);

it('adds up what was measured of each lot, the last of each', function (): void {
    $of = static fn (Entry ...$log): array => array_intersect_key((new Log(array_values($log)))->measured(null), ['count' => 1, 'bakedGrams' => 1]);
    $soft = entry('e1', 'count', ['pieces' => 30, 'lot' => 'soft ones'], '12:00');
    $hard = entry('e2', 'count', ['pieces' => 40, 'lot' => 'hard ones'], '12:01');
    $again = entry('e3', 'count', ['pieces' => 29, 'lot' => 'soft ones'], '12:02');
    $all = entry('e4', 'count', ['pieces' => 65], '12:03');
    expect($of($soft)['count'])->toBe(30.0)->and($of($soft, $hard)['count'])->toBe(70.0)->and($of($soft, $hard, $again)['count'])->toBe(69.0)
        ->and($of($soft, $hard, $again, $all)['count'])->toBe(65.0)->and($of()['count'])->toBeNull()
        ->and((new Log([$soft, $hard]))->measured('hard ones')['count'])->toBe(40.0)
        ->and($of(entry('e5', 'weight', ['grams' => 120, 'lot' => 'soft ones']), entry('e6', 'weight', ['grams' => 80, 'lot' => 'hard ones']))['bakedGrams'])->toBe(200.0);
});

it('keeps a taste apart from what was wasted', function (): void {
    $log = new Log([
        entry('e1', 'waste', ['grams' => 20, 'why' => 'burnt']), entry('e2', 'tasted', ['dog' => 'a', 'name' => 'Bosun', 'what' => 'dough', 'took' => true, 'ofBatch' => true, 'grams' => 2]),
        entry('e3', 'tasted', ['dog' => 'b', 'name' => 'Odette', 'what' => 'dough', 'took' => false, 'ofBatch' => true, 'grams' => 5]), entry('e4', 'tasted', ['dog' => 'b', 'name' => 'Odette', 'what' => 'apple', 'took' => true, 'grams' => 9]),
    ]);
    expect([$log->measured(null)['wasteGrams'], $log->measured(null)['tastedGrams']])->toBe([20.0, 2.0]);
});

it('weighs what went in against all the dough', function (string $kind, array $said, ?string $says): void {
    $why = (new Log([]))->refusal(entry('e1', $kind, $said), planned());
    $says === null ? expect($why)->toBeNull() : expect($why)->toContain($says);
})->with([
    ['made', ['entry' => ['row' => 0, 'grams' => 1500]], null], ['made', ['entry' => ['row' => 0, 'grams' => 1501]], '1501 g of it are far more than the 500 g'],
    ['tasted', ['dog' => 'a', 'name' => 'A', 'what' => 'dough', 'took' => true, 'ofBatch' => true, 'grams' => 500], null],
    ['tasted', ['dog' => 'a', 'name' => 'A', 'what' => 'dough', 'took' => true, 'ofBatch' => true, 'grams' => 501], '501 g of it are more than'],
    ['bag', ['place' => 'jar', 'pieces' => 82, 'bags' => 1, 'lot' => 'soft ones'], null], ['bag', ['place' => 'jar', 'pieces' => 83, 'bags' => 1, 'lot' => 'soft ones'], 'far more than the 40'],
    ['bag', ['place' => 'jar', 'pieces' => 1, 'bags' => 1], null], ['bag', ['place' => 'jar', 'pieces' => 0, 'bags' => 1], 'Nothing was put away'],
    ['weight', ['grams' => 0], 'Nothing is on the scale'], ['weight', ['grams' => 0.1], null],
]);

it('puts away what nobody reckoned, of a recipe that is told without amounts', function (): void {
    $untold = new Planned(['s1' => ['kind' => Kind::Heat, 'lot' => null]], ['' => ['count' => 0.0, 'doughGrams' => 0.0, 'bakedGrams' => 0.0]]);
    $refused = static fn (string $kind, array $said): ?string => (new Log([]))->refusal(entry('e1', $kind, $said), $untold);
    expect($refused('bag', ['place' => 'jar', 'pieces' => 17, 'bags' => 1]))->toBeNull()
        ->and($refused('made', ['entry' => ['row' => 0, 'grams' => 900]]))->toBeNull()
        ->and($refused('weight', ['grams' => 900]))->toBeNull();
});
