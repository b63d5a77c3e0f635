<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Core;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Processes\Processes;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\ReadLine;

/** What hands do to a part before it is shaped or heated: as the maker tells it and in her order, and what she left out. */
final readonly class Before
{
    /** What stands in liquid before it counts, by the job: how its ids begin, and what is done. */
    private const SOAKED = [
        'swell' => [['chia', 'flax', 'psyllium'], 'Stir the %s into some of the liquid and let it swell.'],
        'bloom' => [['gelatin'], 'Sprinkle the %s over some of the cold liquid and let it soak.'],
    ];

    private const LAID = '/\b(?:spread|brush|top) (?:it |them |each |\p{L}+ )?(?:with|on|onto|over|between)\b|\b(?:sandwich|dip|coat|stuff|wrap)\b|\bpour\b.{0,40}\bover\b/iu';

    /** min from which nobody stands beside it all the time. */
    private const BY_ITSELF = 45.0;

    /**
     * @param  list<ReadLine>  $lines  of the part
     * @param  ?string  $name  of the part; null where it is all there is
     * @param  string  $process  it is heated by
     * @param  list<Told>  $told
     */
    public function __construct(private Part $part, private array $lines, private ?string $name, private string $process, private array $told) {}

    /**
     * @param  list<Task>  $needs  what must be done before
     * @return non-empty-list<Task> each after the one before it
     */
    public function tasks(array $needs): array
    {
        $section = $this->part->section();
        $weigh = WorkTime::of('weigh', count($this->lines))->minutes;
        $tasks = [new Task(Kind::Prepare, 'Weigh out everything'.($this->name === null ? '' : " for the {$this->name}").': '.self::listed($this->lines).'.', $weigh, true, $this->name === null ? null : $section, null, $needs)];
        $last = static function () use (&$tasks): Task {
            return $tasks[count($tasks) - 1];
        };
        foreach ($this->tells(Kind::Soak) ? [] : $this->soaked() as $job => $says) {
            $tasks[] = new Task(Kind::Soak, $says, WorkTime::of($job)->minutes, false, $section, null, [$last()]);
        }
        [$before] = self::inThree(Method::untilTheHeat($this->told, $this->process));
        // nothing probes it later where it only goes cold
        $core = Processes::named($this->process)->killsRaw() ? null : Core::of($this->part->dough)[0] ?? null;
        foreach ($before as $act) {
            $tasks[] = self::task($act, $section, null, [$last()]);
            if ($core !== null && $act->kind === Kind::Heat) {
                $tasks[] = Firing::probed($core, $section, null, [$last()]);
            }
        }
        if (! $this->tells(Kind::Mix) && ! $this->isPutTogetherOtherwise() && count($this->lines) > 1) {
            $tasks[] = new Task(Kind::Mix, $this->mixing(), WorkTime::of('mix')->minutes, true, $section, null, [$last()]);
        }

        return $tasks;
    }

    /**
     * Acts before the heat: those before the pieces are shaped, the shaping, and those after it. What is rolled and cut again is shaped by the
     * last; what came before stands in its own place.
     *
     * @param  list<Told>  $told
     * @return array{list<Told>, ?Told, list<Told>}
     */
    public static function inThree(array $told): array
    {
        $told = array_values(array_filter($told, static fn (Told $one): bool => $one->kind !== Kind::Preheat && $one->kind !== Kind::Bag));
        $at = null;
        foreach ($told as $n => $one) {
            $at = $one->kind === Kind::Shape ? $n : $at;
        }

        return $at === null ? [$told, null, []] : [array_slice($told, 0, $at), $told[$at], array_slice($told, $at + 1)];
    }

    /**
     * What is told of a part from where it is laid on: "spread the icing on and chill for an hour".
     *
     * @param  list<Told>  $told
     * @return list<Told>
     */
    public static function fromTheLayingOn(array $told): array
    {
        [, $on, $then] = self::inThree($told);

        return $on === null ? [] : [$on, ...array_values(array_filter($then, static fn (Told $one): bool => in_array($one->kind, [Kind::Chill, Kind::Set, Kind::Freeze, Kind::Rest], true)))];
    }

    /**
     * @param  list<Task>  $needs
     */
    public static function task(Told $act, ?string $section, ?string $lot, array $needs): Task
    {
        // what is boiled or fried before it goes in is made ready by it
        $isHeated = $act->kind === Kind::Heat || $act->kind === Kind::Dry;
        $time = WorkTime::of(match ($act->kind) {
            Kind::Soak => 'swell', Kind::Mix => 'mix', Kind::Rest => 'rest', Kind::Chill, Kind::Set, Kind::Freeze => 'chill', Kind::Cool => 'cool-liquid', Kind::Shape => 'roll', default => 'prepare'
        });
        $minutes = $act->minutes ?? $time->minutes;

        $task = new Task($isHeated ? Kind::Prepare : $act->kind, $act->text, $minutes, $time->byHand && ! $isHeated && $minutes->best < self::BY_ITSELF, $section, $lot, $needs);
        if ($isHeated && $act->heat !== null && $act->isOfOven()) {
            $task->celsius = $act->heat->onTheDial();
            $task->load = new Load($task->celsius, $task->celsius, $minutes->best, [$task]);
        }

        return $task;
    }

    /** Whether it lies in what it is flavoured with, or one thing is laid on or around the other. */
    private function isPutTogetherOtherwise(): bool
    {
        return array_filter($this->told, static fn (Told $one): bool => in_array($one->verb, ['marinate', 'brine', 'cure'], true) || preg_match(self::LAID, $one->text) === 1) !== [];
    }

    private function mixing(): string
    {
        if ($this->process === 'hob') {
            return 'Put it all into the pan.';
        }
        // strips and slices are no dough
        if ($this->part->dough->binding !== null && array_filter($this->told, static fn (Told $one): bool => $one->verb === 'slice' || $one->verb === 'strip') !== []) {
            return 'Toss it together until every piece is coated.';
        }
        $feel = $this->part->isADough() ? $this->part->dough->feel() : null;

        return 'Mix it until it is even.'.($feel === null ? '' : " It is to feel so: {$feel->feel} ({$feel->sign}).");
    }

    /** @return array<string, string> seeds swell and gelatin blooms before they count, told or not: by the job, what is said of it */
    private function soaked(): array
    {
        $soaked = [];
        foreach (self::SOAKED as $job => [$ids, $says]) {
            $names = [];
            foreach ($this->lines as $line) {
                if ($line->food !== null && self::isSoaked($line->food, $ids) && ! $this->isToldOf($line->food)) {
                    $names[$line->food->name] = true;
                }
            }
            ksort($names);
            if ($names !== []) {
                $soaked[$job] = sprintf($says, implode(' and the ', array_keys($names)));
            }
        }

        return $soaked;
    }

    /** "Sprinkle the gelatin over the cold broth": the maker soaks it herself. */
    private function isToldOf(Ingredient $food): bool
    {
        $word = preg_quote(explode(' ', str_replace('plain ', '', $food->name))[0], '/');

        return array_filter($this->told, static fn (Told $one): bool => in_array($one->verb, ['sprinkle', 'scatter'], true) && preg_match("/\\b$word/iu", $one->text) === 1) !== [];
    }

    /** @param  list<string>  $ids */
    private static function isSoaked(Ingredient $food, array $ids): bool
    {
        foreach ($ids as $id) {
            if (str_starts_with($food->id, $id) && ! $food->inGroup('oil')) {
                return true;
            }
        }

        return false;
    }

    private function tells(Kind $kind): bool
    {
        return array_filter($this->told, static fn (Told $one): bool => $one->kind === $kind) !== [];
    }

    /** @param  list<ReadLine>  $lines */
    private static function listed(array $lines): string
    {
        return implode('; ', array_map(static fn (ReadLine $line): string => $line->made?->grams === null ? rtrim($line->text, '.;') : round($line->made->grams).' g: '.$line->text, $lines));
    }
}
