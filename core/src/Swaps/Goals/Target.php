<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

/** What the bowl was before, as far as a goal is measured by it. */
final readonly class Target
{
    /**
     * @param  float  $kcalPerGram  of the bowl as it was
     * @param  float  $kcal  of the whole bowl as it was
     * @param  int  $lines  of the recipe
     * @param  bool  $isCounted  whether the cut is a number of pieces: then a piece is a share of the whole
     * @param  float  $wetness  of the dough as it was
     * @param  float  $small  wetness within which nothing is mended
     * @param  \Closure(float): float  $leastByDrying  kcal over a figure that mending costs at least for each gram of water too much
     */
    public function __construct(public float $kcalPerGram, public float $kcal, public int $lines, public bool $isCounted, public float $wetness, public float $small, private \Closure $leastByDrying) {}

    public function leastByDrying(float $kcalPerGram): float
    {
        return ($this->leastByDrying)($kcalPerGram);
    }
}
