<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** Days with a food and without it, bad ones and good ones; and how likely so many bad ones are with it, were there nothing in it. */
final readonly class Tally
{
    /**
     * @param  int  $a  bad days with it
     * @param  int  $b  good days with it
     * @param  int  $c  bad days without it
     * @param  int  $d  good days without it
     */
    public function __construct(public int $a, public int $b, public int $c, public int $d) {}

    /** Whether bad days are a larger share of the days with it than of those without. */
    public function isOftener(): bool
    {
        return $this->a * ($this->c + $this->d) > $this->c * ($this->a + $this->b);
    }

    /**
     * Fisher's exact test, one-sided: of all ways to deal the bad days among the days, the share that puts at least `a` of them on days
     * with the food.
     */
    public function p(): float
    {
        [$least, $most] = [max(0, $this->a - $this->d), min($this->a + $this->b, $this->a + $this->c)];
        if ($this->a <= $least) {
            return 1.0;
        }
        $mode = min($most, max($least, intdiv(($this->a + $this->b + 1) * ($this->a + $this->c + 1), $this->days() + 2)));
        // each number of bad days weighed against the likeliest one: no factorial is ever as large as it is
        $weights = [$mode => 1.0];
        for ($k = $mode; $k < $most; $k++) {
            $weights[$k + 1] = $weights[$k] * $this->step($k);
        }
        for ($k = $mode; $k > $least; $k--) {
            $weights[$k - 1] = $weights[$k] / $this->step($k - 1);
        }
        $tail = array_filter($weights, fn (int $k): bool => $k >= $this->a, ARRAY_FILTER_USE_KEY);

        return array_sum($tail) / array_sum($weights);
    }

    /** How much likelier k + 1 bad days with the food are than k. */
    private function step(int $k): float
    {
        $with = $this->a + $this->b;
        $bad = $this->a + $this->c;

        return ($with - $k) * ($bad - $k) / (($k + 1) * ($this->days() - $with - $bad + $k + 1));
    }

    private function days(): int
    {
        return $this->a + $this->b + $this->c + $this->d;
    }
}
