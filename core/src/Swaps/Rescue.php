<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Bowl;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Swaps\Goals\Chosen;
use MildBowl\Core\Swaps\Goals\Goal;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Goals\Target;

/**
 * One recipe, the dogs at the table and what they are to become: the options of every line, and what a whole choice of them costs.
 */
final class Rescue
{
    /** @var array<string, float> */
    private readonly array $weights;

    public readonly LineWriter $writer;

    public readonly Table $table;

    public readonly Cuts $cuts;

    /** @var list<Weighed|null> by line */
    private array $portions = [];

    /** Everything in the bowl. */
    public readonly Dough $dough;

    /** What is cut: the rest lies on it or goes into it. */
    public readonly Dough $body;

    /** @var list<bool> by line */
    public readonly array $inBody;

    /** @var list<float> */
    private readonly array $before;

    /** @var list<list<Option>> */
    public readonly array $options;

    /** @var list<list<list<float>>> bowl of each option of each line, with the columns of the goals behind it */
    public array $bowls = [];

    /** Where the columns of the goals begin. */
    private readonly int $goalAt;

    private int $jobsBefore = 0;

    /** @var array<int, list<string>> what each line does in the dough */
    public readonly array $jobs;

    private readonly float $density;

    private readonly Mending $mending;

    /** Figures of a piece's energy at which the cost of its cut is worked out beforehand. */
    private const STEPS = 60;

    /** @var array<int, list<array{int, float, float}>> by the dogs that are served */
    private array $hurting = [];

    /** Share of the batch that a rescue may add or take away; beyond, it comes last and says so. */
    public const MOST_CHANGE = 0.25;

    /** Share of what the flours took up below which nothing holds it together. */
    private const LEAST_FLOUR = 0.4;

    /** Share of a substance from which a line brings it. */
    private const MUCH = 0.2;

    private readonly Target $target;

    private readonly bool $meatFirst;

    /**
     * @param  list<string>  $atHand
     * @param  array<string, float>|null  $weights  other than those of rescue-weights.csv
     */
    public function __construct(
        private readonly Question $request,
        public readonly ReadRecipe $recipe,
        public readonly Goals $goals,
        array $atHand,
        ?array $weights = null,
    ) {
        $this->weights = $weights ?? Compiled::tables()['rescueWeights'];
        $kitchen = $request->kitchen;
        $weigher = $kitchen->weigher();
        $this->writer = $kitchen->writer(...$recipe->lines);
        $this->cuts = new Cuts($request->cut(), $this->weights, $goals->wantSmaller());
        $this->table = new Table($request->dogs, $kitchen->policy, $request->cut(), $this->cuts->finest());
        foreach ($recipe->lines as $index => $line) {
            $this->portions[] = Weighed::read($line, $index, $weigher, $kitchen->policy->calorieConvention);
        }
        $bowl = Bowl::of($recipe, $kitchen, $request->carriedOver());
        $this->dough = $bowl->dough;
        $this->body = $bowl->parts->body->dough;
        $this->inBody = array_map(static fn (ReadLine $line): bool => $bowl->parts->under($line->section)->isBody(), $recipe->lines);
        $this->density = $this->body->density();
        $this->before = $this->sumOf($this->dough->weighed);
        $this->goalAt = count($this->before);
        $this->meatFirst = Sums::isMeatFirst($this->dough->weighed);
        $this->jobs = $jobs = Jobs::of($this->dough->weighed);
        foreach ($jobs as $does) {
            $this->jobsBefore |= Jobs::bits($does);
        }
        $maker = new LineOptions($request, $goals, $atHand, $this->weights, $weigher, $this->writer, $bowl, new Identity($this->dough->weighed, $request->title === '' ? [] : $kitchen->reader->step($request->title)->foods, $this->weights));
        $options = [];
        foreach ($recipe->lines as $index => $line) {
            $options[] = $maker->of($line, $this->portions[$index], $jobs[$index] ?? []);
        }
        $this->options = $options;
        $this->mending = new Mending($kitchen->catalogue, $this->body->wetness ?? 0.0, $this->before[Sums::UPTAKE] > 0.0 ? Sums::shortened($this->before) / $this->before[Sums::UPTAKE] : 1.0, $this->before[Sums::UPTAKE], max(1.0, $this->before[Sums::MASS]), $this->body->wetness !== null, $options, $this->inBody, $this->weights);
        $this->target = new Target($this->before[Sums::KCAL] / max(1.0, $this->before[Sums::MASS]), $this->before[Sums::KCAL], max(1, count($recipe->lines)), $request->cut()->count() !== null, $this->body->wetness ?? 0.0, Mending::SMALL, $this->mending->leastByDrying(...));
        foreach ($options as $index => $ofLine) {
            $this->bowls[] = array_map(function (Option $option) use ($index): array {
                $sums = Sums::of($option->portions, $this->table->substances, $this->inBody[$index]);
                $sums[Sums::BALANCE] = $this->mending->balance($sums);
                $sums[Sums::RICHER] = $sums[Sums::KCAL] - $this->before[Sums::KCAL] / max(1.0, $this->before[Sums::MASS]) * $sums[Sums::MASS];
                $sums[Sums::FATTER] = $sums[Sums::FAT] - $this->before[Sums::FAT] / max(1.0, $this->before[Sums::KCAL]) * $sums[Sums::KCAL];

                return $this->withGoals(array_values($sums));
            }, $ofLine);
        }
    }

    /**
     * @param  list<Weighed>  $weighed  lines of the recipe as it stands
     * @return list<float>
     */
    private function sumOf(array $weighed): array
    {
        $sums = array_fill(0, count(Sums::of([], $this->table->substances)), 0.0);
        foreach ($weighed as $one) {
            foreach (Sums::of([$one], $this->table->substances, $this->inBody[$one->line]) as $n => $amount) {
                $sums[$n] += $amount;
            }
        }

        return array_values($sums);
    }

    /**
     * Behind the sums of a bowl, how far it stands over each goal that is a figure.
     *
     * @param  list<float>  $sums
     * @return list<float>
     */
    private function withGoals(array $sums): array
    {
        return array_merge($sums, ...array_map(fn (Goal $goal): array => $goal->over($sums, $this->target), $this->goals->all));
    }

    /** @return list<non-empty-list<int>> columns of the goals that are figures, for the search: of each goal one must not be above nothing */
    public function goalColumns(): array
    {
        $columns = [];
        $at = $this->goalAt;
        foreach ($this->goals->all as $goal) {
            $own = count($goal->over($this->before, $this->target));
            if ($own > 0) {
                $columns[] = range($at, $at + $own - 1);
                $at += $own;
            }
        }

        return $columns;
    }

    /**
     * Dogs for whom some choice would leave less than a quarter piece: only these are looked at on the way down.
     *
     * @return list<int>
     */
    public function tight(int $serves): array
    {
        $worst = $best = array_fill(0, $this->goalAt, 0.0);
        foreach ($this->bowls as $options) {
            foreach ($worst as $n => $sum) {
                $column = [0.0, ...array_column($options, $n)];
                $worst[$n] = $sum + max($column);
                $best[$n] += min($column);
            }
        }
        $worst[Sums::MASS] = $best[Sums::MASS];
        $tight = [];
        foreach (array_keys($this->request->dogs) as $n) {
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n) && $this->table->finest * $this->table->pieces($n, $worst, $this->density) < Ration::QUARTER) {
                $tight[] = $n;
            }
        }

        return $tight;
    }

    /**
     * What some choice could hurt a dog with: only this is looked at on the way down.
     *
     * @return list<array{int, float, float}>
     */
    public function hurt(int $serves): array
    {
        if (isset($this->hurting[$serves])) {
            return $this->hurting[$serves];
        }
        $most = array_fill(0, $this->goalAt, 0.0);
        $kcal = 0.0;
        foreach ($this->bowls as $options) {
            foreach (array_keys($most) as $n) {
                $most[$n] += max([0.0, ...array_column($options, $n)]);
            }
            $kcal += min([INF, ...array_column($options, Sums::KCAL)]);
        }
        $hurt = [];
        foreach (array_keys($this->request->dogs) as $n) {
            foreach (($serves >> $n & 1) === 1 && $this->table->hasRation($n) ? $this->table->hurting($n, $this->weights) : [] as [$column, $allows, $weight]) {
                // rows of density allow every dog the same
                $key = sprintf('%d %.9e', $column, $allows);
                if ($most[$column] > $allows * $kcal) {
                    $hurt[$key] = [$column, $allows, $weight + ($hurt[$key][2] ?? 0.0)];
                }
            }
        }

        return $this->hurting[$serves] = array_values($hurt);
    }

    /**
     * What the cut costs at least, and pieces of which there are few, by the energy of a piece: the figure from which on, and the cost.
     *
     * @return list<array{float, float}> by energy, from the most
     */
    public function cutCosts(int $serves): array
    {
        $budgets = [];
        foreach (array_keys($this->request->dogs) as $n) {
            if (($serves >> $n & 1) === 1 && $this->table->budget($n) !== null) {
                $budgets[] = $this->table->budget($n);
            }
        }
        $most = 0.0;
        foreach ($this->bowls as $options) {
            $most += max([0.0, ...array_column($options, Sums::KCAL)]);
        }
        $most = $this->table->leastPieceKcal($most, 0.5 * $this->before[Sums::MASS], $this->density);
        $costs = [];
        for ($step = self::STEPS; $step > 0 && $budgets !== []; $step--) {
            $kcal = $most * $step / self::STEPS;
            $best = $kcal <= 0.0 ? null : $this->cuts->cheapest(array_map(static fn (float $budget): float => $budget / $kcal, $budgets));
            $cost = $best === null ? ($kcal <= 0.0 ? 0.0 : INF) : $best['cost'];
            if ($cost > 0.0) {
                $costs[] = [$kcal, $cost];
            }
        }

        return $costs;
    }

    /** @param  list<array{float, float}>  $costs */
    private static function atLeast(array $costs, float $kcal): float
    {
        foreach ($costs as [$from, $cost]) {
            if ($kcal >= $from) {
                return $cost;
            }
        }

        return 0.0;
    }

    /** @return list<string> lines that must be settled by the person before anything can be worked out */
    public function unread(): array
    {
        $unread = [];
        foreach ($this->recipe->lines as $index => $line) {
            if (! $line->isUnderstood() || $line->lookAlikes || $this->portions[$index] === null) {
                $unread[] = $line->text;
            }
        }

        return $unread;
    }

    /**
     * The sums of one choice of options.
     *
     * @param  list<int>  $choice
     * @return list<float>
     */
    private function bowl(array $choice): array
    {
        $sums = array_fill(0, count($this->bowls[0][0] ?? []), 0.0);
        foreach ($choice as $line => $index) {
            foreach ($this->bowls[$line][$index] as $n => $amount) {
                $sums[$n] += $amount;
            }
        }

        return array_values($sums);
    }

    /**
     * What the whole bowl adds to the cost of one choice, never less than nothing; null when the choice cannot be: a dog that is to be
     * served would get less than a quarter piece, a goal is missed, or nothing is left to hold it together.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums  of the choice
     * @param  float  $limit  more than this is of no use to the asker
     */
    public function rest(array $choice, array $sums, int $serves, float $limit = INF): ?float
    {
        if ($sums[Sums::MASS] <= 0.0 || $sums[Sums::UPTAKE] < self::LEAST_FLOUR * $this->before[Sums::UPTAKE]) {
            return null;
        }
        $cost = $this->mending->cost($sums);
        foreach ($this->slopes() as [$column, $each]) {
            $cost += $column === Sums::BALANCE ? 0.0 : $each * max(0.0, $sums[$column]);
        }
        foreach ($this->hurt($serves) as [$column, $allows, $weight]) {
            $cost += $sums[$column] > $allows * $sums[Sums::KCAL] ? $weight * (1 - $allows * $sums[Sums::KCAL] / $sums[$column]) : 0.0;
        }
        if ($cost >= $limit) {
            return null;
        }
        $newFor = [];
        $jobs = 0;
        foreach ($choice as $line => $index) {
            $option = $this->options[$line][$index];
            $jobs |= $option->jobs;
            if ($option->newTo !== [] && $option->action !== Option::KEEP) {
                foreach ($option->newTo as $dog) {
                    $newFor[$dog->key()] = ($newFor[$dog->key()] ?? 0) + 1;
                }
            }
        }
        $missing = $this->jobsBefore & ~$jobs;
        for ($n = 0; $n < count(Jobs::NEEDED); $n++) {
            $cost += ($missing >> $n & 1) * $this->weights['job-lost'];
        }
        if ($this->meatFirst && ! Sums::isMeatFirst($this->weighed($choice))) {
            $cost += $this->weights['meat-lost'];
        }
        if ($cost >= $limit) {
            return null;
        }
        $most = self::MOST_CHANGE * $this->before[Sums::MASS];
        if (abs($sums[Sums::MASS] - $sums[Sums::BALANCE] - $this->before[Sums::MASS]) > $most || ($this->mayOutgrow($sums) && abs($sums[Sums::MASS] + $this->mending->change($choice, $sums) - $this->before[Sums::MASS]) > $most)) {
            $cost += $this->weights['batch'];
        }
        if ($cost >= $limit) {
            return null;
        }
        $pieces = [];
        foreach ($this->request->dogs as $n => $dog) {
            // never two foods new to a sensitive dog
            if (($serves >> $n & 1) === 1 && ($newFor[$dog->key()] ?? 0) > 1 && $dog->has('sensitive-stomach')) {
                return null;
            }
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n)) {
                $pieces[] = $this->table->pieces($n, $sums, $this->density) * ($this->hasNew($choice, $dog) ? Ramp::FIRST_DAYS : 1.0);
            }
        }
        $cut = $cost >= $limit ? null : $this->cuts->cheapest($pieces);
        if ($cut === null) {
            return null;
        }
        $cost += $cut['cost'];

        return $this->goals->all === [] || $this->goals->areMet(new Chosen($choice, $sums, $this->weighed($choice), $this->target, $this->mending)) ? $cost : null;
    }

    /**
     * Whether a batch could grow or shrink by more than a quarter once it is mended.
     *
     * @param  list<float>  $sums
     */
    private function mayOutgrow(array $sums): bool
    {
        return abs($sums[Sums::MASS] - $this->before[Sums::MASS]) + $this->mending->most($sums) > self::MOST_CHANGE * $this->before[Sums::MASS];
    }

    /**
     * The least that the whole bowl can add, whatever is still chosen.
     *
     * @param  array<int, float>  $sums  of what is chosen
     * @param  list<float>  $least  that is to come
     * @param  list<float>  $most
     * @param  int  $jobs  done, or still possible
     * @param  list<int>  $tight  dogs that might be left with less than a quarter piece
     * @param  list<array{int, float, float}>  $hurt  what might hurt a dog
     * @param  list<array{float, float}>  $pieces  of cutCosts()
     * @return float infinite where no completion can be
     */
    public function bound(array $sums, array $least, array $most, int $jobs, array $tight = [], array $hurt = [], array $pieces = []): float
    {
        foreach ($tight as $n) {
            if (! $this->table->mayStillServe($n, $sums, $least, $sums[Sums::MASS] + $most[Sums::MASS], $this->density)) {
                return INF;
            }
        }
        if (self::LEAST_FLOUR * $this->before[Sums::UPTAKE] > $sums[Sums::UPTAKE] + $most[Sums::UPTAKE]) {
            return INF;
        }
        $cost = $pieces === [] ? 0.0 : self::atLeast($pieces, $this->table->leastPieceKcal($sums[Sums::KCAL] + $least[Sums::KCAL], $sums[Sums::MASS] + $most[Sums::MASS], $this->density));
        if ($sums[Sums::MASS] + $most[Sums::MASS] - $sums[Sums::BALANCE] - $least[Sums::BALANCE] < (1 - self::MOST_CHANGE) * $this->before[Sums::MASS]
            || $sums[Sums::MASS] + $least[Sums::MASS] - $sums[Sums::BALANCE] - $most[Sums::BALANCE] > (1 + self::MOST_CHANGE) * $this->before[Sums::MASS]) {
            $cost += $this->weights['batch'];
        }
        $kcal = $sums[Sums::KCAL] + $most[Sums::KCAL];
        foreach ($hurt as [$column, $allows, $weight]) {
            $brings = $sums[$column] + $least[$column];
            $cost += $brings > $allows * $kcal ? $weight * (1 - $allows * $kcal / $brings) : 0.0;
        }
        $missing = $this->jobsBefore & ~$jobs;
        if ($missing !== 0) {
            for ($n = 0; $n < count(Jobs::NEEDED); $n++) {
                $cost += ($missing >> $n & 1) * $this->weights['job-lost'];
            }
        }

        return $cost;
    }

    /**
     * What costs in proportion to a sum over the bowl, as the search bounds it: the column, what a unit costs, the units that cost nothing,
     * and whether a sum under nothing costs as much.
     *
     * @return list<array{int, float, float, bool}>
     */
    public function slopes(): array
    {
        $energy = max(1.0, $this->before[Sums::KCAL]);

        return [
            [Sums::BALANCE, ...$this->mending->slope(), true],
            [Sums::RICHER, $this->before[Sums::KCAL] > 0 ? $this->weights['richer-kcal'] / $energy : 0.0, 0.0, false],
            [Sums::FATTER, $this->weights['richer-fat'] * 100 / $energy, 0.0, false],
        ];
    }

    /** @param  list<int>  $choice */
    private function hasNew(array $choice, Dog $dog): bool
    {
        if ($dog->newIngredients === []) {
            return false;
        }
        foreach ($choice as $line => $index) {
            foreach ($this->options[$line][$index]->portions as $portion) {
                if ($dog->isNewTo($portion->ingredient)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * @param  list<int>  $choice
     * @return list<Weighed> all that a choice puts in the bowl
     */
    private function weighed(array $choice): array
    {
        $weighed = [];
        foreach ($choice as $line => $index) {
            array_push($weighed, ...$this->options[$line][$index]->portions);
        }

        return $weighed;
    }

    /**
     * The cut that goes with a choice, and how many times smaller it is; null where it stays as it is.
     *
     * @param  list<int>  $choice
     * @return array{cut: Cut, times: float}|null
     */
    public function cutOf(array $choice, int $serves): ?array
    {
        $pieces = [];
        $sums = $this->bowl($choice);
        foreach ($this->request->dogs as $n => $dog) {
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n)) {
                $pieces[] = $this->table->pieces($n, $sums, $this->density) * ($this->hasNew($choice, $dog) ? Ramp::FIRST_DAYS : 1.0);
            }
        }
        $best = $this->cuts->cheapest($pieces);

        return $best === null || $best['cut'] === null ? null : ['cut' => $best['cut'], 'times' => $best['times']];
    }

    /**
     * g that a choice adds to the batch, or takes from it, as a share of what it was.
     *
     * @param  list<int>  $choice
     */
    public function changeOf(array $choice): float
    {
        $sums = $this->bowl($choice);

        return ($sums[Sums::MASS] + $this->mending->change($choice, $sums)) / max(1.0, $this->before[Sums::MASS]) - 1;
    }

    /** Whether a line as it stands is closed to some dog. */
    public function isBlocking(int $line): bool
    {
        return $this->options[$line][0]->serves !== (1 << count($this->request->dogs)) - 1;
    }

    /** Why a line goes that stands against nobody: it brings most of what holds a dog. Empty where it brings nothing of the kind. */
    public function because(int $line): string
    {
        $own = $this->bowls[$line][0] ?? [];
        $best = '';
        $most = self::MUCH;
        foreach ($this->request->dogs as $n => $dog) {
            foreach ($this->table->hasRation($n) ? $this->table->held($n, $this->before) : [] as $column => $held) {
                $share = ($own[$column] ?? 0.0) / max(1e-9, $this->before[$column]);
                if ($share > $most) {
                    $most = $share;
                    $best = 'It brings '.round(100 * $share).' % of the '.Limit::called($this->table->codeOf($n, $column)).", which holds {$dog->name}.";
                }
            }
        }

        return $best;
    }

    /**
     * What mends the wetness of a choice; null when nothing needs mending.
     *
     * @param  list<int>  $choice
     * @return array{text: string, reason: string, line: ?int}|null
     */
    public function mending(array $choice): ?array
    {
        return $this->mending->written($choice, $this->bowl($choice), $this->writer, $this->recipe, $this->goals->areNarrow() ? 0.5 : null);
    }
}
