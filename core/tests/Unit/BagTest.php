<?php

declare(strict_types=1);

use MildBowl\Core\Keeping\Bag;
use MildBowl\Core\Keeping\BagEvent;
use MildBowl\Core\Keeping\BagEventKind as Kind;
use MildBowl\Core\Keeping\BagRefused;
use MildBowl\Core\Keeping\Keeps;
use MildBowl\Core\Keeping\OpenedFood;
use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Keeping\PowerCut;
use MildBowl\Core\Keeping\ShelfLife;
use MildBowl\Core\Values\Day;

function onDay(string $iso): Day
{
    return Day::read($iso) ?? throw new LogicException($iso);
}

function classed(string $class): Keeps
{
    $life = ShelfLife::of($class);
    $days = $most = [];
    foreach (Place::cases() as $place) {
        [$days[$place->value], $most[$place->value]] = [$life->days($place), $life->atMost($place, 21.0, false)];
    }

    return new Keeps($class, $days, $most, $life->fridgeDays, $class === 'hard-biscuit');
}

/** "put 14 jar 12; moved 18 fridge; taken 19 3": days of May 2026. */
function bagAfter(string $class, string $events): Bag
{
    $told = [];
    foreach (array_filter(explode('; ', $events)) as $event) {
        [$kind, $day, $a, $b] = [...explode(' ', $event), null, null, null];
        $on = onDay(gmdate('Y-m-d', (int) gmmktime(12, 0, 0, 5, (int) $day, 2026)));
        $told[] = match ($kind) {
            'put' => new BagEvent(Kind::Put, $on, (float) $b, Place::from($a)),
            'moved' => new BagEvent(Kind::Moved, $on, place: Place::from($a), celsius: $b === null ? null : (float) $b),
            'taken', 'counted', 'added' => new BagEvent(Kind::from($kind), $on, (float) $a),
            'dated' => new BagEvent(Kind::Dated, $on, bestBefore: onDay("2026-05-$a")),
            'warmed' => new BagEvent(Kind::Warmed, $on, why: $a),
            default => throw new LogicException($kind),
        };
    }

    return Bag::after(classed($class), onDay('2026-05-14'), $told);
}

it('has a best before wherever it stood, and pieces as they came and went', function (string $class, string $events, string $bestBefore, float $pieces): void {
    $bag = bagAfter($class, $events);
    expect($bag->bestBefore()->iso)->toBe($bestBefore)->and($bag->pieces)->toEqualWithDelta($pieces, 1e-9);
})->with([
    'in the jar' => ['biscuit', 'put 14 jar 12', '2026-05-24', 12],
    'in the fridge' => ['biscuit', 'put 14 fridge 12', '2026-06-04', 12],
    'in the freezer' => ['biscuit', 'put 14 freezer 12', '2026-09-11', 12],
    'put away two days late, cold meanwhile' => ['moist', 'put 16 fridge 12', '2026-05-17', 12],
    'frozen two days late' => ['moist', 'put 16 freezer 12', '2026-07-15', 12],
    // half of its time in the jar leaves half of it in the fridge: 10 of 21 days
    'from jar to fridge at half' => ['biscuit', 'put 14 jar 12; moved 19 fridge', '2026-05-29', 12],
    'back in the jar' => ['biscuit', 'put 14 fridge 12; moved 21 jar', '2026-05-27', 12],
    'frozen at once, thawed later' => ['moist', 'put 14 freezer 12; moved 30 fridge', '2026-06-02', 12],
    'frozen after a day, thawed: two days are left' => ['moist', 'put 14 fridge 12; moved 15 freezer; moved 30 fridge', '2026-06-01', 12],
    'frozen on its last day: eaten within a day' => ['moist', 'put 14 fridge 12; moved 17 freezer; moved 30 fridge', '2026-05-31', 12],
    'past its time in the freezer' => ['dough-with-meat', 'put 14 freezer 12; moved 50 fridge', '2026-06-19', 12],
    'a thawed biscuit is not better in the jar' => ['biscuit', 'put 14 freezer 12; moved 20 jar', '2026-05-30', 12],
    'from freezer to freezer' => ['moist', 'put 14 freezer 12; moved 20 freezer', '2026-07-13', 12],
    'in a warm room' => ['biscuit', 'put 14 fridge 12; moved 14 jar 30', '2026-05-14', 12],
    'a hard biscuit in a warm room' => ['hard-biscuit', 'put 14 fridge 12; moved 14 jar 30', '2026-06-04', 12],
    'shortened' => ['biscuit', 'put 14 fridge 12; dated 15 20', '2026-05-20', 12],
    'shortened, then frozen and thawed' => ['biscuit', 'put 14 fridge 12; dated 14 16; moved 15 freezer; moved 20 fridge', '2026-05-21', 12],
    'lengthened within the figure' => ['soft', 'put 14 fridge 12; dated 15 21', '2026-05-21', 12],
    'taken and counted' => ['biscuit', 'put 14 jar 12; taken 15 2.5; taken 16 0.5; counted 17 8; taken 18 1', '2026-05-24', 7],
    'thawed in a freezer without power' => ['moist', 'put 14 freezer 12; warmed 20 thawed', '2026-05-23', 12],
    'stood warm for a while' => ['biscuit', 'put 14 fridge 12; warmed 14 stood', '2026-06-01', 12],
]);

it('says in words what cannot be', function (string $class, string $events, string $says): void {
    expect(fn () => bagAfter($class, $events))->toThrow(BagRefused::class, $says);
})->with([
    'frozen again' => ['moist', 'put 14 freezer 12; moved 20 fridge; moved 21 freezer', 'thawed on 2026-05-20, and what was thawed is never frozen again: eat it by 2026-05-23'],
    'frozen after a cut' => ['moist', 'put 14 freezer 12; warmed 20 thawed; moved 20 fridge; moved 21 freezer', 'never frozen again'],
    'frozen when it is off' => ['moist', 'put 14 fridge 12; moved 18 freezer', 'best before 2026-05-17: freezing does not make it good again'],
    'more than is in it' => ['biscuit', 'put 14 jar 12; taken 15 13', 'only 12 pieces in it: 13 cannot be taken'],
    'before it was made' => ['biscuit', 'put 13 jar 12', '2026-05-13 lies before it was made'],
    'longer than the table' => ['biscuit', 'put 14 jar 12; dated 15 25', 'At most until 2026-05-24 in a jar'],
    'before it came here' => ['biscuit', 'put 14 jar 12; moved 18 fridge; dated 19 17', 'lies before it came here'],
]);

it('keeps what is poured together as long as what goes off first, and knows what was thawed', function (): void {
    $one = bagAfter('biscuit', 'put 14 fridge 12');
    $old = bagAfter('biscuit', 'put 14 jar 12; moved 22 fridge');
    $pour = static fn (Bag $into, Bag $from): Bag => $into->then(new BagEvent(Kind::Added, onDay('2026-05-22'), $from->pieces, from: $from));
    expect($pour($one, $old)->bestBefore()->iso)->toBe($old->bestBefore()->iso)->and($pour($old, $one)->bestBefore()->iso)->toBe($old->bestBefore()->iso)->and($pour($one, $old)->pieces)->toBe(24.0);
    $thawed = bagAfter('biscuit', 'put 14 freezer 5; moved 22 fridge');
    expect(fn () => $pour($one, $thawed)->then(new BagEvent(Kind::Moved, onDay('2026-05-23'), place: Place::Freezer)))->toThrow(BagRefused::class, 'never frozen again')
        ->and(fn () => $pour($one, bagAfter('biscuit', 'put 14 freezer 5')))->toThrow(BagRefused::class, 'thaw it first');
});

it('never lets moving about buy time, or loses a piece', function (): void {
    mt_srand(15);
    $classes = array_column(table('keeping'), 'class');
    for ($n = 0; $n < 800; $n++) {
        $class = $classes[mt_rand(0, count($classes) - 1)];
        $keeps = classed($class);
        $day = 14;
        $bag = Bag::empty($keeps, onDay('2026-05-14'))->then(new BagEvent(Kind::Put, onDay('2026-05-14'), 12.0, Place::cases()[mt_rand(0, 1)]));
        $longest = $keeps->days($bag->place, null);
        $pieces = 12.0;
        $thawed = false;
        $warm = 0;
        for ($step = 0; $step < 6; $step++) {
            $gone = mt_rand(0, 3);
            $warm += $bag->isFrozen() ? 0 : $gone;
            $day += $gone;
            $on = onDay(gmdate('Y-m-d', (int) gmmktime(12, 0, 0, 5, $day, 2026)));
            $to = Place::cases()[mt_rand(0, 2)];
            $take = mt_rand(0, 4) / 4;
            try {
                $next = $bag->then(new BagEvent(Kind::Moved, $on, place: $to))->then(new BagEvent(Kind::Taken, $on, $take));
            } catch (BagRefused) {
                $next = null;
            }
            if ($next === null) {
                continue;
            }
            $thawed = $thawed || ($bag->isFrozen() && ! $next->isFrozen());
            $pieces -= $take;
            $bag = $next;
            $longest = max($longest, $to === Place::Freezer ? 0 : $keeps->days($to, null));
            expect($bag->pieces)->toEqualWithDelta($pieces, 1e-9)->and($thawed && $bag->isFrozen())->toBeFalse("$class")
                // all the days out of the freezer together are no more than the best place has; a thawed one has a day at least
                ->and($bag->isFrozen() ? 0 : $warm + $on->until($bag->bestBefore()))->toBeLessThanOrEqual(max($longest, $warm + 1), "$class, step $step")
                ->and($bag->bestBefore()->until($bag->bestBeforeAtMost()))->toBeGreaterThanOrEqual(0);
        }
    }
});

it('says what a power cut did, by the clock and by the hand', function (string $class, string $events, float $hours, bool $full, ?string $feels, string $outcome): void {
    expect(PowerCut::of(bagAfter($class, $events), $hours, $full, $feels)->outcome)->toBe($outcome);
})->with([
    ['biscuit', 'put 14 jar 12', 72, false, null, 'kept'],
    ['moist', 'put 14 fridge 12', 4, false, null, 'kept'], ['moist', 'put 14 fridge 12', 4.1, false, null, 'throw'], ['dough', 'put 14 fridge 12', 5, false, null, 'throw'], ['no-bake', 'put 14 fridge 12', 5, false, null, 'throw'],
    ['biscuit', 'put 14 fridge 12', 5, false, null, 'stood'], ['soft', 'put 14 fridge 12', 5, false, null, 'stood'],
    ['moist', 'put 14 freezer 12', 24, false, null, 'kept'], ['moist', 'put 14 freezer 12', 24.5, false, null, 'look'], ['moist', 'put 14 freezer 12', 48, true, null, 'kept'], ['moist', 'put 14 freezer 12', 49, true, null, 'look'],
    ['moist', 'put 14 freezer 12', 60, true, 'hard', 'kept'], ['moist', 'put 14 freezer 12', 60, true, 'icy', 'thawed'], ['moist', 'put 14 freezer 12', 60, true, 'soft', 'throw'], ['biscuit', 'put 14 freezer 12', 60, true, 'soft', 'thawed'],
    // the hand wins over the clock
    ['moist', 'put 14 freezer 12', 3, true, 'soft', 'throw'],
    ['moist', 'put 14 freezer 12; moved 20 fridge', 5, true, null, 'throw'],
]);

it('knows how long an opened tin keeps', function (): void {
    $shown = array_map(static fn (OpenedFood $food): array => [$food->kind, $food->fridgeDays, $food->fridgeAtMost], OpenedFood::all());
    expect($shown)->toBe([['tin', 3, 4], ['squash', 2, 2], ['leftover', 3, 4], ['egg', 2, 4], ['raw-meat', 1, 2]])->and(Keeps::ofFood('tin')->days(Place::Jar, 20.0))->toBe(0)->and(OpenedFood::has('jar'))->toBeFalse();
});

it('stands as it stood, told and read again', function (string $events): void {
    $bag = bagAfter('biscuit', $events);
    $again = Bag::standing(classed('biscuit'), onDay('2026-05-14'), json_decode((string) json_encode($bag->state()), true));
    expect($again->state())->toBe($bag->state())->and($again->bestBefore()->iso)->toBe($bag->bestBefore()->iso)->and($again->bestBeforeAtMost()->iso)->toBe($bag->bestBeforeAtMost()->iso)
        ->and($again->thawedOn?->iso)->toBe($bag->thawedOn?->iso)->and($again->isFrozen())->toBe($bag->isFrozen());
})->with(['put 14 jar 12', 'put 14 freezer 12', 'put 14 freezer 12; moved 18 fridge; taken 19 3', 'put 14 jar 12; moved 18 fridge']);

it('knows for how many days it is good once it is thawed', function (string $class, string $events, int $days): void {
    expect(bagAfter($class, $events)->thawedDays())->toBe($days);
})->with([
    'fresh into the freezer' => ['biscuit', 'put 14 freezer 12', 21],
    'five of ten days in the jar first' => ['biscuit', 'put 14 jar 12; moved 19 freezer', 10],
    'seven of ten' => ['biscuit', 'put 14 jar 12; moved 21 freezer', 6],
    'on its last day' => ['biscuit', 'put 14 jar 12; moved 24 freezer', 1],
    'what spoils soon' => ['moist', 'put 14 freezer 12', 3],
    'a day of three in the fridge first' => ['moist', 'put 14 fridge 12; moved 15 freezer', 2],
]);
