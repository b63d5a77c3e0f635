<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

/** What a question is about, and so what a kitchen can add to it by itself. */
enum Asks
{
    /** a recipe, with the dogs it is for and the whole kitchen */
    case Recipe;

    /** a recipe, asked about as `formulate` asks, inside a question of its own */
    case Work;

    /** several treats that share the dogs and the kitchen's foods */
    case Treats;

    /** several treats that are to be made, with what is at hand, what lies open and what packs cost */
    case Stores;

    /** several batches that share a day of the dogs */
    case Day;

    /** dogs, or what one took, with the kitchen's foods and words */
    case Dogs;

    /** nothing that a kitchen keeps */
    case Nothing;
}
