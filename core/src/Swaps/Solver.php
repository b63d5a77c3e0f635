<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

/**
 * Branch and bound over one option a line. Costs that belong to a line alone are summed; what the whole bowl adds is bounded from
 * below by what the least and the most of everything that is left could still make of it. No completion of a branch that is cut
 * off could cost less than the best that is known.
 */
final class Solver
{
    private float $best = INF;

    /** @var list<int>|null */
    private ?array $found = null;

    private int $visited = 0;

    /** Short looks first: what they find narrows the options, and with them the bounds of the whole search. */
    private const LOOKS = [400, 4000];

    private int $limit = 0;

    private int $steps = 0;

    /** @var list<float> cheapest that is left from each line on */
    private array $left = [];

    /** @var list<list<int>> options of each line that serve the dogs, the cheapest first */
    private array $order = [];

    /** @var list<int> */
    private array $lines = [];

    /** @var list<list<float>> least and most that the lines from each depth on can bring, column by column */
    private array $least = [];

    /** @var list<list<float>> */
    private array $most = [];

    /** @var list<int> jobs that the lines from each depth on can do */
    private array $jobsLeft = [];

    /** Prices at which a slope is bounded, as shares of what its unit costs. */
    private const BOTH_WAYS = [-1.0, -0.5, 0.0, 0.5, 1.0];

    private const ONE_WAY = [0.0, 1.0];

    /** @var list<array{list<array{int, float}>, list<float>}> prices of columns, with what the lines from each depth on come to at them */
    private array $priced = [];

    /** @var array<int, int> option by line */
    private array $chosen = [];

    /** Sums of a goal may stand over nothing by their own rounding. */
    private const SLACK = 0.03;

    /** @var list<array<int, float>> what the cheapest options of the lines from each depth on bring to a goal's column */
    private array $base = [];

    /** @var list<array<int, list<array{float, float}>>> how much each line from each depth on can take off a goal's column: for a unit of cost, and in all; the best rate first */
    private array $relief = [];

    /**
     * @param  list<list<Option>>  $options  by line
     * @param  list<list<list<float>>>  $bowls  what each option brings, summed on the way down
     * @param  callable(list<int>, list<float>, float): ?float  $rest  what the whole bowl adds for one choice of options and its sums; null when it cannot
     *                                                              be, or when it comes to more than the figure given
     * @param  (callable(array<int, float>, list<float>, list<float>, int): float)|null  $bound  the least the whole bowl can add, from its sums so far, the least and the
     *                                                                                  most that is to come, and the jobs done or still to be done
     * @param  list<non-empty-list<int>>  $goals
     * @param  list<array{int, float, float, bool}>  $slopes
     */
    private function __construct(private readonly array $options, private readonly array $bowls, private readonly mixed $rest, private readonly mixed $bound, private readonly int $patience, private readonly array $goals, private readonly array $slopes) {}

    /**
     * @param  list<list<Option>>  $options
     * @param  list<list<list<float>>>  $bowls
     * @param  int  $serves  the dogs every option must serve
     * @param  callable(list<int>, list<float>, float): ?float  $rest
     * @param  callable(int, Option): bool|null  $allowed
     * @param  (callable(array<int, float>, list<float>, list<float>, int): float)|null  $bound
     * @param  int  $steps  counts what the search took
     * @param  list<non-empty-list<int>>  $goals  columns that must not come to more than nothing; of each group one is enough
     * @param  list<array{int, float, float, bool}>  $slopes  columns of which every unit of the sum above nothing costs so much at least, but for so many units; the last tells whether a sum under nothing costs as much
     * @return array{choice: list<int>, cost: float, optimal: bool}|null
     */
    public static function solve(array $options, array $bowls, int $serves, callable $rest, ?callable $allowed = null, int $patience = 400_000, ?callable $bound = null, int &$steps = 0, array $goals = [], array $slopes = []): ?array
    {
        $solver = new self($options, $bowls, $rest, $bound, $patience, $goals, $slopes);
        foreach ($options as $line => $list) {
            $order = [];
            foreach ($list as $index => $option) {
                if (($option->serves & $serves) === $serves && ($allowed === null || $allowed($line, $option))) {
                    $order[] = $index;
                }
            }
            if ($order === []) {
                return null;
            }
            usort($order, static fn (int $a, int $b): int => $list[$a]->cost <=> $list[$b]->cost ?: $a <=> $b);
            $solver->order[] = $order;
        }
        $solver->run();
        $steps += $solver->steps;

        return $solver->found === null ? null : ['choice' => $solver->found, 'cost' => $solver->best, 'optimal' => $solver->visited < $patience];
    }

    private function run(): void
    {
        // lines that must change come first: they decide most
        $this->lines = array_keys($this->options);
        usort($this->lines, fn (int $a, int $b): int => $this->cheapest($b) <=> $this->cheapest($a) ?: $a <=> $b);
        $sum = 0.0;
        $left = [];
        foreach (array_reverse($this->lines) as $line) {
            $left[] = $sum;
            $sum += $this->cheapest($line);
        }
        $this->left = array_reverse($left);
        foreach ([...self::LOOKS, $this->patience] as $limit) {
            $this->limit = min($limit, $this->patience);
            $this->visited = 0;
            $this->leaveOutTooDear($sum);
            $this->prepareBounds();
            $this->chosen = array_fill(0, count($this->options), 0);
            $this->descend(0, 0.0, 0, array_fill(0, count($this->bowls[0][0] ?? []), 0.0));
            $this->steps += $this->visited;
            if ($this->visited < $this->limit) {
                return;
            }
        }
    }

    /** An option so dear that, with the cheapest of every other line, it costs as much as the best that is known, can be no part of a better one. */
    private function leaveOutTooDear(float $cheapest): void
    {
        foreach ($this->order as $line => $order) {
            $spare = $this->best - $cheapest + $this->cheapest($line) - 1e-9;
            $this->order[$line] = array_values(array_filter($order, fn (int $index): bool => $index === $order[0] || $this->options[$line][$index]->cost < $spare));
        }
    }

    /** What the lines after each depth can bring at least and at most. */
    private function prepareBounds(): void
    {
        $columns = count($this->bowls[0][0] ?? []);
        $least = $most = array_fill(0, $columns, 0.0);
        $jobs = 0;
        $leasts = $mosts = $jobsLeft = [];
        foreach (array_reverse($this->lines) as $line) {
            $leasts[] = $least;
            $mosts[] = $most;
            $jobsLeft[] = $jobs;
            $low = array_fill(0, $columns, INF);
            $high = array_fill(0, $columns, 0.0);
            foreach ($this->order[$line] as $index) {
                $jobs |= $this->options[$line][$index]->jobs;
                foreach ($this->bowls[$line][$index] as $n => $amount) {
                    $low[$n] = min($low[$n], $amount);
                    $high[$n] = max($high[$n], $amount);
                }
            }
            $least = array_map(static fn (float $sum, float $own): float => $sum + $own, $least, $low);
            $most = array_map(static fn (float $sum, float $own): float => $sum + $own, $most, $high);
        }
        $this->least = array_reverse($leasts);
        $this->most = array_reverse($mosts);
        $this->jobsLeft = array_reverse($jobsLeft);
        $this->prepareGoals();
        $this->prepareSlopes();
    }

    /**
     * For prices of the slopes' units between nothing and what they cost, the least that the lines from each depth on can come to at these
     * prices: whatever is chosen, no completion costs less at any of them.
     */
    private function prepareSlopes(): void
    {
        $this->priced = [];
        foreach ($this->slopes === [] ? [] : self::prices($this->slopes) as [$prices, $free]) {
            $sum = -$free;
            $left = [];
            foreach (array_reverse($this->lines) as $line) {
                $left[] = $sum;
                $least = INF;
                foreach ($this->order[$line] as $index) {
                    $cost = $this->options[$line][$index]->cost;
                    foreach ($prices as [$column, $price]) {
                        $cost += $price * $this->bowls[$line][$index][$column];
                    }
                    $least = min($least, $cost);
                }
                $sum += $least;
            }
            $this->priced[] = [$prices, array_reverse($left)];
        }
    }

    /**
     * Every combination of a few prices of each slope, with what its free units are worth at them.
     *
     * @param  list<array{int, float, float, bool}>  $slopes
     * @return list<array{list<array{int, float}>, float}>
     */
    private static function prices(array $slopes): array
    {
        $all = [[[], 0.0]];
        foreach ($slopes as [$column, $worth, $free, $isBothWays]) {
            $next = [];
            foreach ($worth <= 0.0 ? [0.0] : ($isBothWays ? self::BOTH_WAYS : self::ONE_WAY) as $share) {
                foreach ($all as [$prices, $sum]) {
                    $next[] = [$share === 0.0 ? $prices : [...$prices, [$column, $share * $worth]], $sum + abs($share) * $worth * $free];
                }
            }
            $all = $next;
        }

        return array_values(array_filter($all, static fn (array $one): bool => $one[0] !== []));
    }

    /**
     * The least that the lines from a depth on cost together with the slopes, over their cheapest.
     *
     * @param  array<int, float>  $bowl
     */
    private function slopeCost(int $depth, array $bowl): float
    {
        $most = $this->left[$depth];
        foreach ($this->priced as [$prices, $left]) {
            $cost = $left[$depth];
            foreach ($prices as [$column, $price]) {
                $cost += $price * $bowl[$column];
            }
            if ($cost > $most) {
                $most = $cost;
            }
        }

        return $most - $this->left[$depth];
    }

    private function prepareGoals(): void
    {
        $columns = array_merge(...$this->goals);
        $base = array_fill_keys($columns, 0.0);
        $relief = array_fill_keys($columns, []);
        $bases = $reliefs = [];
        foreach (array_reverse($this->lines) as $line) {
            $bases[] = $base;
            $reliefs[] = $relief;
            $cheapest = $this->cheapest($line);
            foreach ($columns as $column) {
                $own = INF;
                foreach ($this->order[$line] as $index) {
                    $own = $this->options[$line][$index]->cost <= $cheapest ? min($own, $this->bowls[$line][$index][$column]) : $own;
                }
                $base[$column] += $own;
                $most = $rate = 0.0;
                foreach ($this->order[$line] as $index) {
                    $dearer = $this->options[$line][$index]->cost - $cheapest;
                    $off = $own - $this->bowls[$line][$index][$column];
                    if ($dearer > 0.0 && $off > 0.0) {
                        [$most, $rate] = [max($most, $off), max($rate, $off / $dearer)];
                    }
                }
                if ($rate > 0.0) {
                    $relief[$column][] = [$rate, $most];
                    usort($relief[$column], static fn (array $a, array $b): int => $b[0] <=> $a[0]);
                }
            }
        }
        $this->base = array_reverse($bases);
        $this->relief = array_reverse($reliefs);
    }

    /**
     * The least that the lines from a depth on must cost beyond their cheapest options so that the goals are met: each line takes off at
     * most what it can, at its best rate, the best rates first.
     *
     * @param  array<int, float>  $bowl
     */
    private function goalsCost(int $depth, array $bowl): float
    {
        $most = 0.0;
        foreach ($this->goals as $columns) {
            $least = INF;
            foreach ($columns as $column) {
                $over = $bowl[$column] + $this->base[$depth][$column] - self::SLACK;
                $cost = 0.0;
                foreach ($over > 0.0 ? $this->relief[$depth][$column] : [] as [$rate, $off]) {
                    $cost += min($over, $off) / $rate;
                    $over -= $off;
                    if ($over <= 0.0) {
                        break;
                    }
                }
                $least = min($least, $over > 0.0 ? INF : $cost);
            }
            $most = max($most, $least);
        }

        return $most;
    }

    private function cheapest(int $line): float
    {
        return $this->options[$line][$this->order[$line][0]]->cost;
    }

    /** @param  array<int, float>  $sums */
    private function descend(int $depth, float $cost, int $jobs, array $sums): void
    {
        if ($depth === count($this->lines)) {
            $rest = ($this->rest)(array_values($this->chosen), array_values($sums), $this->best - $cost);
            if ($rest !== null && $cost + $rest < $this->best - 1e-9) {
                $this->best = $cost + $rest;
                $this->found = array_values($this->chosen);
            }

            return;
        }
        $line = $this->lines[$depth];
        foreach ($this->order[$line] as $index) {
            if (++$this->visited >= $this->limit) {
                return;
            }
            $sum = $cost + $this->options[$line][$index]->cost;
            if ($sum + $this->left[$depth] >= $this->best - 1e-9) {
                // the options of a line stand in order of cost: the next ones are dearer still
                return;
            }
            $this->chosen[$line] = $index;
            $bowl = $sums;
            foreach ($this->bowls[$line][$index] as $n => $amount) {
                $bowl[$n] += $amount;
            }
            $done = $jobs | $this->options[$line][$index]->jobs;
            // either bound counts what lines cost over their cheapest: never both
            $goals = max($this->goals === [] ? 0.0 : $this->goalsCost($depth, $bowl), $this->priced === [] ? 0.0 : $this->slopeCost($depth, $bowl));
            if ($sum + $this->left[$depth] + $goals >= $this->best - 1e-9) {
                continue;
            }
            if ($this->bound !== null && $sum + $this->left[$depth] + $goals + ($this->bound)($bowl, $this->least[$depth], $this->most[$depth], $done | $this->jobsLeft[$depth]) >= $this->best - 1e-9) {
                continue;
            }
            $this->descend($depth + 1, $sum, $done, $bowl);
        }
    }
}
