<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Option;

/** What a recipe is to become beyond being cleared. None of these questions has a default: a goal that forgets one does not compile. */
interface Goal
{
    /** As it is asked for: "low-fat", "fewer-calories:20". */
    public function id(): string;

    /** Whether a food may be in no line at all. */
    public function forbids(Ingredient $food, Policy $policy): bool;

    /** Whether a food may be in no line for this dog. */
    public function forbidsFor(Dog $dog, Ingredient $food): bool;

    /** Whether this dog may not be left out. */
    public function wants(Dog $dog): bool;

    /**
     * How far what an option brings stands over the goal, in figures that add up over the lines: it is met where one of the sums is not
     * above nothing. Empty where no sum can tell.
     *
     * @param  list<float>  $sums  of one option, as Sums orders them
     * @return list<float>
     */
    public function over(array $sums, Target $target): array;

    /** Whether a whole choice reaches it. */
    public function isMet(Chosen $chosen): bool;

    /**
     * A goal that no sum can tell, as narrower searches: the best of all of them is the best there is. null where there is nothing to narrow.
     *
     * @param  list<list<Option>>  $options  by line
     * @return list<(\Closure(int, Option): bool)>|null
     */
    public function narrowings(array $options): ?array;
}
