<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Portion;
use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Formulate\Request;
use MildBowl\Core\Kitchen\LineReader;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\ReadRecipe;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Screening\Circumstances;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Level;
use MildBowl\Core\Screening\Screener;

/**
 * One recipe, the dogs at the table and what they are to become: the options of every line, and what a whole choice of them costs.
 */
final class Rescue
{
    public const MOST_CANDIDATES = 12;

    private const SMALL_WETNESS = 0.05;

    /** Share of water from which a line can be poured more or less of. */
    private const WATERY = 0.8;

    /** Share of a bowl that may not simply be left out. */
    private const MUST_STAY = 0.25;

    /** @var array<string, float> */
    private readonly array $weights;

    private readonly Weigher $weigher;

    private readonly LineWriter $writer;

    private readonly Screener $screener;

    public readonly Table $table;

    /** @var list<Portion|null> by line */
    private array $portions = [];

    public readonly Dough $dough;

    /** @var list<float> */
    private readonly array $before;

    /** @var list<list<Option>> */
    public readonly array $options;

    /** @var list<list<list<float>>> bowl of each option of each line */
    public array $bowls = [];

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
        private readonly array $dislikes,
        private readonly array $atHand,
        ?array $weights = null,
        private readonly array $own = [],
    ) {
        $this->weights = $weights ?? Data::tables()['rescueWeights'];
        $this->weigher = new Weigher($request->policy->units);
        $this->writer = new LineWriter($this->weigher, LineWriter::isByWeight(...$recipe->lines));
        $this->screener = new Screener(new Circumstances($request->dogs, $request->texture()->id, $request->texture()->isHeated, $request->policy->garlic, $request->policy->pseudoGrains === 'grain'));
        $this->table = new Table($request->dogs, $request->policy, $request->cutOrCount());
        foreach ($recipe->lines as $index => $line) {
            $this->portions[] = $this->portion($line, $index);
        }
        $this->dough = new Dough(array_values(array_filter($this->portions)));
        $this->density = $this->dough->density();
        $this->before = Bowl::of($this->dough->portions, $this->table->substances);
        $this->meatFirst = $this->isMeatFirst($this->dough->portions);
        $this->jobs = $jobs = Jobs::of($this->dough->portions);
        foreach ($jobs as $does) {
            $this->jobsBefore |= self::bits($does);
        }
        $options = [];
        foreach ($recipe->lines as $index => $line) {
            $own = $this->optionsOf($line, $index, $jobs[$index] ?? []);
            $options[] = $own;
            $this->bowls[] = array_map(fn (Option $option): array => Bowl::of($option->portions, $this->table->substances), $own);
        }
        $this->options = $options;
    }

    private function portion(ReadLine $line, int $index): ?Portion
    {
        $grams = $line->ingredient === null ? null : $this->weigher->weigh($line);

        return $line->ingredient === null || $grams === null ? null : new Portion($index, Catalogue::get($line->ingredient), $grams, $this->request->policy->calorieConvention);
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

    /**
     * @param  list<string>  $jobs
     * @return list<Option>
     */
    private function optionsOf(ReadLine $line, int $index, array $jobs): array
    {
        $portion = $this->portions[$index];
        $all = (1 << count($this->request->dogs)) - 1;
        $keep = new Option(Option::KEEP, [$line->text], $portion === null ? [] : [$portion], 0.0, $this->serves($line), '', [], self::bits($jobs), []);
        if ($portion === null) {
            return [$keep];
        }
        $options = [];
        foreach ($this->rewritings($line, $portion) as $option) {
            $options[] = $option;
        }
        foreach (SwapTable::for($portion->ingredient, $this->own) as $swap) {
            $option = $this->swapped($line, $portion, $swap);
            if ($option !== null) {
                $options[] = $option;
            }
        }
        usort($options, static fn (Option $a, Option $b): int => $a->cost <=> $b->cost);
        $options = array_slice($options, 0, self::MOST_CANDIDATES - 2);
        if ($this->mayBeLeftOut($portion, $jobs)) {
            $options[] = new Option(Option::REMOVE, [], [], $this->weights['remove'], $all, $this->why($line).' Nothing else in the dough depends on it.', [], 0, []);
        }

        return [$keep, ...$options];
    }

    /**
     * The line with one of the foods it offers, or with its food named plainly.
     *
     * @return list<Option>
     */
    private function rewritings(ReadLine $line, Portion $portion): array
    {
        $options = [];
        foreach ($line->alternatives as $alternative) {
            if (Catalogue::get($alternative)->composition !== null) {
                $options[] = $this->written(Option::SWAP, [$this->writer->write($alternative, $portion->grams->best, $line)], 0.0, $this->why($line).' The recipe offers it itself.');
            }
        }
        if ($line->alternatives !== [] || $line->others !== [] || $line->condition !== null || $line->forms !== []) {
            $options[] = $this->written(Option::ADJUST, [$this->writer->write($portion->ingredient->id, $portion->grams->best, $line)], 0.02, $this->why($line).' Written plainly, with nothing else in it.');
        }

        return array_values(array_filter($options));
    }

    private function swapped(ReadLine $line, Portion $portion, Swap $swap): ?Option
    {
        $texts = [];
        foreach ($swap->in as $id => $ratio) {
            $texts[] = $this->writer->write($id, $portion->grams->best * $ratio, $line);
        }
        if ($texts === []) {
            return null;
        }

        return $this->written(Option::SWAP, $texts, $swap->rank * $this->weights['rank'], $this->why($line).' '.ucfirst($swap->note).'.');
    }

    /** @param  list<string>  $texts */
    private function written(string $action, array $texts, float $rank, string $reason): ?Option
    {
        $portions = $labels = $newTo = [];
        $serves = (1 << count($this->request->dogs)) - 1;
        $jobs = 0;
        $cost = $this->weights['change'] + $rank + (count($texts) - 1) * $this->weights['add'];
        foreach ($texts as $text) {
            $line = LineReader::read($text, 0, null);
            $portion = $this->portion($line, -1);
            if ($portion === null || $portion->ingredient->composition === null || $line->unread !== []) {
                return null;
            }
            $portions[] = $portion;
            $serves &= $this->serves($line);
            $jobs |= self::bits(Jobs::can($portion->ingredient));
            foreach ($this->screener->line($line, $portion->grams) as $finding) {
                if ($finding->level === Level::CheckLabel) {
                    $labels[$finding->message] = true;
                }
            }
            foreach ($this->request->dogs as $dog) {
                if (array_filter($dog->newIngredients, $portion->ingredient->isCoveredBy(...)) !== []) {
                    $newTo[] = $dog->name;
                    $cost += $this->weights['new'];
                }
                if ($this->isDisliked($portion->ingredient, $dog)) {
                    $cost += $this->weights['dislike'];
                }
            }
            if ($this->atHand !== [] && ! in_array($portion->ingredient->id, $this->atHand, true) && $portion->ingredient->id !== 'water') {
                $cost += $this->weights['not-at-hand'];
            }
        }
        if ($serves === 0 && $this->request->dogs !== []) {
            return null;
        }

        return new Option($action, $texts, $portions, $cost + count($labels) * $this->weights['label'], $serves, trim($reason), array_keys($labels), $jobs, array_values(array_unique($newTo)));
    }

    private function isDisliked(Ingredient $food, Dog $dog): bool
    {
        foreach ($this->dislikes[$dog->name] ?? [] as $refused) {
            // "raw apple" is refused raw and eaten baked
            if (str_starts_with(mb_strtolower($refused), 'raw ') && $this->request->texture()->isHeated) {
                continue;
            }
            $id = Catalogue::resolveGroupOrId((string) preg_replace('/^(raw|baked|cooked)\s+/i', '', $refused));
            if ($id !== null && $food->isCoveredBy($id)) {
                return true;
            }
        }

        return false;
    }

    /** The dogs that may have what a line says, labels and doses aside. */
    private function serves(ReadLine $line): int
    {
        $serves = (1 << count($this->request->dogs)) - 1;
        foreach ($this->blocking($line) as $finding) {
            foreach ($this->request->dogs as $n => $dog) {
                if ($finding->concerns($dog->name)) {
                    $serves &= ~(1 << $n);
                }
            }
        }
        foreach ($line->foods() as $id) {
            if ($this->goals->forbids(Catalogue::get($id), $this->request->policy->pseudoGrains === 'grain')) {
                return 0;
            }
            foreach ($this->request->dogs as $n => $dog) {
                if (in_array($dog->name, $this->goals->nothingNewFor, true) && array_filter($dog->newIngredients, Catalogue::get($id)->isCoveredBy(...)) !== []) {
                    $serves &= ~(1 << $n);
                }
            }
        }

        return $serves;
    }

    /** @return list<Finding> */
    private function blocking(ReadLine $line): array
    {
        $grams = $line->ingredient === null ? null : $this->weigher->weigh($line);

        return array_values(array_filter($this->screener->line($line, $grams), fn (Finding $finding): bool => $finding->level->blocks() && $finding->level !== Level::CheckLabel && ! $this->request->isConfirmed($finding, $line->text)));
    }

    private function why(ReadLine $line): string
    {
        $findings = $this->blocking($line);
        if ($findings === []) {
            return '';
        }

        return $findings[0]->message;
    }

    /** @param  list<string>  $jobs */
    private function mayBeLeftOut(Portion $portion, array $jobs): bool
    {
        $mass = $this->dough->grams->best;

        return $mass > 0 && $portion->grams->best < self::MUST_STAY * $mass && ! (in_array('bulk', $jobs, true) && $portion->grams->best > 0.15 * $mass);
    }

    /** @param  list<string>  $jobs */
    private static function bits(array $jobs): int
    {
        $bits = 0;
        foreach (Jobs::NEEDED as $n => $job) {
            $bits |= in_array($job, $jobs, true) ? 1 << $n : 0;
        }

        return $bits;
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
        $sums = array_fill(0, count($this->before), 0.0);
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
     */
    public function bound(array $sums, array $least, array $most, int $jobs): float
    {
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
        if ($this->goals->fewerCalories !== null && $sums[Bowl::KCAL] / $sums[Bowl::MASS] > (1 - $this->goals->fewerCalories / 100) * $this->before[Bowl::KCAL] / max(1.0, $this->before[Bowl::MASS])) {
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
                foreach (['chicken', 'turkey', 'duck', 'beef', 'lamb', 'pork', 'venison', 'rabbit', 'bison', 'kangaroo', 'horse', 'goat', 'fish', 'shellfish', 'egg', 'dairy', 'insect'] as $animal) {
                    if ($portion->ingredient->inGroup($animal)) {
                        $animals[$animal] = true;
                    }
                }
            }
        }

        return $animals;
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
        if ($this->before[Bowl::UPTAKE] <= 0.0 || $this->off($sums) <= self::SMALL_WETNESS) {
            return null;
        }
        $missing = $this->waterMissing($sums);
        $within = 0.03 * Bowl::shortened($sums);
        $wettest = $bulk = null;
        foreach ($choice as $line => $index) {
            $option = $this->options[$line][$index];
            $portion = $option->portions[0] ?? null;
            if ($portion === null) {
                continue;
            }
            $share = ($portion->ingredient->composition->waterG ?? 0.0) / 100;
            $wet = $option->action === Option::KEEP && $share >= self::WATERY && in_array('wet', Jobs::can($portion->ingredient), true);
            if ($wet && $portion->grams->best * $share + $missing >= 0.2 * $portion->grams->best && ($missing < 0 || $portion->ingredient->id === 'water') && ($wettest === null || $portion->grams->best > $wettest[1])) {
                $wettest = [$line, $portion->grams->best, $portion->grams->best + $missing / $share, $portion->ingredient->id];
            }
            $uptake = (Data::tables()['uptake'][$portion->ingredient->id][0] ?? 0.0);
            if ($uptake > 0 && $uptake < 2 && ($bulk === null || $portion->grams->best > $bulk[1])) {
                $bulk = [$portion->ingredient->id, $portion->grams->best, $uptake];
            }
        }
        if ($wettest !== null) {
            $change = $wettest[2] - $wettest[1];

            return ['text' => $this->writer->nearly($wettest[3], $wettest[2], $within, $this->recipe->lines[$wettest[0]]), 'line' => $wettest[0], 'reason' => 'Keeps the dough as wet as it was: '.LineWriter::grams(abs($change)).($change > 0 ? ' more.' : ' held back.')];
        }
        if ($missing > 0) {
            return ['text' => $this->writer->nearly('water', $missing, $within), 'line' => null, 'reason' => 'Keeps the dough as wet as it was: '.LineWriter::grams($missing).' more water.'];
        }
        if ($bulk === null) {
            return null;
        }
        // flour brings a little water of its own
        $grams = -$missing / (($this->dough->wetness ?? 1.0) * $bulk[2] - 0.1);

        return $grams <= 0 ? null : ['text' => $this->writer->nearly($bulk[0], $grams, $within), 'line' => null, 'reason' => 'Keeps the dough as wet as it was: '.LineWriter::grams($grams).' more flour.'];
    }
}
