<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** How a food that is new is brought in: shares of the ration by day since it was new (reference, page 2). */
final class Ramp
{
    private const SHARES = ['days 1–2' => 0.25, 'days 3–4' => 0.5, 'from day 5' => 1.0];

    public const FIRST_DAYS = 0.25;

    /** @return list<array{days: string, pieces: float}> */
    public static function to(float $pieces): array
    {
        return array_map(static fn (string $days, float $share): array => ['days' => $days, 'pieces' => Ration::quarters($pieces * $share)], array_keys(self::SHARES), self::SHARES);
    }
}
