<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

/** Life stage. Adult begins later, and senior earlier, the larger the grown dog. */
enum Stage: string
{
    case Puppy = 'puppy';
    case Adult = 'adult';
    case Senior = 'senior';

    /** Months at which growth ends, by expected adult weight. Source: reference, page 2. */
    public static function adultFromMonths(float $adultKg): int
    {
        return match (true) {
            $adultKg > 45 => 24,
            $adultKg > 25 => 18,
            default => 12,
        };
    }

    /** Months at which the last quarter of the expected life span begins, by adult weight. */
    public static function seniorFromMonths(float $adultKg): int
    {
        return 12 * match (true) {
            $adultKg > 45 => 6,
            $adultKg > 25 => 8,
            $adultKg > 10 => 9,
            default => 10,
        };
    }

    public static function at(?float $ageMonths, ?float $adultKg): self
    {
        if ($ageMonths === null) {
            return self::Adult;
        }
        $adultKg ??= 0.0;

        return match (true) {
            $ageMonths < self::adultFromMonths($adultKg) => self::Puppy,
            $ageMonths >= self::seniorFromMonths($adultKg) => self::Senior,
            default => self::Adult,
        };
    }
}
