<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Day;

/** What trials and meals told of a dog until today: what is being brought in, what is left out for now, what went badly, what it takes. */
final readonly class Watched
{
    /**
     * @param  array<string, BroughtIn>  $broughtIn  by food or group
     * @param  array<string, Day>  $leftOut  the last day without it, by food or group
     * @param  array<string, string>  $wentBadly  what was seen, by food or group
     * @param  array<string, Taste>  $tastes  by food
     * @param  list<string>  $bears  foods or groups of which a trial went well: they are new no more, whatever wider group is
     */
    public function __construct(public array $broughtIn = [], public array $leftOut = [], public array $wentBadly = [], public array $tastes = [], public array $bears = []) {}

    /** The earliest day of a trial that a food is in; null where it is in none. */
    public function trialDay(Ingredient $food): ?int
    {
        $earliest = null;
        foreach ($this->broughtIn as $of => $one) {
            if ($food->isCoveredBy((string) $of) && $one->day < ($earliest ?? PHP_INT_MAX)) {
                $earliest = $one->day;
            }
        }

        return $earliest;
    }

    /** Of the food itself where it was offered; else of a kind of foods that it is one of. */
    public function likingOf(Ingredient $food): Liking
    {
        if (isset($this->tastes[$food->id])) {
            return $this->tastes[$food->id]->liking();
        }
        foreach ($this->tastes as $of => $taste) {
            if ($food->isCoveredBy((string) $of)) {
                return $taste->liking();
            }
        }

        return Liking::Unknown;
    }
}
