<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/**
 * A quantity that is known only within bounds: "a splash", "two carrots".
 * The unit is named by whoever holds the range. low ≤ best ≤ high always holds.
 */
final readonly class Range
{
    private function __construct(
        public float $low,
        public float $best,
        public float $high,
    ) {}

    public static function of(float $low, float $best, float $high): self
    {
        return new self(min($low, $best), $best, max($best, $high));
    }

    public static function exact(float $value): self
    {
        return new self($value, $value, $value);
    }

    public static function zero(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    /** Scales by a known, non-negative factor. */
    public function times(float $factor): self
    {
        return new self($this->low * $factor, $this->best * $factor, $this->high * $factor);
    }

    /** Scales by an uncertain, non-negative factor; both uncertainties at their worst together. */
    public function timesRange(self $factor): self
    {
        return new self($this->low * $factor->low, $this->best * $factor->best, $this->high * $factor->high);
    }

    /** Adds amounts of one and the same thing: their errors go the same way. */
    public function plus(self $other): self
    {
        return new self($this->low + $other->low, $this->best + $other->best, $this->high + $other->high);
    }

    /**
     * Adds independent amounts: deviations combine as the root of their summed squares about the best value.
     *
     * @param  iterable<self>  $ranges
     */
    public static function sum(iterable $ranges): self
    {
        $best = $down = $up = 0.0;
        foreach ($ranges as $range) {
            $best += $range->best;
            $down += ($range->best - $range->low) ** 2;
            $up += ($range->high - $range->best) ** 2;
        }

        return new self(max(0.0, $best - sqrt($down)), $best, $best + sqrt($up));
    }

    public function isExact(): bool
    {
        return $this->low === $this->high;
    }
}
