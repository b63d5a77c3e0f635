<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Swaps\Goals\FewerCalories;
use MildBowl\Core\Swaps\Goals\Goal;
use MildBowl\Core\Swaps\Goals\Goals;
use MildBowl\Core\Swaps\Goals\NothingNew;

/** Reads what a recipe is to become. */
final class GoalReader
{
    /**
     * @param  list<Dog>  $dogs
     *
     * @throws RequestRefused
     */
    public static function read(?Node $node, array $dogs): Goals
    {
        $goals = [];
        $fewer = null;
        foreach ($node?->list(20) ?? [] as $one) {
            [$kind, $value] = [...explode(':', $one->filled(80), 2), ''];
            if ($kind === FewerCalories::PREFIX) {
                // of two shares the larger holds
                $fewer = max($fewer ?? 0.0, self::percent($value, $one));
                $goals[FewerCalories::PREFIX] = new FewerCalories($fewer);

                continue;
            }
            $goal = $kind === NothingNew::PREFIX ? new NothingNew(self::dog($value, $one, $dogs)) : self::plain($one);
            $goals[$goal->id()] = $goal;
        }

        return new Goals(array_values($goals));
    }

    private static function percent(string $value, Node $node): float
    {
        return is_numeric($value) && (float) $value > 0 && (float) $value < 90 ? (float) $value
            : throw RequestRefused::outOfRange($node->path, 'Write fewer-calories:N with N from 1 to 89 percent.');
    }

    /** @param  list<Dog>  $dogs */
    private static function dog(string $called, Node $node, array $dogs): Dog
    {
        foreach ($dogs as $dog) {
            if ($dog->isCalled($called)) {
                return $dog;
            }
        }
        throw RequestRefused::outOfRange($node->path, 'No dog at the table is called "'.$called.'".');
    }

    private static function plain(Node $node): Goal
    {
        $plain = Goals::plain();

        return $plain[$node->filled(80)] ?? throw RequestRefused::outOfRange($node->path, 'This must be one of: '.implode(', ', array_keys($plain)).', fewer-calories:N, nothing-new:NAME.');
    }
}
