<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\BagEvent;
use App\Models\JarAct;
use App\Models\Place;
use Carbon\CarbonImmutable;
use MildBowl\Core\Keeping\Bag as Standing;
use MildBowl\Core\Keeping\BagEvent as Event;
use MildBowl\Core\Keeping\BagEventKind as Kind;
use MildBowl\Core\Keeping\BagRefused;
use MildBowl\Core\Keeping\Keeps;
use MildBowl\Core\Keeping\Place as PlaceKind;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;

/** The bags as rows: begun, told of what happened to them, and stood as core says they stand. */
final readonly class BagShelf
{
    private const NAMES = ['jar' => 'The jar', 'fridge' => 'The fridge', 'freezer' => 'The freezer'];

    public static function day(string $iso): Day
    {
        return Day::read($iso) ?? throw new \LogicException("\"$iso\" is no day.");
    }

    public static function keeps(Bag $bag): Keeps
    {
        $keeps = $bag->keeps;

        return new Keeps($keeps['class'], $keeps['days'], $keeps['atMost'], $keeps['thawedDays'], $keeps['isDry']);
    }

    /**
     * @param  array<string, mixed>  $said
     *
     * @throws RequestRefused when another bag has this id
     */
    public function begin(string $id, array $said, Keeps $keeps): Bag
    {
        if (Bag::withTrashed()->where('id', $id)->exists()) {
            throw RequestRefused::outOfRange('/said', 'A bag with this id is here already.');
        }

        return Bag::query()->create($said + [
            'id' => $id, 'number' => (int) Bag::withTrashed()->max('number') + 1, 'pieces' => 0.0, 'frozen' => false, 'thawed_days' => 1, 'state' => 'undone',
            'keeps' => ['class' => $keeps->class, 'days' => $keeps->days, 'atMost' => $keeps->atMost, 'thawedDays' => $keeps->thawedDays, 'isDry' => $keeps->isDry],
        ]);
    }

    public function happened(string $act, CarbonImmutable $at, Bag $bag, Event $event, ?Place $place): void
    {
        $said = array_filter([
            'pieces' => $event->pieces, 'place' => $event->place?->value, 'placeId' => $place?->id, 'celsius' => $event->celsius, 'bestBefore' => $event->bestBefore?->iso, 'from' => $event->from?->state(), 'why' => $event->why,
        ], static fn (mixed $one): bool => $one !== null);
        BagEvent::query()->create([
            'act_id' => $act, 'n' => BagEvent::query()->where('act_id', $act)->count(), 'bag_id' => $bag->id, 'at' => $at, 'on' => $event->on->iso, 'kind' => $event->kind->value,
            'said' => json_encode((object) $said, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION),
        ]);
    }

    /** As core says it stands after everything that was done with it and not taken back. */
    public function standing(Bag $bag): Standing
    {
        return Standing::after(self::keeps($bag), self::day($bag->made->format('Y-m-d')), array_map(fn (BagEvent $one): Event => $this->event($bag, $one), $this->events($bag)));
    }

    /**
     * Each as it stands now, written beside it.
     *
     * @param  list<Bag>  $bags
     * @param  string  $more  what else to say where it cannot be
     * @return list<Bag>
     *
     * @throws RequestRefused when what was done cannot be
     */
    public function settle(array $bags, string $more = ''): array
    {
        foreach ($bags as $bag) {
            $events = $this->events($bag);
            try {
                $stands = $this->standing($bag);
            } catch (BagRefused $refused) {
                throw RequestRefused::outOfRange('/said', trim("Bag {$bag->number}: ".lcfirst($refused->getMessage())." $more"));
            }
            $place = null;
            foreach ($events as $one) {
                $place = json_decode($one->said)->placeId ?? $place;
            }
            $state = $events === [] ? 'undone' : ($stands->isEmpty() ? 'empty' : 'here');
            $last = $events === [] ? null : $events[count($events) - 1]->at;
            $bag->fill([
                'pieces' => round($stands->pieces, 6), 'place_id' => $place ?? $bag->place_id, 'best_before' => $events === [] ? null : $stands->bestBefore()->iso, 'at_most' => $events === [] ? null : $stands->bestBeforeAtMost()->iso,
                'frozen' => $events !== [] && $stands->isFrozen(), 'thawed_on' => $stands->thawedOn?->iso, 'thawed_days' => $stands->thawedDays(), 'state' => $state, 'ended_at' => $state === 'empty' ? $last : null,
            ])->save();
        }

        return $bags;
    }

    /** @return list<Bag> that an act touched */
    public function touchedBy(string $act): array
    {
        /** @var list<Bag> $bags */
        $bags = Bag::query()->whereIn('id', BagEvent::query()->where('act_id', $act)->pluck('bag_id')->all())->orderBy('number')->get()->all();

        return $bags;
    }

    /**
     * @param  list<string>  $places  ids; empty for all
     * @return list<Bag> that stand where there is power
     */
    public function cold(array $places): array
    {
        $all = Place::query()->whereIn('kind', ['fridge', 'freezer']);
        $ids = ($places === [] ? $all : $all->whereIn('id', $places))->pluck('id')->all();

        /** @var list<Bag> $bags */
        $bags = Bag::query()->where('state', 'here')->whereIn('place_id', $ids)->orderBy('number')->get()->all();

        return $bags;
    }

    /** The first place of a kind; made where the kitchen has none. */
    public function firstOf(PlaceKind $kind): Place
    {
        return Place::query()->where('kind', $kind->value)->orderBy('position')->orderBy('name')->first()
            ?? Place::query()->create(['name' => self::NAMES[$kind->value], 'kind' => $kind->value, 'position' => (int) Place::query()->max('position') + 1]);
    }

    /** @return list<BagEvent> in the order they happened, without what was taken back */
    private function events(Bag $bag): array
    {
        $undone = JarAct::query()->whereNotNull('corrects')->select('corrects');

        /** @var list<BagEvent> $events */
        $events = BagEvent::query()->where('bag_id', $bag->id)->whereNotIn('act_id', $undone)->orderBy('at')->orderBy('seq')->get()->all();

        return $events;
    }

    private function event(Bag $bag, BagEvent $row): Event
    {
        $said = (array) json_decode($row->said, true, 64, JSON_THROW_ON_ERROR);
        /** @var array{pieces: float|int, place: string, celsius: float|int|null, since: string, used: float|int, thawedOn: ?string, ownUntil: ?string}|null $from */
        $from = $said['from'] ?? null;
        $number = static fn (string $key): ?float => is_int($said[$key] ?? null) || is_float($said[$key] ?? null) ? (float) $said[$key] : null;
        $text = static fn (string $key): ?string => is_string($said[$key] ?? null) ? $said[$key] : null;

        return new Event(
            Kind::from($row->kind), self::day(substr((string) $row->on, 0, 10)), $number('pieces'), $text('place') === null ? null : PlaceKind::from($text('place')), $number('celsius'),
            $text('bestBefore') === null ? null : self::day($text('bestBefore')), $from === null ? null : Standing::standing(self::keeps($bag), self::day($bag->made->format('Y-m-d')), $from), $text('why'),
        );
    }
}
