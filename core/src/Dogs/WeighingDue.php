<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

/** How often a dog should stand on the scale: one that grows, or that is on a weight plan. This tool's own habit, not a rule of medicine; the vet's word goes before it. */
final class WeighingDue
{
    private const GROWING_DAYS = 7;

    private const PLAN_DAYS = 14;

    private function __construct() {}

    /** Days from one weighing to the next; null where none is asked for. */
    public static function everyDays(Dog $dog): ?int
    {
        return match (true) {
            $dog->isGrowing() => self::GROWING_DAYS,
            $dog->has('weight-loss'), $dog->has('weight-gain') => self::PLAN_DAYS,
            default => null,
        };
    }
}
