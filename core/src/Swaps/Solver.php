<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

/**
 * Branch and bound over one option a line. Costs that belong to a line alone are summed; those that depend on the whole bowl
 * are never negative, so the sum of what is chosen and of the cheapest that is left bounds every completion from below.
 */
final class Solver
{
    private float $best = INF;

    /** @var list<int>|null */
    private ?array $found = null;

    private int $visited = 0;

    /** @var list<float> cheapest that is left from each line on */
    private array $left = [];

    /** @var list<list<int>> options of each line that serve the dogs, the cheapest first */
    private array $order = [];

    /** @var list<int> */
    private array $lines = [];

    /** @var array<int, int> option by line */
    private array $chosen = [];

    /**
     * @param  list<list<Option>>  $options  by line
     * @param  list<list<list<float>>>  $bowls  what each option brings, summed on the way down
     * @param  callable(list<int>, list<float>, float): ?float  $rest  what the whole bowl adds for one choice of options and its sums; null when it cannot
     *                                                              be, or when it comes to more than the figure given
     */
    private function __construct(private readonly array $options, private readonly array $bowls, private readonly mixed $rest, private readonly int $most) {}

    /**
     * @param  list<list<Option>>  $options
     * @param  list<list<list<float>>>  $bowls
     * @param  int  $serves  the dogs every option must serve
     * @param  callable(list<int>, list<float>, float): ?float  $rest
     * @param  callable(int, Option): bool|null  $allowed
     * @return array{choice: list<int>, cost: float, optimal: bool}|null
     */
    public static function solve(array $options, array $bowls, int $serves, callable $rest, ?callable $allowed = null, int $most = 250_000): ?array
    {
        $solver = new self($options, $bowls, $rest, $most);
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

        return $solver->found === null ? null : ['choice' => $solver->found, 'cost' => $solver->best, 'optimal' => $solver->visited < $most];
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
        $this->chosen = array_fill(0, count($this->options), 0);
        $this->descend(0, 0.0, array_fill(0, count($this->bowls[0][0] ?? []), 0.0));
    }

    private function cheapest(int $line): float
    {
        return $this->options[$line][$this->order[$line][0]]->cost;
    }

    /** @param  array<int, float>  $sums */
    private function descend(int $depth, float $cost, array $sums): void
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
            if (++$this->visited >= $this->most) {
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
            $this->descend($depth + 1, $sum, $bowl);
        }
    }
}
