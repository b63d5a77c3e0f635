<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Core;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\HeatClass;
use MildBowl\Core\Baking\HeatStage;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Range;

/** The steps of what is in the heat: in, looked at, turned, probed, dried, out. Times of the maker's own method take the place of ours. */
final class Firing
{
    private const FIRST_LOOK = 0.8;

    private const FAN = 20;

    /** Stirred or looked at again and again: so often at most. */
    private const MOST_TIMES = 8;

    /** min between two looks over an open fire. */
    private const LOOK_AT_FIRE = 5.0;

    private const BURST = 0.5;

    /** min from which a time is told in hours. */
    private const IN_HOURS = 120.0;

    /** °C and minutes that make raw strips safe before they are dried (reference, page 3: food safety in the kitchen). */
    private const HEAT_THROUGH = 135;

    /** °C up to which no drying makes raw meat safe by itself (reference, page 3: food safety in the kitchen). */
    private const MAKES_NOTHING_SAFE = 95;

    private const KINDS = ['freeze' => Kind::Freeze, 'chill' => Kind::Chill, 'dry' => Kind::Dry, 'turn over and dry' => Kind::Dry, 'leave in the turned-off oven' => Kind::Dry];

    /** @var list<Task> */
    public array $tasks = [];

    /** Until all of it is out of the oven, min after it went in. */
    public float $minutes = 0.0;

    /** Until nothing of it needs the oven hot. */
    public float $hotMinutes = 0.0;

    /** @var list<array{Kind, ?int, float}> in turn: what it is, at what heat, and from when, after it went in */
    private array $stages = [];

    /**
     * @param  string  $process  that it is heated by
     * @param  list<Told>  $told  what the maker tells of the heat and after it
     * @param  list<Task>  $needs  what must be done before
     * @param  float  $later  min after $needs[0] began, where it goes in with that
     */
    public function __construct(
        private readonly string $process,
        private readonly Heat $heat,
        private readonly array $told,
        private array $needs,
        private readonly ?string $part,
        private readonly ?string $lot,
        private readonly Remarks $remarks,
        private readonly string $what = 'them',
        private ?float $later = null,
        private readonly bool $isOverFire = false,
    ) {
        $this->plan();
    }

    /** What must have happened before it cools. */
    public function last(): Task
    {
        return $this->needs[0];
    }

    public function first(): Task
    {
        return $this->tasks[0];
    }

    /** What it does to an oven; null where it is in none. */
    public function load(): ?Load
    {
        $celsius = array_values(array_filter(array_column($this->stages, 1), static fn (?int $one): bool => $one !== null));

        return $celsius === [] ? null : new Load($celsius[0], $celsius[count($celsius) - 1], $this->minutes, [$this->last()]);
    }

    private function plan(): void
    {
        $isCold = in_array($this->heat->stages[0]->does ?? 'chill', ['freeze', 'chill'], true);
        $raw = $isCold || $this->process === 'none' ? null : $this->heat->cores[0] ?? null;
        $mains = array_filter($this->told, static fn (Told $one): bool => $one->kind->finishes());
        foreach ($this->heat->stages as $n => $stage) {
            $kind = $this->kindOf($stage);
            if ($n === 0 && $raw !== null && $kind === Kind::Dry) {
                $this->heatThrough($raw);
            }
            if ($this->isOverFire && $stage->isLeft()) {
                continue;
            }
            if ($stage->does === 'turn over and dry') {
                $this->add(Kind::Turn, 'Turn '.$this->what.' over.', WorkTime::of('turn')->minutes, true);
            }
            $at = self::toldOf($kind, $stage, $mains, $n === 0);
            if ($at !== null && $n > 0) {
                $this->between($at);
            }
            $told = $at === null ? null : $mains[$at];
            unset($mains[$at ?? -1]);
            $probed = $n === 0 && $kind === Kind::Heat ? $raw : null;
            $isCool = ($stage->celsius ?? 0) <= self::MAKES_NOTHING_SAFE + ($told?->heat?->isOfFan() === true ? self::FAN : 0);
            if ($kind === Kind::Heat && $this->inOven() && ($told?->kind === Kind::Dry ? $isCool || $probed === null : $isCool && $probed?->isOfFlesh() === true)) {
                $kind = Kind::Dry;
                $stage = $stage->dried();
                if ($probed !== null && $isCool) {
                    $this->heatThrough($probed);
                    $probed = null;
                }
            }
            $this->stage($kind, $stage, $told, $probed);
        }
        foreach ($isCold ? [] : $mains as $at => $more) {
            $this->more($more, $at);
        }
    }

    /**
     * Which of what is told is told of a stage: of its kind; of the first, whatever is told of the heat.
     *
     * @param  array<int, Told>  $mains
     */
    private static function toldOf(Kind $kind, HeatStage $stage, array $mains, bool $isFirst): ?int
    {
        $mains = array_filter($mains, static fn (Told $one): bool => $stage->isLeft() || ! $one->isOfTheHeatLeft());
        $isCold = static fn (Kind $one): bool => in_array($one, [Kind::Chill, Kind::Set, Kind::Freeze], true);
        // what is dried first and heated then is dried first
        $isFirstHeat = $isFirst && $kind === Kind::Heat;
        foreach ($mains as $at => $one) {
            if ($one->kind === $kind || ($isFirstHeat && $one->kind === Kind::Dry)) {
                return $at;
            }
        }
        foreach ($isFirst ? $mains : [] as $at => $one) {
            if ($isCold($one->kind) === $isCold($kind)) {
                return $at;
            }
        }

        return null;
    }

    /** Heat that the maker tells beyond what is reckoned: "flip, and ten minutes more". */
    private function more(Told $told, int $at): void
    {
        $isLeft = $told->isOfTheHeatLeft();
        $minutes = $told->minutes ?? ($isLeft ? HeatClass::afterwards() : null);
        if ($minutes === null || ! in_array($told->kind, [Kind::Heat, Kind::Dry], true)) {
            return;
        }
        $this->between($at);
        $now = array_values(array_filter(array_column($this->stages, 1), static fn (?int $one): bool => $one !== null));
        $celsius = ! $this->inOven() || $now === [] || $isLeft ? null : $told->heat?->onTheDial() ?? $now[count($now) - 1];
        $task = $this->add($told->kind, $this->ofWhat($told->text), $minutes, false, $celsius);
        if (! $isLeft) {
            $this->within($task, Kind::Look, 'Look at '.$this->what.'.', self::firstLook($minutes));
        }
    }

    /** What is done to them between two heats: turned, cooled, sliced. */
    private function between(int $at): void
    {
        for ($from = $at; $from > 0 && ! $this->told[$from - 1]->kind->finishes(); $from--);
        foreach (array_slice($this->told, $from, $at - $from) as $act) {
            $job = [Kind::Turn->value => 'turn', Kind::Shape->value => 'slice', Kind::Prepare->value => 'prepare', Kind::Cool->value => 'cool-thin'][$act->kind->value] ?? null;
            if ($job !== null && $this->isBetween($act, $at)) {
                $this->add($act->kind, $act->text, $act->minutes ?? WorkTime::of($job)->minutes, $act->kind !== Kind::Cool);
            }
        }
    }

    /** Whether it is done between two heats, and not while one goes on. */
    private function isBetween(Told $act, int $heat): bool
    {
        $next = $this->told[$heat] ?? null;

        return ! $act->isTimed() && $next !== null && ! $next->isOfTheHeatLeft() && ($next->kind === Kind::Heat || ($next->kind === Kind::Dry && $act->kind !== Kind::Turn));
    }

    /** Words of the maker, with what they are about where that is not all there is. */
    private function ofWhat(string $text): string
    {
        return in_array($this->what, ['them', 'it'], true) ? $text : ucfirst($this->what).': '.lcfirst($text);
    }

    private function kindOf(HeatStage $stage): Kind
    {
        return $stage->does === 'chill' && $this->process === 'set' ? Kind::Set : (self::KINDS[$stage->does] ?? Kind::Heat);
    }

    /** Raw meat or fish reaches its core temperature before it is dried: no drying makes it safe. */
    private function heatThrough(Core $core): void
    {
        $minutes = WorkTime::of('heat-through')->minutes;
        $celsius = $this->inOven() ? self::HEAT_THROUGH : null;
        $through = $this->add(Kind::Heat, 'Heat '.$this->what.' through at '.self::HEAT_THROUGH.' °C before the drying: no drying makes raw meat or fish safe.', $minutes, false, $celsius);
        $this->within($through, Kind::Look, 'Look at '.$this->what.'.', self::FIRST_LOOK * $minutes->low);
        $this->core($core);
    }

    private function inOven(): bool
    {
        return ! $this->isOverFire && ! in_array($this->process, ['hob', 'griddle', 'microwave'], true);
    }

    private function stage(Kind $kind, HeatStage $stage, ?Told $told, ?Core $raw): void
    {
        $minutes = $told->minutes ?? self::range($stage, $kind);
        $celsius = $stage->celsius === null || ! $this->inOven() ? null : $stage->celsius + ($this->heat->fan ? self::FAN : 0);
        $task = $this->add($kind, $this->words($kind, $stage, $told, $minutes, $celsius), $minutes, false, $celsius);
        if ($kind === Kind::Heat || $kind === Kind::Dry && ! $stage->isLeft()) {
            $this->whileItGoesOn($task, $stage, $minutes, $told?->isBySides() === true);
        }
        if ($raw !== null) {
            $this->core($raw);
        }
    }

    private static function range(HeatStage $stage, Kind $kind): Range
    {
        // what sets or freezes is ready from its short end on
        return Range::of($stage->minutesLow, in_array($kind, [Kind::Chill, Kind::Set, Kind::Freeze], true) ? $stage->minutesLow : ($stage->minutesLow + $stage->minutesHigh) / 2, $stage->minutesHigh);
    }

    private function words(Kind $kind, HeatStage $stage, ?Told $told, Range $minutes, ?int $celsius): string
    {
        $sign = $stage->sign === '' ? '' : ' Done: '.$stage->sign.'.';
        if ($told !== null && $told->text !== '') {
            $ours = $kind === Kind::Heat ? Range::of($stage->minutesLow, ($stage->minutesLow + $stage->minutesHigh) / 2, $stage->minutesHigh) : null;
            $isBeside = $ours !== null && $told->minutes !== null && $this->inOven() && ($ours->low !== $told->minutes->low || $ours->high !== $told->minutes->high);

            return $this->ofWhat($told->text).($isBeside ? ' Reckoned: '.self::time($ours).'.' : '').$sign;
        }
        $does = ['turn over and dry' => 'dry', 'chill' => $kind === Kind::Set ? 'set' : 'chill', 'heat in short bursts' => 'heat'][$stage->does] ?? $stage->does;
        $it = $does === 'leave in the turned-off oven' ? 'Leave '.$this->what.' in the turned-off oven' : ($does === 'set' ? 'Let '.$this->what.' set' : ucfirst($does).' '.$this->what);

        return $it.($celsius === null ? '' : " at $celsius °C").($this->process === 'microwave' ? ' in bursts of 30 seconds' : '').', '.self::time($minutes).'.'.$sign;
    }

    private static function time(Range $minutes): string
    {
        [$unit, $in] = $minutes->low >= self::IN_HOURS ? ['h', 60.0] : ['min', 1.0];
        $written = static fn (float $one): string => Figure::of(round($one / $in, 1));

        return $written($minutes->low).($minutes->isExact() ? '' : '–'.$written($minutes->high))." $unit";
    }

    /** Whole minutes, halves under two: early rather than late. */
    private static function firstLook(Range $minutes): float
    {
        $first = self::FIRST_LOOK * $minutes->low;

        return $first >= 2 ? floor($first) : floor(2 * $first) / 2;
    }

    private function whileItGoesOn(Task $task, HeatStage $stage, Range $minutes, bool $isBySides): void
    {
        $first = self::firstLook($minutes);
        $looksHerself = array_filter($this->told, static fn (Told $one): bool => $one->kind === Kind::Look && $one->every !== null) !== [];
        if ($this->isOverFire && ! $looksHerself) {
            for ($at = self::LOOK_AT_FIRE, $n = 0; $at < $minutes->high && $n < self::MOST_TIMES; $at += self::LOOK_AT_FIRE, $n++) {
                $this->within($task, Kind::Look, 'Look at '.$this->what.' and turn what browns: a fire is never even.', $at);
            }
        }
        if (! $this->isOverFire || fmod($first, self::LOOK_AT_FIRE) !== 0.0 || $first === 0.0) {
            $this->within($task, Kind::Look, 'Look at '.$this->what.'.'.($stage->sign === '' ? '' : ' Done: '.$stage->sign.'.'), $first);
        }
        $acts = $this->actsWithin($task, $minutes);
        $isTurned = array_filter($acts, static fn (Kind $kind): bool => $kind !== Kind::Look) !== [];
        if ($this->process === 'microwave') {
            for ($n = 1; $n * self::BURST < $minutes->best && $n <= self::MOST_TIMES; $n++) {
                $this->within($task, Kind::Stir, 'Stir, and turn the dish.', $n * self::BURST);
            }
        } elseif (! $isTurned && ($isBySides || ($stage->turn !== null && $stage->does !== 'turn over and dry'))) {
            $turn = $isBySides ? 'Turn '.$this->what.' over' : ucfirst((string) $stage->turn);
            $this->within($task, str_starts_with($turn, 'Stir') ? Kind::Stir : Kind::Turn, $turn.'.', round($minutes->best / 2, 1));
        }
    }

    /** @return list<Kind> what the maker does in the middle of it */
    private function actsWithin(Task $task, Range $minutes): array
    {
        $kinds = [];
        $isMain = false;
        foreach ($this->told as $n => $act) {
            if ($act->kind->finishes()) {
                if ($isMain) {
                    break;
                }
                $isMain = true;
            }
            $kind = $act->verb === 'stir' ? Kind::Stir : $act->kind;
            if (! $isMain || $kind === Kind::Cool || $kind === Kind::Bag) {
                $isMain = $isMain && $kind !== Kind::Cool && $kind !== Kind::Bag;

                continue;
            }
            $isWithin = ($kind->isWithinHeat() && ! $this->isBetween($act, $this->nextHeat($n))) || $act->isTimed();
            if (! $isWithin || ($act->kind->finishes() && $act->every === null)) {
                continue;
            }
            $kind = $act->kind->finishes() ? Kind::Look : $kind;
            $every = $act->every;
            $fromTheEnd = $act->beforeTheEnd();
            $at = $every ?? $act->after ?? ($fromTheEnd === null ? round($minutes->best / 2, 1) : max(0.0, $minutes->best - $fromTheEnd));
            for ($times = 0; $at < $minutes->high && $times < ($every === null ? 1 : self::MOST_TIMES); $times++, $at += $every ?? 0.0) {
                $kinds[] = $kind;
                $this->within($task, $kind, $act->kind->finishes() ? 'Look at '.$this->what.'.' : $act->text, $at);
            }
        }

        return $kinds;
    }

    /** Where the next that finishes anything is told; behind all where none is. */
    private function nextHeat(int $from): int
    {
        for ($at = $from + 1; isset($this->told[$at]) && ! $this->told[$at]->kind->finishes(); $at++);

        return $at;
    }

    private function core(Core $core): void
    {
        $this->put(self::probed($core, $this->part, $this->lot, $this->needs), null);
    }

    /** @param  list<Task>  $needs  what must be done before */
    public static function probed(Core $core, ?string $part, ?string $lot, array $needs): Task
    {
        $hold = $core->holdMinutes() > 0 ? ', and keep it so for '.$core->holdMinutes().' min' : '';
        $text = "Probe the thickest piece: {$core->celsius} °C at the core$hold (".self::foods($core).').';
        $task = new Task(Kind::Core, $text, WorkTime::of('core')->minutes->plus(Range::exact($core->holdMinutes())), true, $part, $lot, $needs);
        $task->core = $core;

        return $task;
    }

    private static function foods(Core $core): string
    {
        return implode(', ', $core->foods);
    }

    private function add(Kind $kind, string $text, Range $minutes, bool $byHand, ?int $celsius = null): Task
    {
        $task = new Task($kind, $text, $minutes, $byHand, $this->part, $this->lot, $this->needs, $this->tasks === [] ? $this->later : null);
        $task->celsius = $celsius;

        return $this->put($task, $celsius);
    }

    /** Puts it behind what is there. */
    private function put(Task $task, ?int $celsius): Task
    {
        $task->isUrgent = $task->byHand;
        $this->tasks[] = $this->remarks->on($task);
        $this->stages[] = [$task->kind, $celsius, $this->minutes];
        $this->minutes += $task->minutes->best;
        $this->hotMinutes = $celsius === null && $task->kind === Kind::Dry ? $this->hotMinutes : $this->minutes;
        $this->needs = [$task];

        return $task;
    }

    private function within(Task $task, Kind $kind, string $text, float $at): void
    {
        $job = $kind === Kind::Look || $kind === Kind::Turn ? $kind->value : 'stir';
        $this->tasks[] = $this->remarks->on(new Task($kind, $text, WorkTime::of($job)->minutes, true, $this->part, $this->lot, [$task], $at));
    }
}
