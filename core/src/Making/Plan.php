<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Heat;
use MildBowl\Core\Baking\HeatStage;
use MildBowl\Core\Baking\Parts\Heading;
use MildBowl\Core\Baking\Parts\Joins;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Reading\ReadLine;

/** The work of one bake: every part mixed and heated in its own way, the lots of the body shaped, baked and put away. */
final class Plan
{
    /** °C by which two lots may differ and still share an oven. */
    private const SAME_HEAT = 10;

    private const LATER = 1.0;

    /** share of a dough that nobody bakes */
    private const NOTHING = 1e-6;

    /** mm of a sheet that two hands still turn over (reference, page 7: parts). */
    private const TURNS_OVER = [300, 200];

    /** @var list<Task> */
    private array $tasks = [];

    /** @var list<string> */
    private array $warnings = [];

    private readonly Method $method;

    private readonly LotWords $words;

    private function __construct(private readonly Judgement $judgement, private readonly Kitchen $kitchen, private readonly int $trays)
    {
        $this->method = Method::of($judgement->bowl->recipe, $judgement->bowl->parts);
        $this->words = new LotWords($judgement->lots, $kitchen->tray);
        $this->build();
    }

    /**
     * @param  int  $trays  that go into the ovens at one time
     * @return array{list<Task>, list<string>} the tasks, and what is to be told of them
     */
    public static function of(Judgement $judgement, Kitchen $kitchen, int $trays): array
    {
        $self = new self($judgement, $kitchen, $trays);

        return [$self->tasks, array_values(array_unique($self->warnings))];
    }

    private function build(): void
    {
        $parts = $this->judgement->bowl->parts;
        $before = $into = $after = [];
        foreach ($parts->all as $part) {
            if ($part->isBody() || $this->linesOf($part) === []) {
                continue;
            }
            if ($part->joins === Joins::After && $part->intoSections === []) {
                $after[] = $part;
            } elseif ($part->intoSections !== []) {
                $into[] = $this->part($part);
            } else {
                $before[] = $this->part($part);
            }
        }
        // what is laid on at the end is made while the pieces are in the heat
        $first = count($this->tasks);
        $laid = array_map(fn (Part $part): array => [$part, $this->part($part)], $after);
        $later = array_splice($this->tasks, $first);
        $this->body($parts->body, $into, $before, $laid);
        array_push($this->tasks, ...$later);
    }

    /** @return Task after which the part is ready to be used */
    private function part(Part $part): Task
    {
        $process = $part->process?->id() ?? 'none';
        $remarks = Remarks::of($this->linesOf($part), $part->dough, null, $part->process?->killsRaw() === true, $process, $this->method->isOverFire);
        $told = $this->method->ofPart($part);
        $last = $this->mixed($part, $process, $told, $remarks, []);
        if ($part->process !== null && $process !== 'none') {
            $texture = $part->textureAt($this->judgement->lots->main()->texture);
            $heat = Heat::of(Cut::assumed(), $texture->id === 'none' && $part->process->killsRaw() ? Texture::of('soft') : $texture, $part->dough, $this->kitchen->oven, $part->process, false, $part->keeps->grams);
            $last = $this->fired(new Firing($process, $heat, Method::fromTheHeatOn($told, $process), [$last], $part->section(), null, $remarks, 'it', null, $this->method->isOverFire), $process, $last, $part->section());
        }
        $then = array_filter(Method::afterTheHeat($told, $process), static fn (Told $one): bool => in_array($one->kind, [Kind::Prepare, Kind::Cool, Kind::Rest, Kind::Mix], true));
        foreach ($then as $act) {
            $last = $this->add(Before::task($act, $part->section(), null, [$last]), $remarks);
        }
        $isTold = static fn (string ...$verbs): bool => array_filter($then, static fn (Told $one): bool => in_array($one->verb, $verbs, true)) !== [];
        foreach (['strained' => 'Strain it: what stays in the sieve is not used.', 'drained' => 'Pour off fat and juices.'] as $how => $says) {
            if ($part->keeps->{$how} && ! $isTold('strain', 'drain')) {
                $last = $this->add(new Task(Kind::Prepare, $says, WorkTime::of($how === 'strained' ? 'strain' : 'drain')->minutes, true, $part->section(), null, [$last]), $remarks);
            }
        }
        if ($part->process?->killsRaw() === true && ! $isTold('cool')) {
            $last = $this->add(new Task(Kind::Cool, 'Let it cool until it is lukewarm.', WorkTime::of('cool-liquid')->minutes, false, $part->section(), null, [$last]), $remarks);
        }

        return $last;
    }

    /**
     * @param  list<Task>  $into  parts that are mixed into it
     * @param  list<Task>  $before  parts that are baked with it
     * @param  list<array{Part, Task}>  $after  parts that are laid on when it is cold
     */
    private function body(Part $body, array $into, array $before, array $after): void
    {
        $lots = $this->judgement->lots->all;
        $main = $this->judgement->lots->main();
        $told = $this->method->ofPart($body);
        $heated = Heated::of($body, $main, $told, $this->linesOf($body));
        $process = $heated->process->id();
        $remarks = Remarks::of($this->linesOf($body), $body->dough, $main->cut, $heated->isHeated($main), $process, $this->method->isOverFire);
        if ($this->linesOf($body) === []) {
            return;
        }
        array_push($this->warnings, ...$heated->warnings);
        $mixed = $this->mixed($body, $process, $told, $remarks, $into);
        $mixed = $this->chilled($body, $main, $process, $told, $mixed, $remarks);
        $comparing = new Comparing($heated, $told, $this->kitchen->oven);
        $sheets = [];
        $bySoftness = self::bySoftness($lots);
        foreach ($bySoftness as $lot) {
            // nobody weighed a recipe that is told without amounts, and it is baked all the same
            if ($lot->share <= self::NOTHING && count($lots) > 1) {
                continue;
            }
            $count = $this->words->sheetsOf($lot);
            $sheets[] = [$lot, $count, $this->shaped($body, $lot, $process, $count, $told, [$mixed, ...$before], $remarks)];
        }
        $out = [];
        foreach ($this->loads($sheets, $comparing) as $load) {
            array_push($out, ...$this->baked($load, $body, $process, $told, $remarks, $comparing, $out));
        }
        array_push($this->warnings, ...$comparing->warnings());
        $this->finished($out, $bySoftness, $body, $heated, $after, $told, $remarks);
    }

    /**
     * A soft dough is chilled before it is rolled or shaped, told or not.
     *
     * @param  list<Told>  $told
     */
    private function chilled(Part $body, Lot $main, string $process, array $told, Task $last, Remarks $remarks): Task
    {
        $isChilled = array_filter(Method::untilTheHeat($told, $process), static fn (Told $one): bool => in_array($one->kind, [Kind::Chill, Kind::Freeze, Kind::Set], true)) !== [];
        $feel = $body->kept->feel();
        $rolls = Shaping::of($main->cut, $main->batch, 1)->isRolled;
        $isSoft = $feel !== null && ($rolls ? in_array($feel->word, ['tacky', 'shapes', 'loose'], true) : $feel->word === 'loose' && in_array($main->cut->shape(), ['ball', 'log'], true));
        if ($isChilled || ! $isSoft) {
            return $last;
        }
        $chill = $this->add(new Task(Kind::Chill, 'Chill the dough: it is '.$feel->word.' as it stands, and firmer cold.', WorkTime::of('chill')->minutes, false, $body->section(), null, [$last]), $remarks);

        return $body->kept->binding !== null ? $chill : $this->add(new Task(Kind::Rest, 'Let it warm a little, until it rolls without cracking.', WorkTime::of('warm')->minutes, false, $body->section(), null, [$chill]), $remarks);
    }

    /**
     * Shaped, and whatever the maker does to the pieces before they go in.
     *
     * @param  list<Told>  $told
     * @param  list<Task>  $needs
     */
    private function shaped(Part $body, Lot $lot, string $process, int $sheets, array $told, array $needs, Remarks $remarks): Task
    {
        $shaping = Shaping::of($lot->cut, $lot->batch, $sheets);
        [, $own, $then] = Before::inThree(Method::untilTheHeat($told, $process));
        $last = $this->add(new Task(Kind::Shape, implode(' ', [...($own === null ? [] : [$own->text]), $shaping->text]), $shaping->minutes, true, $body->section(), $this->words->of($lot), $needs), $remarks);
        foreach ($then as $act) {
            $last = $this->add(Before::task($act, $body->section(), $this->words->of($lot), [$last]), $remarks);
        }

        return $last;
    }

    /**
     * @param  list<Told>  $told
     * @param  list<Task>  $needs
     */
    private function mixed(Part $part, string $process, array $told, Remarks $remarks, array $needs): Task
    {
        $tasks = (new Before($part, $this->linesOf($part), $this->nameOf($part), $process, $told))->tasks($needs);
        foreach ($tasks as $task) {
            $this->add($task, $remarks);
        }

        return $tasks[count($tasks) - 1];
    }

    /**
     * What goes into the ovens together: soft lots first, as many sheets as there are trays, nothing that wants another heat.
     *
     * @param  list<array{Lot, int, Task}>  $sheets  lots with their sheets, the softest first
     * @return list<list<array{Lot, int, int, Task}>> lots with their first sheet and how many of them
     */
    private function loads(array $sheets, Comparing $comparing): array
    {
        $loads = [];
        $room = 0;
        $heat = null;
        foreach ($sheets as [$lot, $count, $shaped]) {
            $own = $comparing->heatOf($lot)->stages[0]->celsius ?? null;
            for ($first = 1; $first <= $count;) {
                if ($room <= 0 || $loads === [] || abs(($heat ?? 0) - ($own ?? 0)) > self::SAME_HEAT) {
                    $loads[] = [];
                    [$room, $heat] = [$this->trays, $own];
                }
                $takes = min($room, $count - $first + 1);
                $loads[count($loads) - 1][] = [$lot, $first, $takes, $shaped];
                $first += $takes;
                $room -= $takes;
            }
        }

        return $loads;
    }

    /**
     * @param  list<array{Lot, int, int, Task}>  $load
     * @param  list<Told>  $told
     * @param  list<array{Lot, Task}>  $softer  the lots that went in before, and the last of each
     * @return list<array{Lot, Task}> what is out of it
     */
    private function baked(array $load, Part $body, string $process, array $told, Remarks $remarks, Comparing $comparing, array $softer): array
    {
        $firings = $out = [];
        $lead = null;
        $shaped = array_map(static fn (array $one): Task => $one[3], $load);
        $until = 0.0;
        foreach ($load as $n => [$lot, $first, $takes]) {
            $what = $this->words->taken($lot, $first, $takes);
            $of = [$process, $comparing->heatOf($lot), $comparing->toldOf($lot, $this->judgement->lots, Method::fromTheHeatOn($told, $process))];
            $named = [$body->section(), $this->words->of($lot), $remarks, $what];
            $firing = new Firing(...$of, needs: $shaped, part: $named[0], lot: $named[1], remarks: $named[2], what: $named[3], isOverFire: $this->method->isOverFire);
            if ($lead !== null) {
                // the harder lot stays in when the softer one is taken out
                $later = max(0.0, $until + self::LATER - $firing->hotMinutes);
                $firing = new Firing(...$of, needs: [$lead], part: $named[0], lot: $named[1], remarks: $named[2], what: $named[3], later: $later, isOverFire: $this->method->isOverFire);
            }
            $until = max($until, ($firing->first()->within ?? 0.0) + $firing->minutes);
            $lead ??= $firing->first();
            $firings[] = [$lot, $firing];
        }
        $this->warnAboutTurning($load, $comparing);
        $heat = $firings[0][1]->load();
        foreach ($firings as $n => [$lot, $firing]) {
            if ($n === 0 && $heat !== null) {
                $firing->first()->load = new Load($heat->celsius, $firings[count($firings) - 1][1]->load()->lastCelsius ?? $heat->lastCelsius, $until, array_map(static fn (array $one): Task => $one[1]->last(), $firings));
                $firing->first()->outAfter = array_map(static fn (array $one): array => [$one[1], $firing->hotMinutes], array_values(array_filter($softer, static fn (array $one): bool => $one[0] !== $lot)));
            }
            $out[] = [$lot, $this->fired($firing, $process, $shaped[0], $body->section())];
        }

        return $out;
    }

    /** @param  list<array{Lot, int, int, Task}>  $load */
    private function warnAboutTurning(array $load, Comparing $comparing): void
    {
        foreach ($load as [$lot]) {
            $isTurned = array_filter($comparing->heatOf($lot)->stages, static fn (HeatStage $stage): bool => $stage->does === 'turn over and dry') !== [];
            $sides = [$lot->cut->sizes['sheetWidthMm'] ?? 0.0, $lot->cut->sizes['sheetLengthMm'] ?? 0.0];
            if ($isTurned && (max($sides) > self::TURNS_OVER[0] || min($sides) > self::TURNS_OVER[1])) {
                $this->warnings[] = 'A sheet so large does not turn over: spread it in two tins of at most '.self::TURNS_OVER[0].' × '.self::TURNS_OVER[1].' mm.';
            }
        }
    }

    /** Puts the steps of what is in the heat among the others, the pan on the hob before them. */
    private function fired(Firing $firing, string $process, Task $before, ?string $part): Task
    {
        if (in_array($process, ['hob', 'griddle'], true)) {
            if ($firing->first()->within !== null) {
                // the pan is hot already
                array_push($this->tasks, ...$firing->tasks);

                return $firing->last();
            }
            $pan = new Task(Kind::Preheat, $process === 'hob' ? 'Set a pan on the hob.' : 'Heat the griddle or pan until a drop of water dances on it.', WorkTime::of('pan')->minutes, true, $part, null, [$before]);
            $this->tasks[] = $pan;
            $firing->first()->needs[] = $pan;
        } elseif ($this->method->isOverFire && $firing->first()->kind === Kind::Heat) {
            $embers = new Task(Kind::Preheat, 'Light the fire and let it burn down to embers. In wind it bakes quicker: look early, and turn often.', WorkTime::of('embers')->minutes, false, $part);
            $embers->hazard = 'Keep the dogs away from the fire, and never leave it alone.';
            $this->tasks[] = $embers;
            $firing->first()->needs[] = $embers;
            $firing->first()->load = null;
        } elseif ($firing->first()->load === null && $firing->first()->within === null) {
            $firing->first()->load = $firing->load();
        }
        array_push($this->tasks, ...$firing->tasks);

        return $firing->last();
    }

    /**
     * Cooled, laid on, put away: each lot by itself.
     *
     * @param  list<array{Lot, Task}>  $out
     * @param  list<Lot>  $lots
     * @param  list<array{Part, Task}>  $after
     * @param  list<Told>  $told
     */
    private function finished(array $out, array $lots, Part $body, Heated $heated, array $after, array $told, Remarks $remarks): void
    {
        foreach ($lots as $lot) {
            $ready = array_map(static fn (array $one): Task => $one[1], array_values(array_filter($out, static fn (array $one): bool => $one[0] === $lot)));
            if ($ready !== []) {
                $named = array_map(fn (array $one): array => [...$one, $this->nameOf($one[0]), Before::fromTheLayingOn($this->method->ofPart($one[0]))], $after);
                array_push($this->tasks, ...(new Finishing($body, $lot, $heated->processOf($lot), $this->words->of($lot), $told, $ready, $remarks))->tasks($named));
            }
        }
    }

    private function add(Task $task, Remarks $remarks): Task
    {
        $this->tasks[] = $remarks->on($task);

        return $task;
    }

    /** @return list<ReadLine> */
    private function linesOf(Part $part): array
    {
        $bowl = $this->judgement->bowl;

        return array_values(array_filter($bowl->recipe->lines, static fn (ReadLine $line): bool => $bowl->parts->under($line->section) === $part));
    }

    /** What the part is called; null where it is all there is. */
    private function nameOf(Part $part): ?string
    {
        $words = Heading::words($part->section());

        return count($this->judgement->bowl->parts->all) === 1 ? null : ($words === [] ? 'dough' : implode(' ', $words));
    }

    /**
     * @param  list<Lot>  $lots
     * @return list<Lot> what comes out soft before what comes out hard
     */
    private static function bySoftness(array $lots): array
    {
        $moist = static fn (Lot $lot): float => -($lot->texture->moisture->best ?? 1.0);
        usort($lots, static fn (Lot $one, Lot $two): int => [$one->texture->isHard() ? 1 : 0, $moist($one)] <=> [$two->texture->isHard() ? 1 : 0, $moist($two)]);

        return $lots;
    }
}
