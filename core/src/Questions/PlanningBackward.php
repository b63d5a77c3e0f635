<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Keeping\Kept;
use MildBowl\Core\Keeping\Place;
use MildBowl\Core\Making\Kind;
use MildBowl\Core\Making\Task;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Minute;

/** Makes the backward plan of one treat. */
final readonly class PlanningBackward
{
    /** Textures that no oven makes. */
    private const NOT_BAKED = ['frozen', 'none'];

    private Kept $kept;

    /** Whether it is eaten as it comes out of the freezer. */
    private bool $isServedFrozen;

    /** @var array<string, int> days before the occasion that it can be made, by the place where it waits */
    private array $ahead;

    public function __construct(private PartyTreat $treat, private Judgement $judgement, private int $times, private PartyWhen $when)
    {
        $this->kept = Kept::first(array_map(static fn (Lot $lot): Kept => Kept::of($lot, $judgement->bowl->parts, false), $judgement->lots->all));
        $this->isServedFrozen = $this->kept->life->class === 'frozen';
        $ahead = [];
        foreach ($this->isServedFrozen ? [Place::Freezer] : Place::cases() as $place) {
            $days = $this->kept->days($place, $when->roomCelsius);
            // what is thawed leaves the freezer the day before
            $ahead[$place->value] = $place !== Place::Freezer || $this->isServedFrozen ? $days : $days + 1;
        }
        $this->ahead = $ahead;
    }

    public function plan(): BackwardPlan
    {
        [$elapsed, $cold] = $this->minutes();
        $fits = $this->when->fitsBefore($elapsed);
        // everything keeps for a night
        $ahead = $this->treat->bakeOn?->until($this->when->on) ?? 1;
        $place = $this->place($ahead);
        $bakeOn = $this->when->on->after(-$ahead);
        $earliest = $this->when->on->after(-max($this->ahead));
        $problem = match (true) {
            $ahead > 0 && $place === null => 'It does not keep so long: bake it on '.$earliest->spelled().' at the earliest.',
            $ahead === 0 && ! $fits => 'It takes '.self::hours($elapsed).': begin the day before.',
            default => null,
        };

        return new BackwardPlan($bakeOn->iso, $place?->value, $earliest->iso, $this->keepsUntil($ahead, $place, $bakeOn)?->iso, $problem, $elapsed, $cold, $this->steps($bakeOn, $place, $elapsed, $cold));
    }

    /** The first place that keeps it so long; none where it is eaten the same day. */
    private function place(int $ahead): ?Place
    {
        if ($ahead === 0) {
            return $this->isServedFrozen ? Place::Freezer : null;
        }
        foreach (Place::cases() as $place) {
            if (($this->ahead[$place->value] ?? 0) >= $ahead) {
                return $place;
            }
        }

        return null;
    }

    private function thawOn(?Place $place): ?Day
    {
        return $place === Place::Freezer && ! $this->isServedFrozen ? $this->when->on->after(-1) : null;
    }

    private function keepsUntil(int $ahead, ?Place $place, Day $bakeOn): ?Day
    {
        return match (true) {
            $place === null => $ahead === 0 ? $bakeOn->after(max($this->ahead[Place::Jar->value] ?? 0, $this->ahead[Place::Fridge->value] ?? 0)) : null,
            $place === Place::Freezer && ! $this->isServedFrozen => $this->when->on->after(-1 + $this->kept->life->fridgeDays),
            default => $bakeOn->after($this->ahead[$place->value] ?? 0),
        };
    }

    /** @return array{int, ?int} of all batches, and until the last of it is cold; one oven, a batch after the other */
    private function minutes(): array
    {
        $bake = (new BakeQuestion($this->treat->question, null, 1, $this->treat->question->kitchen->tray->atOnce ?? 1))->answer();
        $heat = array_sum(array_map(static fn (Task $task): float => $task->kind === Kind::Heat ? $task->minutes->high : 0.0, $bake->tasks));
        $more = (int) ceil(max(0, $this->times - 1) * $heat);
        $cold = null;
        foreach ($bake->tasks as $task) {
            $cold = $task->kind === Kind::Cool ? max((int) $cold, (int) ceil($task->end()) + $more) : $cold;
        }

        return [$bake->elapsedMinutes + $more, $cold];
    }

    /** @return list<PlanStep> */
    private function steps(Day $bakeOn, ?Place $place, int $elapsed, ?int $cool): array
    {
        $on = $this->when->on->iso;
        $leaves = $this->when->leaves();
        $begins = $bakeOn->iso === $on && $this->when->fitsBefore($elapsed) ? $leaves?->after(-$elapsed) : null;
        $steps = [new PlanStep('bake', $bakeOn->iso, self::clock($begins), $this->bakes().self::hours($elapsed).' in all'.($begins === null ? '.' : ', begun then at the latest.'))];
        if ($cool !== null) {
            $cold = $begins?->after($cool);
            $steps[] = new PlanStep('cool', $bakeOn->iso, self::clock($cold), $cold === null ? 'Let it get cold right through, '.self::hours($cool).' after you begin.' : 'Cold right through by then.');
        }
        $thawOn = $this->thawOn($place);
        if ($place !== null) {
            $steps[] = match (true) {
                $place !== Place::Freezer => new PlanStep('keep', $bakeOn->iso, null, "It waits {$place->inWords()}."),
                $thawOn === null => new PlanStep('freeze', $bakeOn->iso, null, 'It stays in the freezer until then.'),
                default => new PlanStep('freeze', $bakeOn->iso, null, 'Into the freezer once it is cold, with the date on it.'),
            };
        }
        if ($thawOn !== null) {
            $steps[] = new PlanStep('thaw', $thawOn->iso, null, 'Out of the freezer and into the fridge overnight; never frozen again.');
        }
        if (($this->when->transportMinutes ?? 0) > 0) {
            $steps[] = new PlanStep('leave', $leaves === null ? $on : substr($leaves->iso, 0, 10), self::clock($leaves), "On the way for {$this->when->transportMinutes} min, ".$this->carried());
        }
        $steps[] = new PlanStep('serve', $on, self::clock($this->when->at), $this->isServedFrozen ? 'Straight from the cold; broken small where a dog gulps.' : 'Water for every dog; to each its own share and no more.');

        return $steps;
    }

    private function bakes(): string
    {
        return (in_array($this->judgement->lots->main()->texture->id, self::NOT_BAKED, true) ? 'Without an oven, ' : '').match ($this->times) {
            1 => '',
            2 => 'doubled, ',
            default => "$this->times batches, ",
        };
    }

    private function carried(): string
    {
        return match (true) {
            $this->isServedFrozen => 'in a cool box with ice packs.',
            $this->kept->life->jarDays === 0 => 'in a cool box with ice packs: it does not keep out of the fridge.',
            default => 'in a tin, out of the sun.',
        };
    }

    private static function clock(?Minute $minute): ?string
    {
        return $minute === null ? null : substr($minute->iso, 11);
    }

    private static function hours(int $minutes): string
    {
        return $minutes < 90 ? "$minutes min" : intdiv($minutes, 60).' h'.($minutes % 60 === 0 ? '' : ' '.$minutes % 60 .' min');
    }
}
