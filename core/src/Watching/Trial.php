<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Values\Day;

/** One trial of one dog: what is given or left out, from which day, for how long, and what it came to. */
final readonly class Trial
{
    /** Eight weeks. */
    public const ELIMINATION_DAYS = 56;

    public const MOST_DAYS = 84;

    /**
     * @param  list<string>  $foods  ids of foods or groups: the one that is tried or left out, or all that may be eaten
     * @param  int  $days  that are watched, the first counted
     * @param  bool  $vetSaid  a vet asked for it
     * @param  ?Day  $ended  the day on which somebody said what it came to
     * @param  ?string  $saw  what was seen where it went badly
     */
    public function __construct(
        public string $id,
        public TrialKind $kind,
        public array $foods,
        public Day $from,
        public int $days,
        public bool $vetSaid = false,
        public ?Day $ended = null,
        public ?TrialOutcome $outcome = null,
        public ?string $saw = null,
    ) {}

    /** How long a kind is watched where nobody says otherwise: as long as the slowest sign takes. */
    public static function usualDays(TrialKind $kind): int
    {
        return $kind === TrialKind::Elimination ? self::ELIMINATION_DAYS : max(array_map(static fn (SignKind $sign): int => $sign->watchDays(), SignKind::cases()));
    }

    public function lastDay(): Day
    {
        return $this->from->after($this->days - 1);
    }

    /** The first day is 1; 0 and less lie before it. */
    public function dayOn(Day $day): int
    {
        return $this->from->until($day) + 1;
    }

    /** Whether it has begun and nobody has said what it came to. */
    public function isOpen(Day $today): bool
    {
        return ! $today->isBefore($this->from) && ($this->ended === null || $today->isBefore($this->ended));
    }

    /** Whether its days are over and somebody has to say what it came to. An elimination is never: challenges follow. */
    public function isDue(Day $today): bool
    {
        return $this->ended === null && $this->kind !== TrialKind::Elimination && $this->lastDay()->isBefore($today);
    }

    /** Whether some day of it is a day of another. */
    public function overlaps(self $other): bool
    {
        $ends = static fn (self $one): string => $one->ended->iso ?? '9999-12-31';

        return $this->from->iso < $ends($other) && $other->from->iso < $ends($this);
    }

    /** What is to be done on a day, as a person would say it. */
    public function says(Day $today): string
    {
        $day = $this->dayOn($today);
        $watching = $day <= SignKind::Gut->watchDays() ? 'watch stool and skin' : 'watch the skin';

        return match (true) {
            $this->ended !== null => 'ended',
            $day < 1 => 'begins on '.$this->from->spelled(),
            $this->kind === TrialKind::Elimination && $day > $this->days => 'only what is on the list, and one challenge at a time, as your vet says',
            $this->kind === TrialKind::Elimination => "day $day of {$this->days}: only what is on the list",
            $this->isDue($today) => 'the days are over: how did it go?',
            $this->kind === TrialKind::LeaveOut => "day $day of {$this->days}: left out",
            default => "day $day of {$this->days}: ".match (Ramp::onDay($day)) {
                1.0 => 'all of it',
                0.5 => 'half of it',
                default => 'a quarter of it',
            }.", $watching",
        };
    }

    /** @return array<string, string> what the calendar says of it, by day */
    public function dates(): array
    {
        $dates = match (true) {
            $this->kind->bringsIn() => [
                $this->from->iso => 'a quarter of the usual', $this->from->after(2)->iso => 'half of the usual', $this->from->after(4)->iso => 'all of the usual',
            ],
            $this->kind === TrialKind::LeaveOut => [$this->from->iso => 'left out from today'],
            default => [$this->from->iso => 'only what is on the list from today'],
        };
        $dates[$this->lastDay()->after(1)->iso] = $this->kind === TrialKind::Elimination ? 'eight weeks are over: ask your vet about challenges' : 'how did it go?';

        return array_filter($dates, fn (string $day): bool => $this->ended === null || $day < $this->ended->iso, ARRAY_FILTER_USE_KEY);
    }
}
