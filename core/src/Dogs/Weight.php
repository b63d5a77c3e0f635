<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Values\Range;

/** A weight as people say it: "17", "17 kg", "38 lb", "50 to 60 lb", in kg. */
final class Weight
{
    public const KG_PER_LB = 0.45359237;

    /** What a dog can weigh. */
    public const LIGHTEST_KG = 0.3;

    public const HEAVIEST_KG = 120.0;

    /** Range of kg; null when it is not a weight. A plain number is in kg unless pounds are said to be meant. */
    public static function read(string $text, bool $poundsMeant = false): ?Range
    {
        $plain = str_replace(',', '.', mb_strtolower(trim($text)));
        $number = '(\d+(?:\.\d+)?)';
        $unit = '(kg|kilos?|kilograms?|lbs?|pounds?|#)?';
        if (preg_match("/^(?:about |ca\.? |~)?$number\s*$unit(?:\s*(?:-|–|to|or)\s*$number\s*$unit)?$/u", $plain, $m) !== 1) {
            return null;
        }
        $units = array_values(array_filter([$m[2] ?? '', $m[4] ?? ''], static fn (string $one): bool => $one !== ''));
        $said = end($units);
        $pounds = $said === false ? $poundsMeant : ! str_starts_with($said, 'k');
        $factor = $pounds ? self::KG_PER_LB : 1.0;
        $one = (float) $m[1] * $factor;
        $two = ($m[3] ?? '') === '' ? $one : (float) $m[3] * $factor;

        return Range::of(min($one, $two), min($one, $two), max($one, $two));
    }
}
