<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Bag;
use App\Models\JarAct;
use App\Models\Place;
use Illuminate\Support\Str;
use MildBowl\Core\Keeping\BagEvent as Event;
use MildBowl\Core\Keeping\BagEventKind as Kind;
use MildBowl\Core\Keeping\JarAct as Act;
use MildBowl\Core\Keeping\JarActKind;
use MildBowl\Core\Keeping\Place as PlaceKind;
use MildBowl\Core\Questions\RequestRefused;

/** The kitchen's places with what stands in them: how warm they are, and whether they may be another kind of place or none. */
final readonly class Rooms
{
    /** Whose doing it is that a room is warmer than it was. */
    private const ROOM = 'the room';

    public function __construct(private KitchenClock $clock, private BagShelf $shelf) {}

    /** A room that is warmer or colder than it was keeps its jars for another time, from now on. */
    public function roomIs(Place $place): void
    {
        $now = $this->clock->now();
        $today = BagShelf::day($this->clock->today()->format('Y-m-d'));
        foreach (Bag::query()->where('state', 'here')->where('place_id', $place->id)->get() as $bag) {
            $act = new Act((string) Str::uuid(), $now->utc()->format('Y-m-d\TH:i:s.v\Z'), self::ROOM, JarActKind::Move, ['bag' => $bag->id, 'place' => $place->id]);
            JarAct::write($act, $now);
            $this->shelf->happened($act->id, $now, $bag, new Event(Kind::Moved, $today, place: PlaceKind::from($place->kind), celsius: $place->celsius), $place);
            $this->shelf->settle([$bag]);
        }
    }

    /** @throws RequestRefused when bags stand there */
    public function mayGo(Place $place): void
    {
        $count = Bag::query()->where('place_id', $place->id)->where('state', 'here')->count();
        if ($count > 0) {
            throw RequestRefused::outOfRange('/place', "{$place->name} holds ".($count === 1 ? 'a bag' : "$count bags").': put them elsewhere first.');
        }
    }

    /** @throws RequestRefused when its kind cannot change */
    public function mayBecome(Place $place, mixed $kind): void
    {
        if ($kind !== null && $kind !== $place->kind) {
            $this->mayGo($place);
        }
    }
}
