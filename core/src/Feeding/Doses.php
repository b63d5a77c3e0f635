<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Data;
use MildBowl\Core\Dogs\Dog;

/**
 * The dose rows of doses.csv that hold for one dog, as an amount of a substance a day.
 *
 * @phpstan-import-type Dose from Data
 */
final class Doses
{
    /**
     * @return list<Dose> the row with the lowest limit for each code
     */
    public static function for(Dog $dog, string $garlicPolicy): array
    {
        $rows = [];
        foreach (Data::tables()['doses'] as $row) {
            if (! self::concerns($row['who'], $dog, $garlicPolicy)) {
                continue;
            }
            $known = $rows[$row['code']] ?? null;
            if ($known === null || ($row['limit'] !== '' && (float) $row['limit'] < (float) $known['limit'])) {
                $rows[$row['code']] = $row;
            }
        }

        return array_values($rows);
    }

    private static function concerns(string $who, Dog $dog, string $garlicPolicy): bool
    {
        if ($who === '') {
            return true;
        }
        foreach (explode('|', $who) as $one) {
            $holds = match ($one) {
                'healthy' => true,
                'grown' => ! $dog->isGrowing() && ! $dog->isBreeding(),
                'growing' => $dog->isGrowing(),
                'growing-large' => $dog->isGrowingLarge(),
                'garlic-measured' => $garlicPolicy === 'measured',
                default => $dog->has($one),
            };
            if ($holds) {
                return true;
            }
        }

        return false;
    }

    /**
     * What a threshold of this row comes to in a day for this dog.
     *
     * @param  Dose  $row
     */
    public static function perDay(array $row, float $threshold, Dog $dog, ?float $budgetKcal, ?float $dailyKcal): ?float
    {
        return match ($row['basis']) {
            'per100kcalTreat' => $budgetKcal === null ? null : $threshold * $budgetKcal / 100,
            'perKcalTreat' => $budgetKcal === null ? null : $threshold * $budgetKcal,
            'per100kcalDay' => $dailyKcal === null ? null : $threshold * $dailyKcal / 100,
            'perKgDay' => $dog->weightKg === null ? null : $threshold * $dog->weightKg,
            'per10kgDay' => $dog->weightKg === null ? null : $threshold * $dog->weightKg / 10,
            default => throw new \LogicException("doses.csv: nobody knows the basis \"{$row['basis']}\"."),
        };
    }

    /**
     * The dose in the row's own unit, at so many pieces a day.
     *
     * @param  Dose  $row
     */
    public static function inUnit(array $row, float $amountPerDay, float $kcal, Dog $dog, ?float $dailyKcal): ?float
    {
        return match ($row['basis']) {
            'per100kcalTreat' => $kcal > 0 ? $amountPerDay / $kcal * 100 : null,
            'perKcalTreat' => $kcal > 0 ? $amountPerDay / $kcal : null,
            'per100kcalDay' => $dailyKcal === null ? null : $amountPerDay / $dailyKcal * 100,
            'perKgDay' => $dog->weightKg === null ? null : $amountPerDay / $dog->weightKg,
            default => $dog->weightKg === null ? null : $amountPerDay / $dog->weightKg * 10,
        };
    }
}
