<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Values\Range;

/** Amounts as they are written on a sheet: "2 1/2 cups", "1 tin (120 g)", "a pinch of". */
final class Written
{
    private const UNITS = ['fl-oz' => 'fl oz', 'touch' => 'bit', 'inch-piece' => 'inch piece', 'juice-of' => 'juice of', 'zest-of' => 'zest of'];

    private const SHORT = ['tbsp' => true, 'tsp' => true, 'g' => true, 'kg' => true, 'mg' => true, 'ml' => true, 'cl' => true, 'dl' => true, 'l' => true, 'oz' => true, 'lb' => true, 'fl oz' => true, 'juice of' => true, 'zest of' => true];

    private const PARTS = ['1/8' => 0.125, '1/4' => 0.25, '1/3' => 1 / 3, '3/8' => 0.375, '1/2' => 0.5, '5/8' => 0.625, '2/3' => 2 / 3, '3/4' => 0.75, '7/8' => 0.875, '1/16' => 0.0625, '1/5' => 0.2];

    /** @param  list<Amount>  $amounts  in the order they were told */
    public static function amounts(array $amounts): string
    {
        return implode(' + ', array_map(self::amount(...), $amounts));
    }

    public static function amount(Amount $amount): string
    {
        $number = self::quantity($amount->quantity);
        if ($amount->contents !== null) {
            $count = $amount->quantity->best === 1.0 && $amount->quantity->high === 1.0 ? '1' : $number;

            return "$count ".($amount->quantity->best > 1 ? 'tins' : 'tin').' ('.self::amount($amount->contents).($amount->quantity->best > 1 ? ' each' : '').')';
        }
        if ($amount->size === Amount::DRAINED) {
            return self::amount(new Amount($amount->quantity, $amount->unit, null, 0, 0)).' drained';
        }
        if ($amount->unit === 'each') {
            return trim("$number {$amount->size}");
        }
        $unit = self::UNITS[$amount->unit] ?? str_replace('-', ' ', $amount->unit);
        if ($amount->unit === 'juice-of' || $amount->unit === 'zest-of') {
            return "$unit $number";
        }
        $many = $amount->quantity->best > 1 && ! isset(self::SHORT[$unit]);
        $plural = match (true) {
            ! $many => $unit,
            $unit === 'leaf' => 'leaves',
            str_ends_with($unit, 'ch'), str_ends_with($unit, 'sh'), str_ends_with($unit, 's') => $unit.'es',
            default => $unit.'s',
        };

        return trim(($amount->size === null ? $number : "$number $amount->size").' '.$plural).(isset(self::SHORT[$unit]) || $unit === 'cup' ? '' : ' of');
    }

    public static function quantity(Range $quantity): string
    {
        if ($quantity->high - $quantity->low > 1e-6 * max(1.0, $quantity->high)) {
            $middle = ($quantity->low + $quantity->high) / 2;
            $isLoose = abs($quantity->low - 0.9 * $quantity->best) < 1e-6 || abs($quantity->best - 0.9 * $quantity->high) < 1e-6 || abs($quantity->best - 1.1 * $quantity->low) < 1e-6 || abs($quantity->best - 0.95 * $quantity->high) < 1e-6;

            $isLoose = $isLoose || ! self::isSaid($quantity->low) || ! self::isSaid($quantity->high);

            return $isLoose || abs($middle - $quantity->best) > 1e-6 ? self::number($quantity->best) : self::number($quantity->low).'–'.self::number($quantity->high);
        }

        return self::number($quantity->best);
    }

    /** Whether anybody says such a number: whole ones, and parts of a cup. */
    private static function isSaid(float $value): bool
    {
        return abs($value - round($value)) < 1e-6 || ($value < 10 && (abs(8 * $value - round(8 * $value)) < 1e-6 || abs(3 * $value - round(3 * $value)) < 1e-6));
    }

    public static function number(float $value): string
    {
        $whole = (int) floor($value + 1e-9);
        $rest = $value - $whole;
        if ($rest < 1e-6) {
            return (string) $whole;
        }
        foreach (self::PARTS as $said => $part) {
            if (abs($rest - $part) < 1e-6) {
                return $whole === 0 ? $said : "$whole $said";
            }
        }

        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }
}
