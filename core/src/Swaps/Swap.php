<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

/** One row of swaps.csv: what may stand in for a food, weight for weight. */
final readonly class Swap
{
    /**
     * @param  array<string, float>  $in  grams of each food put in for a gram taken out; empty: leave it out
     * @param  float  $rank  0 for the best for its job, more the further from it
     */
    public function __construct(public array $in, public string $job, public float $rank, public string $note, public string $source) {}
}
