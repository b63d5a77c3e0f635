<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Kitchen\ReadRecipe;
use MildBowl\Core\Pantry\Weigher;

/**
 * One recipe, the dogs at the table and what they are to become: the options of every line, and what a whole choice of them costs.
 */
final class Rescue
{
    /** @var array<string, float> */
    private readonly array $weights;

    private readonly LineWriter $writer;

    public readonly Table $table;

    /** @var list<Portion|null> by line */
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

    private readonly bool $meatFirst;

    /**
     * @param  array<string, list<string>>  $dislikes  foods each dog refuses, by its name
     * @param  list<string>  $atHand
     * @param  array<string, float>|null  $weights  other than those of rescue-weights.csv
     * @param  list<OwnSwap>  $own  the kitchen's own swaps and what it thinks of known ones
     */
    public function __construct(
        private readonly Request $request,
        public readonly ReadRecipe $recipe,
        public readonly Goals $goals,
        array $dislikes,
        array $atHand,
        ?array $weights = null,
        array $own = [],
    ) {
        $this->weights = $weights ?? Data::tables()['rescueWeights'];
        $weigher = new Weigher($request->policy->units);
        $this->writer = new LineWriter($weigher, LineWriter::isByWeight(...$recipe->lines));
        $this->table = new Table($request->dogs, $request->policy, $request->cutOrCount());
        foreach ($recipe->lines as $index => $line) {
            $this->portions[] = Portion::read($line, $index, $weigher, $request->policy->calorieConvention);
        }
        $this->dough = new Dough(array_values(array_filter($this->portions)));
        $this->density = $this->dough->density();
        $this->before = Bowl::of($this->dough->portions, $this->table->substances);
        $this->goalAt = count($this->before);
        $this->meatFirst = $this->isMeatFirst($this->dough->portions);
        $this->jobs = $jobs = Jobs::of($this->dough->portions);
        foreach ($jobs as $does) {
            $this->jobsBefore |= Jobs::bits($does);
        }
        $maker = new LineOptions($request, $goals, $dislikes, $atHand, $this->weights, $own, $weigher, $this->writer, $this->dough);
        $options = [];
        foreach ($recipe->lines as $index => $line) {
            $options[] = $maker->of($line, $this->portions[$index], $jobs[$index] ?? []);
        }
        $this->options = $options;
        $target = (1 - ($goals->fewerCalories ?? 0.0) / 100) * $this->before[Bowl::KCAL] / max(1.0, $this->before[Bowl::MASS]);
        $this->mending = new Mending($this->dough->wetness ?? 0.0, $this->before[Bowl::UPTAKE] > 0.0, $options, $this->weights);
        $dried = $this->mending->leastByDrying($target);
        foreach ($options as $ofLine) {
            $this->bowls[] = array_map(fn (Option $option): array => $this->withGoals(Bowl::of($option->portions, $this->table->substances), $target, $dried), $ofLine);
        }
    }

    /**
     * Behind the sums of a bowl, how far it stands over each goal that is a figure: the goal is met where the sum over all lines is not
     * above nothing. Calories stand twice, as a bowl that is too wet and as one that is too dry will be mended: one of the two must hold.
     *
     * @param  list<float>  $bowl
     * @param  float  $target  kcal in a gram that the goal allows
     * @param  float  $dried  by leastByDrying()
     * @return list<float>
     */
    private function withGoals(array $bowl, float $target, float $dried): array
    {
        if ($this->goalColumns() === []) {
            return $bowl;
        }
        $over = $bowl[Bowl::KCAL] - $target * $bowl[Bowl::MASS];
        $excess = $bowl[Bowl::WATER] - ($this->dough->wetness ?? 0.0) * $bowl[Bowl::UPTAKE];

        return [
            ...$bowl,
            $over + $dried * ($excess - Mending::SMALL * $bowl[Bowl::UPTAKE]),
            $over + $target * $excess,
            $bowl[Bowl::FAT] - Goals::LOW_FAT_PER_100_KCAL / 100 * $bowl[Bowl::KCAL],
            $bowl[Bowl::SODIUM] - Goals::LOW_SODIUM_PER_100_KCAL / 100 * $bowl[Bowl::KCAL],
        ];
    }

    /** @return list<non-empty-list<int>> columns of the goals that are figures, for the search */
    public function goalColumns(): array
    {
        return [
            ...($this->goals->fewerCalories === null ? [] : [[$this->goalAt, $this->goalAt + 1]]),
            ...($this->goals->has('low-fat') ? [[$this->goalAt + 2]] : []),
            ...($this->goals->has('low-sodium') ? [[$this->goalAt + 3]] : []),
        ];
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
        $worst[Bowl::MASS] = $best[Bowl::MASS];
        $tight = [];
        foreach (array_keys($this->request->dogs) as $n) {
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n) && $this->table->pieces($n, $worst, $this->density) < 0.25) {
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
            if ($line->ingredient === null || $line->unread !== [] || $line->lookAlikes || $this->portions[$index] === null) {
                $unread[] = $line->text;
            }
        }

        return $unread;
    }

    /** @param  list<Portion>  $portions */
    private function isMeatFirst(array $portions): bool
    {
        $heaviest = null;
        foreach ($portions as $portion) {
            if ($portion->ingredient->id !== 'water' && ($heaviest === null || $portion->grams->best > $heaviest->grams->best)) {
                $heaviest = $portion;
            }
        }

        return $heaviest !== null && Bowl::isMeat($heaviest);
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
        if ($sums[Bowl::MASS] <= 0.0 || ($this->before[Bowl::UPTAKE] > 0 && $sums[Bowl::UPTAKE] < 0.4 * $this->before[Bowl::UPTAKE])) {
            return null;
        }
        $cost = $this->mending->cost($sums);
        $fat = 100 * $sums[Bowl::FAT] / max(1.0, $sums[Bowl::KCAL]);
        $cost += $this->weights['richer-fat'] * max(0.0, $fat - 100 * $this->before[Bowl::FAT] / max(1.0, $this->before[Bowl::KCAL]));
        $density = $sums[Bowl::KCAL] / $sums[Bowl::MASS];
        $cost += $this->before[Bowl::KCAL] > 0 ? $this->weights['richer-kcal'] * max(0.0, $density * $this->before[Bowl::MASS] / $this->before[Bowl::KCAL] - 1) : 0.0;
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
                    $newFor[$dog] = ($newFor[$dog] ?? 0) + 1;
                }
            }
        }
        $missing = $this->jobsBefore & ~$jobs;
        for ($n = 0; $n < count(Jobs::NEEDED); $n++) {
            $cost += ($missing >> $n & 1) * $this->weights['job-lost'];
        }
        if ($this->meatFirst && ! $this->staysMeatFirst($choice)) {
            $cost += $this->weights['meat-lost'];
        }
        if ($cost >= $limit) {
            return null;
        }
        foreach ($this->request->dogs as $n => $dog) {
            // never two foods new to a sensitive dog
            if (($serves >> $n & 1) === 1 && ($newFor[$dog->name] ?? 0) > 1 && $dog->has('sensitive-stomach')) {
                return null;
            }
            if (($serves >> $n & 1) === 1 && $this->table->hasRation($n)) {
                $pieces = $this->table->pieces($n, $sums, $this->density) * ($this->hasNew($choice, $dog) ? 0.25 : 1.0);
                if ($pieces < 0.25 + 1e-9) {
                    return null;
                }
                $cost += $pieces < 1.0 ? $this->weights['fewer-pieces'] * (1 - $pieces) : 0.0;
            }
        }

        return $this->meetsGoals($choice, $sums) ? $cost : null;
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
            if (! $this->table->mayStillServe($n, $sums, $least, $sums[Bowl::MASS] + $most[Bowl::MASS], $this->density)) {
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
        $kcal = $sums[Bowl::KCAL] + $most[Bowl::KCAL];
        $fat = 100 * ($sums[Bowl::FAT] + $least[Bowl::FAT]) / max(1.0, $kcal);
        $cost += $this->weights['richer-fat'] * max(0.0, $fat - 100 * $this->before[Bowl::FAT] / max(1.0, $this->before[Bowl::KCAL]));
        $mass = $sums[Bowl::MASS] + $most[Bowl::MASS];
        if ($this->before[Bowl::KCAL] > 0 && $mass > 0) {
            $cost += $this->weights['richer-kcal'] * max(0.0, ($sums[Bowl::KCAL] + $least[Bowl::KCAL]) / $mass * $this->before[Bowl::MASS] / $this->before[Bowl::KCAL] - 1);
        }
        if ($this->before[Bowl::UPTAKE] <= 0.0) {
            return $cost;
        }
        // the shortened uptake lies between its least flour with the most fat and its most flour with the least
        $flourLeast = $sums[Bowl::FLOUR] + $least[Bowl::FLOUR];
        $flourMost = $sums[Bowl::FLOUR] + $most[Bowl::FLOUR];
        $low = ($sums[Bowl::UPTAKE] + $least[Bowl::UPTAKE]) * ($flourLeast > 0 ? max(0.5, 1 - Bowl::FAT_SHORTENS * ($sums[Bowl::FAT] + $most[Bowl::FAT]) / $flourLeast) : 0.5);
        $high = ($sums[Bowl::UPTAKE] + $most[Bowl::UPTAKE]) * ($flourMost > 0 ? max(0.5, 1 - Bowl::FAT_SHORTENS * ($sums[Bowl::FAT] + $least[Bowl::FAT]) / $flourMost) : 1.0);
        $wetness = $this->dough->wetness ?? 0.0;
        $dry = $wetness * $low - $sums[Bowl::WATER] - $most[Bowl::WATER];
        $wet = $sums[Bowl::WATER] + $least[Bowl::WATER] - $wetness * $high;
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
                if (array_filter($dog->newIngredients, $portion->ingredient->isCoveredBy(...)) !== []) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @param  list<int>  $choice */
    private function staysMeatFirst(array $choice): bool
    {
        $portions = [];
        foreach ($choice as $line => $index) {
            array_push($portions, ...$this->options[$line][$index]->portions);
        }

        return $this->isMeatFirst($portions);
    }

    /**
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     */
    private function meetsGoals(array $choice, array $sums): bool
    {
        $kcal = max(1.0, $sums[Bowl::KCAL]);
        if ($this->goals->has('low-fat') && 100 * $sums[Bowl::FAT] / $kcal > Goals::LOW_FAT_PER_100_KCAL) {
            return false;
        }
        if ($this->goals->has('low-sodium') && 100 * $sums[Bowl::SODIUM] / $kcal > Goals::LOW_SODIUM_PER_100_KCAL) {
            return false;
        }
        if ($this->goals->fewerCalories !== null && $this->mending->kcalPerGram($choice, $sums) > (1 - $this->goals->fewerCalories / 100) * $this->before[Bowl::KCAL] / max(1.0, $this->before[Bowl::MASS])) {
            return false;
        }
        if ($this->goals->has('meat-first') && ! $this->staysMeatFirst($choice)) {
            return false;
        }

        return ! $this->goals->has('single-protein') || count($this->proteins($choice)) <= 1;
    }

    /**
     * @param  list<int>  $choice
     * @return array<string, true> animals in a choice
     */
    private function proteins(array $choice): array
    {
        $animals = [];
        foreach ($choice as $line => $index) {
            foreach ($this->options[$line][$index]->portions as $portion) {
                $animals += Narrowings::animalsIn($portion->ingredient);
            }
        }

        return $animals;
    }

    /**
     * What mends the wetness of a choice; null when nothing needs mending.
     *
     * @param  list<int>  $choice
     * @return array{text: string, reason: string, line: ?int}|null
     */
    public function mending(array $choice): ?array
    {
        return $this->mending->written($choice, $this->bowl($choice), $this->writer, $this->recipe, $this->goals->fewerCalories === null ? null : 0.5);
    }
}
