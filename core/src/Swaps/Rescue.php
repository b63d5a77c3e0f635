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
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Swaps\Goals\Goal;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Goals\Target;

/**
 * One recipe, the dogs at the table and what they are to become: the options of every line, and what a whole choice of them costs.
 */
final class Rescue
{
    /** @var array<string, float> */
    public readonly array $weights;

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

    /** @var list<float> sums of the batch as it was */
    public readonly array $before;

    /** @var list<list<Option>> */
    public readonly array $options;

    /** @var list<list<list<float>>> bowl of each option of each line, with the columns of the goals behind it */
    public array $bowls = [];

    /** Where the columns of the goals begin. */
    public readonly int $goalAt;

    public readonly int $jobsBefore;

    /** @var array<int, list<string>> what each line does in the dough */
    public readonly array $jobs;

    public readonly float $density;

    public readonly Mending $mending;

    /** What a choice of options costs. */
    public readonly Price $price;

    /** @var list<Dog> */
    public readonly array $dogs;

    /** Share of the batch that a rescue may add or take away; beyond, it comes last and says so. */
    public const MOST_CHANGE = 0.25;

    /** Share of a substance from which a line brings it. */
    private const MUCH = 0.2;

    public readonly Target $target;

    public readonly bool $meatFirst;

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
        $this->dogs = $request->dogs;
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
        $this->jobsBefore = array_reduce($jobs, static fn (int $bits, array $does): int => $bits | Jobs::bits($does), 0);
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
        $this->price = new Price($this);
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
     * The cut that goes with a choice, and how many times smaller it is; null where it stays as it is.
     *
     * @param  list<int>  $choice
     * @return array{cut: Cut, times: float}|null
     */
    public function cutOf(array $choice, int $serves): ?array
    {
        $best = $this->cuts->cheapest($this->price->pieces($choice, $this->bowl($choice), $serves));

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
