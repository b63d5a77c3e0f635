<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Swaps\Mending;
use MildBowl\Core\Swaps\Sums;

/** A whole choice of options, as a goal looks at it. */
final readonly class Chosen
{
    /**
     * @param  list<int>  $choice
     * @param  list<float>  $sums
     * @param  list<Weighed>  $weighed
     */
    public function __construct(private array $choice, public array $sums, public array $weighed, public Target $before, private Mending $mending) {}

    /** Of the bowl as it will be mixed, its wetness mended. */
    public function kcalPerGram(): float
    {
        return $this->mending->kcalPerGram($this->choice, $this->sums);
    }

    /** kcal of the whole bowl as it will be mixed. */
    public function kcal(): float
    {
        return $this->mending->kcal($this->choice, $this->sums);
    }

    /** Whether the heaviest of it is meat or fish. */
    public function isMeatFirst(): bool
    {
        return Sums::isMeatFirst($this->weighed);
    }
}
