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
        $left = $kcal;
        $days = [];
        for ($n = 1; $n <= self::MOST_DAYS && $left > self::CRUMB; $n++) {
            $day = $on->after($n)->iso;
            $gives = min($left, max(0.0, $budgetKcal - ($taken[$day] ?? 0.0)));
            if ($gives > self::CRUMB) {
                $days[$day] = $gives;
                $left -= $gives;
            }
        }

        return $left > self::CRUMB ? null : new self($kcal, $days);
    }
}
