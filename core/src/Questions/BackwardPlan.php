<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** From the moment the guests eat, backward: when to leave, to thaw, until when it cools, when to bake at the latest, and from when on it may be baked. */
final readonly class BackwardPlan
{
    /**
     * @param  ?string  $place  where it waits; null where it is baked on the day
     * @param  string  $earliestOn  the first day on which it can be baked and still be good
     * @param  ?string  $keepsUntil  the last day it is good on
     * @param  ?string  $problem  why the day of baking cannot be
     * @param  int  $elapsedMinutes  from weighing out to putting away, all batches
     * @param  ?int  $coolMinutes  from the beginning until the last of it is cold; null where nothing cools
     * @param  list<PlanStep>  $steps  in the order of time
     */
    public function __construct(public string $bakeOn, public ?string $place, public string $earliestOn, public ?string $keepsUntil, public ?string $problem, public int $elapsedMinutes, public ?int $coolMinutes, public array $steps) {}
}
