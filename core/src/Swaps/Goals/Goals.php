<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Option;

/** All that a recipe is to become. A new goal is a class and a row of `plain()`. */
final readonly class Goals
{
    /** @param  list<Goal>  $all */
    public function __construct(public array $all = []) {}

    /** @return array<string, Goal> those that are asked for by a word alone, by their ids */
    public static function plain(): array
    {
        $goals = [];
        foreach ([...array_map(static fn (string $id): Goal => new FreeOf($id), array_keys(FreeOf::GROUPS)), new SingleProtein, Lean::fat(), Lean::sodium(), new MeatFirst, new OnlyAllowed, new Making(Making::SOFTER), new Making(Making::HARDER), new Making(Making::SMALLER)] as $goal) {
            $goals[$goal->id()] = $goal;
        }

        return $goals;
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(static fn (Goal $goal): string => $goal->id(), $this->all);
    }

    /** Whether the pieces are to be cut smaller. */
    public function wantSmaller(): bool
    {
        return in_array(Making::SMALLER, $this->ids(), true);
    }

    /** The texture that is asked for instead of this one; null where nobody asked, or where there is none. */
    public function texture(Texture $from): ?Texture
    {
        foreach ($this->all as $goal) {
            $to = $goal instanceof Making ? $goal->texture($from) : null;
            if ($to !== null) {
                return $to;
            }
        }

        return null;
    }

    public function forbid(Ingredient $food, Policy $policy): bool
    {
        foreach ($this->all as $goal) {
            if ($goal->forbids($food, $policy)) {
                return true;
            }
        }

        return false;
    }

    public function forbidFor(Dog $dog, Ingredient $food): bool
    {
        foreach ($this->all as $goal) {
            if ($goal->forbidsFor($dog, $food)) {
                return true;
            }
        }

        return false;
    }

    public function want(Dog $dog): bool
    {
        foreach ($this->all as $goal) {
            if ($goal->wants($dog)) {
                return true;
            }
        }

        return false;
    }

    public function areMet(Chosen $chosen): bool
    {
        foreach ($this->all as $goal) {
            if (! $goal->isMet($chosen)) {
                return false;
            }
        }

        return true;
    }

    /** Whether an amount that kitchen measures round could miss a goal. */
    public function areNarrow(): bool
    {
        foreach ($this->all as $goal) {
            if ($goal instanceof FewerCalories) {
                return true;
            }
        }

        return false;
    }

    /**
     * The narrower searches of all goals together; null where there are none.
     *
     * @param  list<list<Option>>  $options  by line
     * @return list<(\Closure(int, Option): bool)>|null
     */
    public function narrowings(array $options): ?array
    {
        $all = null;
        foreach ($this->all as $goal) {
            $own = $goal->narrowings($options);
            if ($own === null) {
                continue;
            }
            if ($all === null) {
                $all = $own;

                continue;
            }
            $both = [];
            foreach ($all as $one) {
                foreach ($own as $two) {
                    $both[] = static fn (int $line, Option $option): bool => $one($line, $option) && $two($line, $option);
                }
            }
            $all = $both;
        }

        return $all;
    }
}
