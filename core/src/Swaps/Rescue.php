<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Kitchen\ReadRecipe;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Weigher;

/**
 * One recipe, the dogs at the table and what they are to become: the options of every line, and what a whole choice of them costs.
 */
final class Rescue
{
    private const SMALL_WETNESS = 0.05;

    private const ANIMALS = ['chicken', 'turkey', 'duck', 'beef', 'lamb', 'pork', 'venison', 'rabbit', 'bison', 'kangaroo', 'horse', 'goat', 'fish', 'shellfish', 'egg', 'dairy', 'insect'];

    /** Share of water from which a line can be poured more or less of. */
    private const WATERY = 0.8;

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
        $dried = $this->leastByDrying($target);
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
            $over + $dried * ($excess - self::SMALL_WETNESS * $bowl[Bowl::UPTAKE]),
            $over + $target * $excess,
            $bowl[Bowl::FAT] - Goals::LOW_FAT_PER_100_KCAL / 100 * $bowl[Bowl::KCAL],
            $bowl[Bowl::SODIUM] - Goals::LOW_SODIUM_PER_100_KCAL / 100 * $bowl[Bowl::KCAL],
        ];
    }

    /** kcal over a target that mending costs at least for each gram of water too much: less of something wet, or more of a flour. */
    private function leastByDrying(float $target): float
    {
        $least = INF;
        foreach ($this->options as $options) {
            foreach ($options as $option) {
                foreach ($option->portions as $portion) {
                    $kcal = ($portion->ingredient->composition->kcal ?? 0.0) / 100;
                    $share = ($portion->ingredient->composition->waterG ?? 0.0) / 100;
                    $uptake = Data::tables()['uptake'][$portion->ingredient->id][0] ?? 0.0;
                    $drinks = ($this->dough->wetness ?? 1.0) * $uptake - 0.1;
                    $least = min($least, $share >= self::WATERY ? ($target - $kcal) / $share : INF, $uptake > 0 && $uptake < 2 && $drinks > 0 ? ($kcal - $target) / $drinks : INF);
                }
            }
        }

        return $least === INF ? 0.0 : max(0.0, $least);
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
        $cost = $this->wetnessCost($sums);
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

        return $cost + ($off <= self::SMALL_WETNESS ? 0.0 : min($this->weights['adjust'], $this->weights['wetness'] * ($off - self::SMALL_WETNESS)));
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

    /** @param  list<float>  $sums */
    private function wetnessCost(array $sums): float
    {
        if ($this->before[Bowl::UPTAKE] <= 0.0) {
            return 0.0;
        }
        $off = $this->off($sums);

        return $off <= self::SMALL_WETNESS ? 0.0 : min($this->weights['adjust'], $this->weights['wetness'] * ($off - self::SMALL_WETNESS));
    }

    /**
     * g of water that a bowl lacks to be as wet as before; negative when it is too wet.
     *
     * @param  list<float>  $sums
     */
    private function waterMissing(array $sums): float
    {
        return ($this->dough->wetness ?? 0.0) * Bowl::shortened($sums) - $sums[Bowl::WATER];
    }

    /**
     * How far the wetness of a bowl stands from what it was.
     *
     * @param  list<float>  $sums
     */
    private function off(array $sums): float
    {
        return abs($this->waterMissing($sums)) / max(1.0, Bowl::shortened($sums));
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
        if ($this->goals->fewerCalories !== null && $this->kcalPerGramMended($choice, $sums) > (1 - $this->goals->fewerCalories / 100) * $this->before[Bowl::KCAL] / max(1.0, $this->before[Bowl::MASS])) {
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
                $animals += self::animalsIn($portion->ingredient);
            }
        }

        return $animals;
    }

    /** @return array<string, true> */
    private static function animalsIn(Ingredient $food): array
    {
        $animals = [];
        foreach (self::ANIMALS as $animal) {
            if ($food->inGroup($animal)) {
                $animals[$animal] = true;
            }
        }

        return $animals;
    }

    /**
     * The goals that no sum can tell (one animal, meat first) as narrower searches: the best of all of them is the best there is.
     *
     * @return list<(callable(int, Option): bool)>|null null where there is no such goal
     */
    public function narrowings(): ?array
    {
        if (! $this->goals->has('single-protein') && ! $this->goals->has('meat-first')) {
            return null;
        }
        $animals = [];
        $meats = [];
        foreach ($this->options as $line => $options) {
            foreach ($options as $option) {
                foreach ($option->portions as $portion) {
                    $animals += self::animalsIn($portion->ingredient);
                    if (Bowl::isMeat($portion)) {
                        $meats[] = [$line, $option, $portion->grams->best];
                    }
                }
            }
        }
        $byAnimal = static fn (?string $only): callable => static function (int $line, Option $option) use ($only): bool {
            foreach ($option->portions as $portion) {
                if (array_diff(array_keys(self::animalsIn($portion->ingredient)), [$only]) !== []) {
                    return false;
                }
            }

            return true;
        };
        $byMeat = static fn (int $of, Option $meat, float $grams): callable => static function (int $line, Option $option) use ($of, $meat, $grams): bool {
            if ($line === $of) {
                return $option === $meat;
            }
            foreach ($option->portions as $portion) {
                if ($portion->ingredient->id !== 'water' && $portion->grams->best > $grams) {
                    return false;
                }
            }

            return true;
        };
        $one = $this->goals->has('single-protein') ? array_map($byAnimal, [null, ...array_keys($animals)]) : [static fn (int $line, Option $option): bool => true];
        if (! $this->goals->has('meat-first')) {
            return $one;
        }
        $narrowings = [];
        foreach ($meats as [$line, $option, $grams]) {
            $first = $byMeat($line, $option, $grams);
            foreach ($one as $animal) {
                $narrowings[] = static fn (int $at, Option $candidate): bool => $first($at, $candidate) && $animal($at, $candidate);
            }
        }

        return $narrowings;
    }

    /**
     * What mends the wetness of a choice: more or less of a wet line that is kept, water added, or flour where nothing can be held back.
     * null when nothing needs mending.
     *
     * @param  list<int>  $choice
     * @return array{text: string, reason: string, line: ?int}|null
     */
    public function mending(array $choice): ?array
    {
        $sums = $this->bowl($choice);
        $mend = $this->mend($choice, $sums);
        if ($mend === null) {
            return null;
        }
        // a goal in calories leaves no room for what a kitchen measure rounds
        $within = $this->goals->fewerCalories === null ? 0.03 * Bowl::shortened($sums) : 0.5;
        $like = $mend['line'] === null ? null : $this->recipe->lines[$mend['line']];
        $change = $mend['grams'] - $mend['was'];
        $how = match (true) {
            $mend['line'] !== null => LineWriter::grams(abs($change)).($change > 0 ? ' more.' : ' held back.'),
            $mend['ingredient'] === 'water' => LineWriter::grams($change).' more water.',
            default => LineWriter::grams($change).' more flour.',
        };

        return ['text' => $this->writer->nearly($mend['ingredient'], $mend['grams'], $within, $like), 'line' => $mend['line'], 'reason' => "Keeps the dough as wet as it was: $how"];
    }

    /**
     * The food that is changed or added, its grams before and after, and its line.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     * @return array{ingredient: string, was: float, grams: float, line: ?int}|null
     */
    private function mend(array $choice, array $sums): ?array
    {
        if ($this->before[Bowl::UPTAKE] <= 0.0 || $this->off($sums) <= self::SMALL_WETNESS) {
            return null;
        }
        $missing = $this->waterMissing($sums);
        $wettest = $bulk = null;
        foreach ($choice as $line => $index) {
            $option = $this->options[$line][$index];
            $portion = $option->portions[0] ?? null;
            if ($portion === null) {
                continue;
            }
            $share = ($portion->ingredient->composition->waterG ?? 0.0) / 100;
            $wet = $option->action === Option::KEEP && $share >= self::WATERY && in_array('wet', Jobs::can($portion->ingredient), true);
            if ($wet && $portion->grams->best * $share + $missing >= 0.2 * $portion->grams->best && ($missing < 0 || $portion->ingredient->id === 'water') && ($wettest === null || $portion->grams->best > $wettest['was'])) {
                $wettest = ['ingredient' => $portion->ingredient->id, 'was' => $portion->grams->best, 'grams' => $portion->grams->best + $missing / $share, 'line' => $line];
            }
            $uptake = (Data::tables()['uptake'][$portion->ingredient->id][0] ?? 0.0);
            if ($uptake > 0 && $uptake < 2 && ($bulk === null || $portion->grams->best > $bulk[1])) {
                $bulk = [$portion->ingredient->id, $portion->grams->best, $uptake];
            }
        }
        if ($wettest !== null) {
            return $wettest;
        }
        if ($missing > 0) {
            return ['ingredient' => 'water', 'was' => 0.0, 'grams' => $missing, 'line' => null];
        }
        // flour brings a little water of its own
        $grams = $bulk === null ? 0.0 : -$missing / (($this->dough->wetness ?? 1.0) * $bulk[2] - 0.1);

        return $bulk === null || $grams <= 0 ? null : ['ingredient' => $bulk[0], 'was' => 0.0, 'grams' => $grams, 'line' => null];
    }

    /**
     * kcal in a gram of the bowl as it will be mixed, its wetness mended.
     *
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     */
    private function kcalPerGramMended(array $choice, array $sums): float
    {
        $mend = $this->mend($choice, $sums);
        $change = $mend === null ? 0.0 : $mend['grams'] - $mend['was'];
        $kcal = $mend === null ? 0.0 : $change * (Catalogue::get($mend['ingredient'])->composition->kcal ?? 0.0) / 100;

        return ($sums[Bowl::KCAL] + $kcal) / max(1.0, $sums[Bowl::MASS] + $change);
    }
}
