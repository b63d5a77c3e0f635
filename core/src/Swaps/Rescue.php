<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Measuring\LineWriter;
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

    /** @var list<Weighed|null> by line */
    private array $portions = [];

    public readonly Dough $dough;

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
        $this->table = new Table($request->dogs, $kitchen->policy, $request->cut());
        foreach ($recipe->lines as $index => $line) {
            $this->portions[] = Weighed::read($line, $index, $weigher, $kitchen->policy->calorieConvention);
        }
        $this->dough = new Dough(array_values(array_filter($this->portions)));
        $this->density = $this->dough->density();
        $this->before = Sums::of($this->dough->weighed, $this->table->substances);
        $this->goalAt = count($this->before);
        $this->meatFirst = Sums::isMeatFirst($this->dough->weighed);
        $this->jobs = $jobs = Jobs::of($this->dough->weighed);
        foreach ($jobs as $does) {
            $this->jobsBefore |= Jobs::bits($does);
        }
        $maker = new LineOptions($request, $goals, $atHand, $this->weights, $weigher, $this->writer, $this->dough);
        $options = [];
        foreach ($recipe->lines as $index => $line) {
            $options[] = $maker->of($line, $this->portions[$index], $jobs[$index] ?? []);
        }
        $this->options = $options;
        $this->mending = new Mending($kitchen->catalogue, $this->dough->wetness ?? 0.0, $this->dough->wetness !== null, $options, $this->weights);
        $this->target = new Target($this->before[Sums::KCAL] / max(1.0, $this->before[Sums::MASS]), $this->dough->wetness ?? 0.0, Mending::SMALL, $this->mending->leastByDrying(...));
        foreach ($options as $ofLine) {
            $this->bowls[] = array_map(fn (Option $option): array => $this->withGoals(Sums::of($option->portions, $this->table->substances)), $ofLine);
        }
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
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n) && $this->table->pieces($n, $worst, $this->density) < Ration::QUARTER) {
                $tight[] = $n;
            }
        }

        return $tight;
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
        if ($sums[Sums::MASS] <= 0.0 || ($this->before[Sums::UPTAKE] > 0 && $sums[Sums::UPTAKE] < 0.4 * $this->before[Sums::UPTAKE])) {
            return null;
        }
        $cost = $this->mending->cost($sums);
        $fat = 100 * $sums[Sums::FAT] / max(1.0, $sums[Sums::KCAL]);
        $cost += $this->weights['richer-fat'] * max(0.0, $fat - 100 * $this->before[Sums::FAT] / max(1.0, $this->before[Sums::KCAL]));
        $density = $sums[Sums::KCAL] / $sums[Sums::MASS];
        $cost += $this->before[Sums::KCAL] > 0 ? $this->weights['richer-kcal'] * max(0.0, $density * $this->before[Sums::MASS] / $this->before[Sums::KCAL] - 1) : 0.0;
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
        foreach ($this->request->dogs as $n => $dog) {
            // never two foods new to a sensitive dog
            if (($serves >> $n & 1) === 1 && ($newFor[$dog->key()] ?? 0) > 1 && $dog->has('sensitive-stomach')) {
                return null;
            }
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n)) {
                $pieces = $this->table->pieces($n, $sums, $this->density) * ($this->hasNew($choice, $dog) ? Ramp::FIRST_DAYS : 1.0);
                if ($pieces < Ration::QUARTER + 1e-9) {
                    return null;
                }
                $cost += $pieces < 1.0 ? $this->weights['fewer-pieces'] * (1 - $pieces) : 0.0;
            }
        }

        return $this->goals->all === [] || $this->goals->areMet(new Chosen($choice, $sums, $this->weighed($choice), $this->target, $this->mending)) ? $cost : null;
    }

    /**
     * The least that the whole bowl can add, whatever is still chosen.
     *
     * @param  array<int, float>  $sums  of what is chosen
     * @param  list<float>  $least  that is to come
     * @param  list<float>  $most
     * @param  int  $jobs  done, or still possible
     * @param  list<int>  $tight  dogs that might be left with less than a quarter piece
     * @return float infinite where no completion can be
     */
    public function bound(array $sums, array $least, array $most, int $jobs, array $tight = []): float
    {
        foreach ($tight as $n) {
            if (! $this->table->mayStillServe($n, $sums, $least, $sums[Sums::MASS] + $most[Sums::MASS], $this->density)) {
                return INF;
            }
        }
        $cost = 0.0;
        $missing = $this->jobsBefore & ~$jobs;
        if ($missing !== 0) {
            for ($n = 0; $n < count(Jobs::NEEDED); $n++) {
                $cost += ($missing >> $n & 1) * $this->weights['job-lost'];
            }
        }
        $kcal = $sums[Sums::KCAL] + $most[Sums::KCAL];
        $fat = 100 * ($sums[Sums::FAT] + $least[Sums::FAT]) / max(1.0, $kcal);
        $cost += $this->weights['richer-fat'] * max(0.0, $fat - 100 * $this->before[Sums::FAT] / max(1.0, $this->before[Sums::KCAL]));
        $mass = $sums[Sums::MASS] + $most[Sums::MASS];
        if ($this->before[Sums::KCAL] > 0 && $mass > 0) {
            $cost += $this->weights['richer-kcal'] * max(0.0, ($sums[Sums::KCAL] + $least[Sums::KCAL]) / $mass * $this->before[Sums::MASS] / $this->before[Sums::KCAL] - 1);
        }
        if ($this->dough->wetness === null) {
            return $cost;
        }
        // the shortened uptake lies between its least flour with the most fat and its most flour with the least
        $flourLeast = $sums[Sums::FLOUR] + $least[Sums::FLOUR];
        $flourMost = $sums[Sums::FLOUR] + $most[Sums::FLOUR];
        $low = ($sums[Sums::UPTAKE] + $least[Sums::UPTAKE]) * Uptake::shortened($sums[Sums::FAT] + $most[Sums::FAT], $flourLeast);
        $high = ($sums[Sums::UPTAKE] + $most[Sums::UPTAKE]) * ($flourMost > 0 ? Uptake::shortened($sums[Sums::FAT] + $least[Sums::FAT], $flourMost) : 1.0);
        $wetness = $this->dough->wetness ?? 0.0;
        $dry = $wetness * $low - $sums[Sums::FREE] - $most[Sums::FREE];
        $wet = $sums[Sums::FREE] + $least[Sums::FREE] - $wetness * $high;
        $off = max(0.0, $dry, $wet) / max(1.0, $high);

        return $cost + ($off <= Mending::SMALL ? 0.0 : min($this->weights['adjust'], $this->weights['wetness'] * ($off - Mending::SMALL)));
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
