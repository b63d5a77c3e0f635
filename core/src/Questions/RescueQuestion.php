<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Question;
use MildBowl\Core\Swaps\Goals\Goals;

/**
 * `rescue`: the set of changes that clears a recipe for every dog, or for the most dogs, at the least cost; two more that differ in
 * kind; and the smallest split into tables where one batch cannot serve all.
 */
final readonly class RescueQuestion
{
    /** @param  list<string>  $atHand  foods that are at hand; empty where nobody said */
    public function __construct(private Question $question, private Goals $goals, private array $atHand) {}

    public function answer(): RescueAnswer
    {
        return (new RescueSearch($this->question, $this->goals, $this->atHand))->answer();
    }
}
