<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Values\Day;

/** What a day had too much, spread over the treat budgets of the days after it (reference, page 2: seven at most). */
final readonly class Borrowing
{
    public const MOST_DAYS = 7;

    /** kcal that nobody counts */
    private const CRUMB = 1e-6;

    /** @param  array<string, float>  $days  kcal by ISO day */
    private function __construct(public float $kcal, public array $days) {}

    /**
     * Whole days without other treats first; the last one gives up what is left.
     *
     * @param  array<string, float>  $taken  kcal that earlier occasions take from those days already, by ISO day
     * @return ?self null where seven days are too few
     */
    public static function of(float $kcal, float $budgetKcal, Day $on, array $taken = []): ?self
    {
        $ahead = [];
        for ($n = 1; $n <= self::MOST_DAYS; $n++) {
            $ahead[$n] = $taken[$on->after($n)->iso] ?? 0.0;
        }
        $days = self::over($kcal, $budgetKcal, $ahead);

        return $days === null ? null : new self($kcal, array_combine(array_map(static fn (int $n): string => $on->after($n)->iso, array_keys($days)), $days));
    }

    /**
     * @param  array<int, float>  $taken  kcal that are not there any more, by days after
     * @return ?array<int, float> what each day gives up, by days after; null where seven days are too few
     */
    public static function over(float $kcal, float $budgetKcal, array $taken): ?array
    {
        $left = $kcal;
        $days = [];
        for ($n = 1; $n <= self::MOST_DAYS && $left > self::CRUMB; $n++) {
            $gives = min($left, max(0.0, $budgetKcal - ($taken[$n] ?? 0.0)));
            if ($gives > self::CRUMB) {
                $days[$n] = $gives;
                $left -= $gives;
            }
        }

        return $left > self::CRUMB ? null : $days;
    }
}
