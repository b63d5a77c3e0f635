<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\BagEvent;
use App\Models\Batch;
use App\Models\JarAct;
use App\Models\Place;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Str;
use MildBowl\Core\Keeping\BagEvent as Event;
use MildBowl\Core\Keeping\BagEventKind as Kind;
use MildBowl\Core\Keeping\JarAct as Act;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Keeping\Keeps;
use MildBowl\Core\Keeping\OpenedFood;
use MildBowl\Core\Keeping\Place as PlaceKind;
use MildBowl\Core\Keeping\PowerCut;
use MildBowl\Core\Making\Entry;
use MildBowl\Core\Making\EntryKind;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;
use Ramsey\Uuid\Uuid;
use stdClass;

/** Does what somebody did at the jars: writes it down, and has each bag stand as core works it out from everything that was done with it. */
final readonly class Jars
{
    /** h that a clock may be off before what it says is refused. */
    private const CLOCK_OFF = 26;

    public function __construct(private KitchenClock $clock, private CurrentKitchen $current, private BagShelf $shelf, private BatchKeeping $keeping, private BatchRecords $records) {}

    /**
     * @return list<Bag> that it touched, as they stand now
     *
     * @throws RequestRefused when it cannot be; then nothing is written
     */
    public function act(Act $act): array
    {
        $known = JarAct::query()->where('id', $act->id)->first();
        if ($known !== null) {
            return $this->shelf->touchedBy($known->id);
        }
        $at = new CarbonImmutable($act->at);
        if ($at->greaterThan($this->clock->now()->addHours(self::CLOCK_OFF))) {
            throw RequestRefused::outOfRange('/at', 'That moment lies in the future: is the clock of this device right?');
        }
        if ($act->corrects !== null) {
            $this->mayTakeBack($act->corrects);
        }
        JarAct::write($act, $this->clock->now());

        return match ($act->kind) {
            JarActKind::Put => $this->put($act),
            JarActKind::Found => $this->found($act),
            JarActKind::Open => $this->open($act),
            JarActKind::Gone => $this->gone($act),
            JarActKind::Move => $this->onBag($act, fn (Bag $bag): Event => $this->moved($act, $bag, $this->place($act->said['place'], '/said/place'))),
            JarActKind::Split => $this->split($act),
            JarActKind::Merge => $this->merge($act),
            JarActKind::Take => $this->onBag($act, fn (Bag $bag): Event => new Event(Kind::Taken, $this->day($act), $this->number($act->said['pieces'] ?? $bag->pieces), why: (string) $act->said['why'])),
            JarActKind::Count => $this->onBag($act, fn (Bag $bag): Event => new Event(Kind::Counted, $this->day($act), $this->number($act->said['pieces']))),
            JarActKind::Date => $this->onBag($act, fn (Bag $bag): Event => new Event(Kind::Dated, $this->day($act), bestBefore: BagShelf::day((string) $act->said['bestBefore']))),
            JarActKind::For => $this->forWhom($act),
            JarActKind::Cut => $this->cut($act),
            JarActKind::Undo => $this->undo($act),
        };
    }

    /** A bag that was written down at the oven is filled here too; taken back there, it is taken back here. */
    public function followLog(Batch $batch, Entry $entry): void
    {
        if ($entry->kind === EntryKind::Undone && $entry->corrects !== null && JarAct::query()->where('id', $entry->corrects)->exists() && ! JarAct::query()->where('corrects', $entry->corrects)->exists()) {
            $act = new Act((string) Str::uuid(), $entry->at, $entry->by, JarActKind::Undo, [], $entry->corrects);
            JarAct::write($act, $this->clock->now());
            $this->takenBack($act);
        }
        if ($entry->kind !== EntryKind::Bag) {
            return;
        }
        $place = $this->shelf->firstOf(PlaceKind::from((string) $entry->text('place')));
        $count = max(1, (int) $entry->number('bags'));
        $pieces = $entry->number('pieces') ?? 0.0;
        $split = [];
        for ($n = 0; $n < $count; $n++) {
            $id = $n === 0 ? $entry->id : (string) Uuid::uuid5($entry->id, (string) $n);
            $split[] = ['bag' => $id, 'pieces' => $pieces / $count, 'place' => $place->id];
        }
        $act = new Act($entry->id, $entry->at, $entry->by, JarActKind::Put, ['batch' => $batch->id, 'lot' => $entry->text('lot'), 'split' => $split]);
        JarAct::write($act, $this->clock->now());
        $this->fill($act, $batch, $split, false);
    }

    /** @return list<JarAct> what was done with a bag, the oldest first */
    public function actsOf(Bag $bag): array
    {
        $ids = BagEvent::query()->where('bag_id', $bag->id)->pluck('act_id')->unique()->all();

        /** @var list<JarAct> $acts */
        $acts = JarAct::query()->where(static fn (Builder $query) => $query->whereIn('id', $ids)->orWhereIn('corrects', $ids))->orderBy('at')->orderBy('came_at')->get()->all();

        return $acts;
    }

    /**
     * What a power cut would do to every bag of the places it reached.
     *
     * @param  list<string>  $places  ids; empty for all that need power
     * @param  array<string, string>  $feels
     * @return list<array{bag: string, outcome: string, says: string}>
     */
    public function afterCut(float $hours, bool $full, array $feels, array $places): array
    {
        $told = [];
        foreach ($this->shelf->cold($places) as $bag) {
            $cut = PowerCut::of($this->shelf->standing($bag), $hours, $full, $feels[$bag->id] ?? null);
            $told[] = ['bag' => $bag->id, 'outcome' => $cut->outcome, 'says' => $cut->says];
        }

        return $told;
    }

    /** @return list<Bag> */
    private function put(Act $act): array
    {
        /** @var list<array{bag: string, pieces: float, place: string, grams?: float, dogs?: list<string>}> $split */
        $split = $act->said['split'];
        $batch = $this->batch($act);
        $isDough = ($act->said['as'] ?? 'baked') === 'dough';
        foreach ($split as $n => $one) {
            $place = $this->place($one['place'], "/said/split/$n/place");
            if (! $isDough) {
                $lot = isset($act->said['lot']) ? ['lot' => $act->said['lot']] : [];
                $this->records->record($batch, [new Entry($one['bag'], $act->at, $act->by, EntryKind::Bag, ['place' => $place->kind, 'pieces' => $one['pieces'], 'bags' => 1] + $lot)]);
            }
        }
        if (! $isDough) {
            $batch->touched([]);
        }

        return $this->fill($act, $batch, $split, $isDough);
    }

    /**
     * @param  list<array{bag: string, pieces: float, place: string, grams?: float, dogs?: list<string>}>  $split
     * @return list<Bag>
     */
    private function fill(Act $act, Batch $batch, array $split, bool $isDough): array
    {
        $lot = isset($act->said['lot']) ? (string) $act->said['lot'] : null;
        $made = $this->made($act, $batch);
        [$keeps, $because] = $this->keeping->of($batch, $lot, $isDough, $made);
        $most = $this->keeping->pieces($batch, $lot);
        $bags = [];
        foreach ($split as $n => $one) {
            if ($isDough && $one['pieces'] > $most * 1.5) {
                throw RequestRefused::outOfRange("/said/split/$n/pieces", 'That is more than this dough makes: '.round($most).' pieces by our reckoning.');
            }
            $place = $this->place($one['place'], "/said/split/$n/place");
            $bag = $this->shelf->begin($one['bag'], [
                'title' => $batch->title, 'content' => $isDough ? 'dough' : 'treats', 'batch_id' => $batch->id, 'lot' => $lot, 'made' => $made, 'because' => mb_substr($because, 0, 1000), 'for_dogs' => $one['dogs'] ?? [],
                'grams' => $one['grams'] ?? null, 'put_pieces' => $one['pieces'],
            ], $keeps);
            $bags[] = $this->happened($act, $bag, new Event(Kind::Put, $this->day($act), $one['pieces'], PlaceKind::from($place->kind), $place->celsius), $place);
        }

        return $this->shelf->settle($bags);
    }

    /** The day from which its time counts: that on which the batch was begun, where nobody says a later one on which it was still in the making. */
    private function made(Act $act, Batch $batch): string
    {
        $on = fn (string $at): string => (new CarbonImmutable($at))->setTimezone($this->current->get()->timezone)->format('Y-m-d');
        $begun = $on($batch->begun_at->toIso8601String());
        $ended = $on((string) ($batch->summary['finishedAt'] ?? $act->at));
        $said = (string) ($act->said['made'] ?? $begun);
        if ($said < $begun || $said > max($begun, $ended)) {
            throw RequestRefused::outOfRange('/said/made', $said < $begun ? "{$batch->title} was begun on $begun: $said lies before that." : "{$batch->title} was ready on $ended: it was not made later, on $said.");
        }

        return $said;
    }

    /** @return list<Bag> */
    private function found(Act $act): array
    {
        $place = $this->place($act->said['place'], '/said/place');
        $class = (string) ($act->said['class'] ?? 'moist');
        $keeps = $this->keeping->ofClass($class);
        $because = isset($act->said['class']) ? 'You said what it is.' : 'Nobody knows what it is: kept as what goes off soon.';
        $bag = $this->shelf->begin((string) $act->said['bag'], [
            'title' => (string) $act->said['title'], 'content' => str_starts_with($class, 'dough') ? 'dough' : 'treats', 'made' => (string) $act->said['made'], 'because' => $because, 'for_dogs' => $act->said['dogs'] ?? [],
            'note' => $act->said['note'] ?? null, 'put_pieces' => $this->number($act->said['pieces']),
        ], $keeps);

        return $this->shelf->settle([$this->happened($act, $bag, new Event(Kind::Put, $this->day($act), $this->number($act->said['pieces']), PlaceKind::from($place->kind), $place->celsius), $place)]);
    }

    /** @return list<Bag> */
    private function open(Act $act): array
    {
        $place = $this->place($act->said['place'], '/said/place');
        $batch = isset($act->said['batch']) ? $this->batch($act) : null;
        $bag = $this->shelf->begin((string) $act->said['bag'], [
            'title' => (string) $act->said['title'], 'content' => 'food', 'batch_id' => $batch?->id, 'made' => (string) ($act->said['made'] ?? $this->day($act)->iso), 'because' => OpenedFood::of((string) $act->said['food'])->meaning, 'for_dogs' => [],
            'ingredient' => $act->said['ingredient'] ?? null, 'grams' => isset($act->said['grams']) ? $this->number($act->said['grams']) : null, 'put_pieces' => 1.0,
        ], Keeps::ofFood((string) $act->said['food']));

        return $this->shelf->settle([$this->happened($act, $bag, new Event(Kind::Put, $this->day($act), 1.0, PlaceKind::from($place->kind), $place->celsius), $place)]);
    }

    /** @return list<Bag> none: it is only written down */
    private function gone(Act $act): array
    {
        $this->batch($act);

        return [];
    }

    private function moved(Act $act, Bag $bag, Place $place): Event
    {
        if ($bag->place_id === $place->id) {
            throw RequestRefused::outOfRange('/said/place', "Bag {$bag->number} stands there already ({$place->name}): there is nothing to move, to thaw or to freeze.");
        }

        return new Event(Kind::Moved, $this->day($act), place: PlaceKind::from($place->kind), celsius: $place->celsius);
    }

    /** @return list<Bag> */
    private function split(Act $act): array
    {
        $from = $this->bag($act->said['bag'], '/said/bag');
        /** @var list<array{bag: string, pieces: float, place?: string, dogs?: list<string>}> $to */
        $to = $act->said['to'];
        $bags = [$from];
        $whole = $this->shelf->standing($from);
        foreach ($to as $n => $one) {
            $place = isset($one['place']) ? $this->place($one['place'], "/said/to/$n/place") : $this->place($from->place_id, '/said/bag');
            $new = $this->shelf->begin($one['bag'], [
                'title' => $from->title, 'content' => $from->content, 'batch_id' => $from->batch_id, 'lot' => $from->lot, 'made' => $from->made->format('Y-m-d'), 'because' => $from->because,
                'for_dogs' => $one['dogs'] ?? $from->for_dogs, 'ingredient' => $from->ingredient, 'put_pieces' => $one['pieces'],
            ], BagShelf::keeps($from));
            $this->happened($act, $from, new Event(Kind::Taken, $this->day($act), $one['pieces'], why: 'split'));
            $bags[] = $this->happened($act, $new, new Event(Kind::Put, $this->day($act), $one['pieces'], PlaceKind::from($place->kind), $place->celsius, from: $whole), $place);
        }

        return $this->shelf->settle($bags);
    }

    /** @return list<Bag> */
    private function merge(Act $act): array
    {
        $from = $this->bag($act->said['bag'], '/said/bag');
        $into = $this->bag($act->said['into'], '/said/into');
        $of = static fn (Bag $bag): array => [$bag->batch_id, $bag->lot, $bag->title, $bag->content];
        if ($from->id === $into->id) {
            throw RequestRefused::outOfRange('/said/into', 'A bag cannot be poured into itself.');
        }
        if ($of($from) !== $of($into)) {
            throw RequestRefused::outOfRange('/said/into', "Bag {$from->number} is {$from->title}, bag {$into->number} is another batch: a bag holds one batch, so that it is known what a dog ate.");
        }
        $this->happened($act, $into, new Event(Kind::Added, $this->day($act), $from->pieces, from: $this->shelf->standing($from)));
        $this->happened($act, $from, new Event(Kind::Taken, $this->day($act), $from->pieces, why: 'merged'));

        return $this->shelf->settle([$into, $from]);
    }

    /** @return list<Bag> */
    private function forWhom(Act $act): array
    {
        $bag = $this->bag($act->said['bag'], '/said/bag');
        $bag->for_dogs = $act->said['dogs'];
        if (array_key_exists('note', $act->said)) {
            $bag->note = (string) $act->said['note'];
        }

        return $this->shelf->settle([$bag]);
    }

    /** @return list<Bag> */
    private function cut(Act $act): array
    {
        /** @var array<string, string> $feels */
        $feels = $act->said['feels'] ?? [];
        /** @var list<string> $places */
        $places = $act->said['places'] ?? [];
        $bags = [];
        foreach ($this->afterCut($this->number($act->said['hours']), $act->said['full'] ?? false, $feels, $places) as $told) {
            $bag = $this->bag($told['bag'], '/said');
            $event = match ($told['outcome']) {
                PowerCut::LOOK => throw RequestRefused::outOfRange('/said/feels', "Feel bag {$bag->number} first ({$bag->title}): hard, icy inside, or soft?"),
                PowerCut::THAWED => new Event(Kind::Warmed, $this->day($act), why: 'thawed'),
                PowerCut::STOOD => new Event(Kind::Warmed, $this->day($act), why: 'stood'),
                PowerCut::THROW => new Event(Kind::Taken, $this->day($act), $bag->pieces, why: 'thrown'),
                default => null,
            };
            if ($event !== null) {
                $bags[] = $this->happened($act, $bag, $event);
            }
        }

        return $this->shelf->settle($bags);
    }

    /** @throws RequestRefused when there is nothing to take back */
    private function mayTakeBack(string $id): void
    {
        $first = JarAct::query()->where('id', $id)->first() ?? throw RequestRefused::outOfRange('/corrects', 'Nothing of this kitchen has this id.');
        if ($first->do === JarActKind::Undo->value) {
            throw RequestRefused::outOfRange('/corrects', 'What was taken back stays so: do it again instead.');
        }
        if ($first->do === JarActKind::For->value) {
            throw RequestRefused::outOfRange('/corrects', 'Say anew whom it is for.');
        }
        if (JarAct::query()->where('corrects', $id)->exists()) {
            throw RequestRefused::outOfRange('/corrects', 'That was taken back already.');
        }
    }

    /** @return list<Bag> */
    private function undo(Act $act): array
    {
        $first = JarAct::query()->where('id', (string) $act->corrects)->firstOrFail();
        /** @var stdClass $said */
        $said = json_decode($first->said, false, 64, JSON_THROW_ON_ERROR);
        $batch = $first->do === JarActKind::Put->value && ($said->as ?? 'baked') === 'baked' ? Batch::query()->find((string) $said->batch) : null;
        if ($batch !== null) {
            foreach (is_array($said->split ?? null) ? $said->split : [] as $one) {
                if ($one instanceof stdClass && $batch->entries()->where('id', $one->bag)->exists()) {
                    $this->records->record($batch, [new Entry((string) Str::uuid(), $act->at, $act->by, EntryKind::Undone, [], (string) $one->bag)]);
                }
            }
            $batch->touched([]);
        }

        return $this->takenBack($act);
    }

    /** @return list<Bag> */
    private function takenBack(Act $act): array
    {
        return $this->shelf->settle($this->shelf->touchedBy((string) $act->corrects), 'Take back first what was done with it since.');
    }

    /**
     * @param  \Closure(Bag): Event  $event
     * @return list<Bag>
     */
    private function onBag(Act $act, \Closure $event): array
    {
        $bag = $this->bag($act->said['bag'], '/said/bag');
        if ($bag->state !== 'here' && $act->kind !== JarActKind::Count) {
            throw RequestRefused::outOfRange('/said/bag', "Bag {$bag->number} is empty: nothing is left to do with it. Count it if there is something in it after all.");
        }
        $place = isset($act->said['place']) ? $this->place($act->said['place'], '/said/place') : null;

        return $this->shelf->settle([$this->happened($act, $bag, $event($bag), $place)]);
    }

    private function happened(Act $act, Bag $bag, Event $event, ?Place $place = null): Bag
    {
        $this->shelf->happened($act->id, new CarbonImmutable($act->at), $bag, $event, $place);

        return $bag;
    }

    /** The kitchen's own day of the moment it was done. */
    private function day(Act $act): Day
    {
        return BagShelf::day((new CarbonImmutable($act->at))->setTimezone($this->current->get()->timezone)->format('Y-m-d'));
    }

    private function number(mixed $value): float
    {
        return is_int($value) || is_float($value) ? (float) $value : 0.0;
    }

    private function batch(Act $act): Batch
    {
        return Batch::query()->find((string) $act->said['batch']) ?? throw RequestRefused::outOfRange('/said/batch', 'No batch of this kitchen has this id.');
    }

    private function bag(mixed $id, string $path): Bag
    {
        return Bag::query()->find(is_string($id) ? $id : '') ?? throw RequestRefused::outOfRange($path, 'No bag of this kitchen has this id.');
    }

    private function place(mixed $id, string $path): Place
    {
        return Place::query()->find(is_string($id) ? $id : '') ?? throw RequestRefused::outOfRange($path, 'No place of this kitchen has this id.');
    }
}
