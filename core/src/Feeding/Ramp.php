<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Pantry\Ingredient;

/** How a food that is new is brought in: shares of the ration by day since it was new (reference, page 2). */
final class Ramp
{
    private const SHARES = ['days 1–2' => 0.25, 'days 3–4' => 0.5, 'from day 5' => 1.0];

    /** The day of a trial from which on a share holds, the latest in front. */
    private const FROM_DAY = [5 => 1.0, 3 => 0.5, 1 => self::FIRST_DAYS];

    public const FIRST_DAYS = 0.25;

    /** @return list<array{days: string, pieces: float}> */
    public static function to(float $pieces): array
    {
        return array_map(static fn (string $days, float $share): array => ['days' => $days, 'pieces' => Ration::quarters($pieces * $share)], array_keys(self::SHARES), self::SHARES);
    }

    /** @return list<array{day: int, share: float}> from which day of a trial on which share of the ration is given */
    public static function steps(): array
    {
        return array_map(static fn (int $day, float $share): array => ['day' => $day, 'share' => $share], array_reverse(array_keys(self::FROM_DAY)), array_reverse(array_values(self::FROM_DAY)));
    }

    /** @param  int  $day  of the trial; 1 is the first */
    public static function onDay(int $day): float
    {
        foreach (self::FROM_DAY as $from => $share) {
            if ($day >= $from) {
                return $share;
            }
        }

        return self::FIRST_DAYS;
    }

    /**
     * The share of its ration that a dog may have today of what these foods are in: the least that any of them allows. A food that is new
     * without a trial is always on its first days, for nobody counts them.
     *
     * @param  iterable<Ingredient>  $foods
     */
    public static function today(Dog $dog, iterable $foods): float
    {
        $share = 1.0;
        foreach ($dog->hasNew() ? $foods : [] as $food) {
            $day = $dog->watched->trialDay($food);
            $share = min($share, match (true) {
                $day !== null => self::onDay($day),
                $dog->isNewTo($food) => self::FIRST_DAYS,
                default => 1.0,
            });
        }

        return $share;
    }
}
