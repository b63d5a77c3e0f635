<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Figure;

/**
 * A bag, a jar or a tub as it stands after what happened to it. Its time runs as a share of what it keeps in each place: half of it in the
 * jar leaves half of it in the fridge. Freezing stops the clock, thawing starts it, and what was thawed is never frozen again.
 */
final readonly class Bag
{
    private const CRUMB = 1e-6;

    /** used up, with nothing to spare for the day it is thawed on */
    private const OVERDUE = 2.0;

    /**
     * @param  float  $used  share of its time that was spent when it came to where it is
     * @param  ?Day  $ownUntil  the best before that somebody set where it stands now
     */
    private function __construct(
        public Keeps $keeps,
        public Day $made,
        public float $pieces,
        public Place $place,
        public ?float $celsius,
        public Day $since,
        public float $used,
        public ?Day $thawedOn,
        public ?Day $ownUntil,
    ) {}

    /** Nothing yet of what was made on a day. */
    public static function empty(Keeps $keeps, Day $made): self
    {
        return new self($keeps, $made, 0.0, Place::Fridge, null, $made, 0.0, null, null);
    }

    /**
     * @param  list<BagEvent>  $events
     *
     * @throws BagRefused when one of them cannot be
     */
    public static function after(Keeps $keeps, Day $made, array $events): self
    {
        $bag = self::empty($keeps, $made);
        foreach ($events as $event) {
            $bag = $bag->then($event);
        }

        return $bag;
    }

    /** @return array{pieces: float, place: string, celsius: ?float, since: string, used: float, thawedOn: ?string, ownUntil: ?string} how it stands, to be kept */
    public function state(): array
    {
        return [
            'pieces' => $this->pieces, 'place' => $this->place->value, 'celsius' => $this->celsius, 'since' => $this->since->iso, 'used' => $this->used, 'thawedOn' => $this->thawedOn?->iso,
            'ownUntil' => $this->ownUntil?->iso,
        ];
    }

    /** @param  array{pieces: float|int, place: string, celsius: float|int|null, since: string, used: float|int, thawedOn: ?string, ownUntil: ?string}  $state */
    public static function standing(Keeps $keeps, Day $made, array $state): self
    {
        $day = static fn (?string $iso): ?Day => $iso === null ? null : Day::read($iso);

        return new self(
            $keeps, $made, (float) $state['pieces'], Place::from($state['place']), $state['celsius'] === null ? null : (float) $state['celsius'], $day($state['since']) ?? $made, (float) $state['used'],
            $day($state['thawedOn']), $day($state['ownUntil']),
        );
    }

    public function isEmpty(): bool
    {
        return $this->pieces <= self::CRUMB;
    }

    public function isFrozen(): bool
    {
        return $this->place === Place::Freezer && $this->thawedOn === null;
    }

    /** The last day that it is good on, where it stands now. */
    public function bestBefore(): Day
    {
        return $this->ownUntil ?? $this->since->after($this->isFrozen() ? $this->keeps->days(Place::Freezer, null) : $this->daysLeft($this->place, $this->celsius, $this->used));
    }

    /** The latest day that people may set: the figure in brackets of its class, less what is spent. */
    public function bestBeforeAtMost(): Day
    {
        if ($this->isFrozen()) {
            return $this->since->after($this->keeps->atMost(Place::Freezer, null));
        }
        $most = $this->keeps->atMost($this->place, $this->celsius);

        return $this->since->after(max($this->daysLeft($this->place, $this->celsius, $this->used), (int) floor((1 - $this->used) * $most + 1e-9)));
    }

    /** Days it is good for once it is taken out of the freezer: no more than were left of its time when it went in. */
    public function thawedDays(): int
    {
        return max(1, (int) floor((1 - $this->used) * $this->keeps->thawedDays + 1e-9));
    }

    /** @throws BagRefused when it cannot be */
    public function then(BagEvent $event): self
    {
        if ($event->on->isBefore($this->made)) {
            throw new BagRefused("{$event->on->iso} lies before it was made ({$this->made->iso}): check the date.");
        }

        return match ($event->kind) {
            BagEventKind::Put => $this->put($event),
            BagEventKind::Moved => $this->moved($event),
            BagEventKind::Taken => $this->taken($event),
            BagEventKind::Added => $this->added($event),
            BagEventKind::Counted => $this->with(pieces: $event->pieces ?? 0.0),
            BagEventKind::Dated => $this->dated($event),
            BagEventKind::Warmed => $this->warmed($event),
        };
    }

    private function put(BagEvent $event): self
    {
        $from = $event->from;
        $place = $event->place ?? $this->place;
        $bag = new self($this->keeps, $this->made, $event->pieces ?? 0.0, $from->place ?? $place, $from->celsius ?? $event->celsius, $from->since ?? $event->on, $from->used ?? 0.0, $from?->thawedOn, $from?->ownUntil);
        if ($from === null) {
            // what stood somewhere else before it was put away is of the day it was made
            $waited = $this->made->until($event->on);

            return $waited === 0 || $place !== Place::Freezer ? $bag->with(since: $this->made) : $bag->with(used: $this->spent(Place::Fridge, null, $waited));
        }

        return $from->place === $place && $from->celsius === $event->celsius ? $bag : $bag->moved(new BagEvent(BagEventKind::Moved, $event->on, place: $place, celsius: $event->celsius));
    }

    private function moved(BagEvent $event): self
    {
        $to = $event->place ?? $this->place;
        $isFrozen = $this->isFrozen();
        if ($to === Place::Freezer && ! $isFrozen) {
            if ($this->thawedOn !== null) {
                throw new BagRefused("It was thawed on {$this->thawedOn->iso}, and what was thawed is never frozen again: eat it by {$this->bestBefore()->iso}, or throw it away.");
            }
            if ($this->bestBefore()->isBefore($event->on)) {
                throw new BagRefused("It was best before {$this->bestBefore()->iso}: freezing does not make it good again. Throw it away.");
            }
        }
        $used = $isFrozen ? $this->used : $this->usedBy($event->on);
        if ($isFrozen && $to === Place::Freezer) {
            // from one freezer to another: the clock stands still
            return $this->with(celsius: $event->celsius);
        }
        $bag = new self($this->keeps, $this->made, $this->pieces, $to, $event->celsius, $event->on, $used, $isFrozen ? $event->on : $this->thawedOn, null);
        if ($isFrozen && $this->bestBefore()->isBefore($event->on)) {
            // past its time in the freezer: good for the day it is taken out on
            return $bag->with(used: self::OVERDUE);
        }

        return $bag;
    }

    private function taken(BagEvent $event): self
    {
        $pieces = $event->pieces ?? $this->pieces;
        if ($pieces > $this->pieces + self::CRUMB) {
            throw new BagRefused('There '.($this->pieces === 1.0 ? 'is only 1 piece' : 'are only '.Figure::of($this->pieces).' pieces').' in it: '.Figure::of($pieces).' cannot be taken.');
        }

        return $this->with(pieces: max(0.0, $this->pieces - $pieces));
    }

    private function added(BagEvent $event): self
    {
        $from = $event->from;
        if ($from !== null && $this->isFrozen() !== $from->isFrozen() && ! $this->isEmpty()) {
            throw new BagRefused('One is frozen and the other is not: thaw it first, or keep them apart.');
        }
        $bag = $this->with(pieces: $this->pieces + ($event->pieces ?? 0.0));
        if ($from === null || ! $from->bestBefore()->isBefore($this->bestBefore())) {
            return $from?->thawedOn === null || $bag->thawedOn !== null ? $bag : $bag->with(thawedOn: $from->thawedOn);
        }

        // together they keep as long as what goes off first
        return new self($this->keeps, $this->made, $bag->pieces, $from->place, $from->celsius, $from->since, $from->used, $this->thawedOn ?? $from->thawedOn, $from->ownUntil);
    }

    private function dated(BagEvent $event): self
    {
        $day = $event->bestBefore ?? $this->bestBefore();
        if ($this->bestBeforeAtMost()->isBefore($day)) {
            throw new BagRefused("At most until {$this->bestBeforeAtMost()->iso} {$this->place->inWords()}: the table of keeping has no longer figure for it.");
        }
        if ($day->isBefore($this->since)) {
            throw new BagRefused("{$day->iso} lies before it came here ({$this->since->iso}): throw it away instead, if it is off.");
        }

        return $this->with(ownUntil: $day);
    }

    /** It thawed where it lies, or stood as warm as a jar does for a day. */
    private function warmed(BagEvent $event): self
    {
        if ($event->why === 'thawed' && $this->isFrozen()) {
            return new self($this->keeps, $this->made, $this->pieces, $this->place, $this->celsius, $event->on, $this->used, $event->on, null);
        }
        $jar = $this->keeps->days(Place::Jar, null);

        return $this->isFrozen() ? $this : new self(
            $this->keeps, $this->made, $this->pieces, $this->place, $this->celsius, $event->on,
            min(1.0, $this->usedBy($event->on) + ($jar > 0 ? 1 / $jar : 1.0)), $this->thawedOn, null,
        );
    }

    /** Share of its time that is spent by a day; where somebody set an earlier day, by that one. A day that was set later is no promise for elsewhere. */
    private function usedBy(Day $on): float
    {
        $used = min(max(1.0, $this->used), $this->used + $this->spent($this->place, $this->celsius, $this->since->until($on)));
        $life = $this->life($this->place, $this->celsius);

        return $this->ownUntil === null || $life <= 0 ? $used : max($used, min(1.0, 1 - $on->until($this->ownUntil) / $life));
    }

    /** Whole days that are left in a place, of a time that is spent in part; what is thawed counts as in the fridge. */
    private function daysLeft(Place $place, ?float $celsius, float $used): int
    {
        $left = (int) floor((1 - $used) * $this->life($place, $celsius) + 1e-9);

        return $this->thawedOn !== null && $this->thawedOn->iso === $this->since->iso && $used <= 1.0 ? max(1, $left) : max(0, $left);
    }

    private function life(Place $place, ?float $celsius): int
    {
        // what thawed in a freezer without power lies as in a fridge
        $days = $this->keeps->days($place === Place::Freezer ? Place::Fridge : $place, $celsius);

        return $this->thawedOn === null ? $days : min($days, $this->keeps->thawedDays);
    }

    /** Share of its time that so many days in a place take. */
    private function spent(Place $place, ?float $celsius, int $days): float
    {
        $life = $this->life($place, $celsius);

        return $days <= 0 ? 0.0 : ($life <= 0 ? 1.0 : $days / $life);
    }

    private function with(?float $pieces = null, ?Day $since = null, ?float $used = null, ?Day $thawedOn = null, ?Day $ownUntil = null, ?float $celsius = null): self
    {
        return new self(
            $this->keeps, $this->made, $pieces ?? $this->pieces, $this->place, $celsius ?? $this->celsius, $since ?? $this->since, $used ?? $this->used, $thawedOn ?? $this->thawedOn, $ownUntil ?? $this->ownUntil,
        );
    }
}
