<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Feeding\Lot;

/** The steps of one lot when the last heat is over: cut while warm, cooled, cut when cold, laid on, put away. */
final class Finishing
{
    /** Done before it is cold. */
    private const WHILE_WARM = '/\b(?:warm|hot|comes? out|straight ?away|immediately|at once)\b/iu';

    /** mm up to which a piece cools as thin. */
    private const THIN = 8.0;

    /** @var list<Told> what the maker tells of it */
    private readonly array $then;

    private bool $isCutLater;

    /** @var list<Task> */
    private array $tasks = [];

    /**
     * @param  Process  $process  it was heated by
     * @param  ?string  $name  of the lot
     * @param  list<Told>  $told  of the body
     * @param  list<Task>  $ready  what must be done before
     */
    public function __construct(private readonly Part $body, private readonly Lot $lot, private readonly Process $process, private readonly ?string $name, array $told, private array $ready, private readonly Remarks $remarks)
    {
        $this->then = Method::afterTheHeat($told, $process->id());
        $this->isCutLater = Shaping::of($lot->cut, $lot->batch, 1)->isCutLater;
    }

    /**
     * @param  list<array{Part, Task, ?string, list<Told>}>  $after  what is laid on when it is cold, what that is called, and what is told of laying it on
     * @return list<Task>
     */
    public function tasks(array $after): array
    {
        $pieces = $this->lot->batch->count->best;
        foreach ($this->toldOf(Kind::Rest) as $act) {
            $this->done(new Task(Kind::Rest, $act->text, $act->minutes ?? WorkTime::of('rest')->minutes, false, $this->body->section(), $this->name, $this->ready));
        }
        $this->cut($pieces, true);
        $this->cool();
        $this->cut($pieces, false);
        if ($this->isCutLater) {
            $this->add(Kind::Shape, self::into($pieces), WorkTime::of('slice', $pieces));
        }
        foreach ($after as [$part, $made, $name, $told]) {
            $this->ready[] = $made;
            foreach ($told as $act) {
                $this->done($act->kind === Kind::Shape
                    ? new Task(Kind::Shape, $act->text, WorkTime::of('lay', $pieces)->minutes, true, $part->section(), $this->name, $this->ready)
                    : Before::task($act, $part->section(), $this->name, $this->ready));
            }
            if ($told === [] && ! $this->isLaidOn($name)) {
                $this->add(Kind::Shape, 'Lay on what is made for it: '.($name ?? 'the rest').'.', WorkTime::of('lay', $pieces), $part);
            }
        }
        $kept = [];
        foreach ($this->toldOf(Kind::Bag, Kind::Freeze, Kind::Chill, Kind::Set) as $act) {
            if ($act->kind === Kind::Bag || $act->minutes === null || Place::isPutBy($act)) {
                $kept[] = $act->text;
            } else {
                $this->done(new Task($act->kind, $act->text, $act->minutes, false, $this->body->section(), $this->name, $this->ready));
            }
        }
        $this->add(Kind::Bag, implode(' ', ['Count them, weigh them, and put them away.', ...$kept]), WorkTime::of('bag'));

        return $this->tasks;
    }

    /** Whether the maker lays it on herself: "spread the icing on". */
    private function isLaidOn(?string $name): bool
    {
        return $name !== null && array_filter($this->toldOf(Kind::Shape), static fn (Told $one): bool => preg_match('/\b'.preg_quote($name, '/').'\b/iu', $one->text) === 1) !== [];
    }

    /** What is told of cutting it, warm or cold, with our count where it is cut only now. */
    private function cut(float $pieces, bool $isWarm): void
    {
        foreach ($this->toldOf(Kind::Shape, Kind::Prepare, Kind::Mix) as $act) {
            if ($isWarm !== (preg_match(self::WHILE_WARM, $act->text) === 1)) {
                continue;
            }
            $isCut = $act->kind === Kind::Shape;
            $this->add($act->kind, $act->text.($this->isCutLater && $isCut ? ' '.self::into($pieces) : ''), WorkTime::of($isCut ? 'slice' : 'prepare', $isCut ? $pieces : 1.0));
            $this->isCutLater = $this->isCutLater && ! $isCut;
        }
    }

    private function cool(): void
    {
        if (! $this->process->killsRaw()) {
            return;
        }
        $told = $this->toldOf(Kind::Cool)[0] ?? null;
        $words = $told->text ?? 'Leave them on the tray for 3 min, then on a rack until they are cold right through.';
        $minutes = $told->minutes ?? WorkTime::of($this->cooling())->minutes;
        $this->done(new Task(Kind::Cool, $words, $minutes, false, $this->body->section(), $this->name, $this->ready));
    }

    private function cooling(): string
    {
        return match (true) {
            in_array($this->lot->texture->id, ['cake', 'tray'], true) => 'cool-cake',
            ($this->lot->cut->thicknessMm() ?? self::THIN) <= self::THIN => 'cool-thin',
            default => 'cool-thick',
        };
    }

    /** @return list<Told> */
    private function toldOf(Kind ...$kinds): array
    {
        return array_values(array_filter($this->then, static fn (Told $one): bool => in_array($one->kind, $kinds, true)));
    }

    private static function into(float $pieces): string
    {
        return 'Cut it into '.max(1, (int) floor($pieces + 1e-6)).' pieces.';
    }

    private function add(Kind $kind, string $text, WorkTime $time, ?Part $part = null): void
    {
        $this->done(new Task($kind, $text, $time->minutes, true, ($part ?? $this->body)->section(), $this->name, $this->ready));
    }

    private function done(Task $task): void
    {
        $this->tasks[] = $this->remarks->on($task);
        $this->ready = [$task];
    }
}
