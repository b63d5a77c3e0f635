<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Kitchen\Oven;
use MildBowl\Core\Values\Range;

/** How long slices take to dry: from the water they lose, how thick they are, and how warm and moving the air is. Constants of drying.csv. */
final class Drying
{
    /** g per ml of a slice of meat, root or fruit. */
    private const DENSITY = 1.05;

    /**
     * @param  float  $lost  share of the mass that leaves
     * @param  ?float  $thicknessMm  null where nobody said: the usual
     * @return Range minutes
     */
    public static function minutes(float $lost, ?float $thicknessMm, float $celsius, Oven $oven): Range
    {
        $of = Compiled::doughs()['drying'];
        $perSquareMetre = ($thicknessMm ?? $of['usual-thickness']) * self::DENSITY * $lost;
        // the flux was fitted to the middle of 90-95 °C
        $air = max(0.1, ($celsius - $of['still-below']) / (92.5 - $of['still-below'])) * ($oven->fan ? $of['fan'] : 1.0);
        $minutes = $of['warm-up'] + 60 * $perSquareMetre / ($of['flux'] * $air);

        return Range::of($minutes * $of['spread-low'], $minutes, $minutes * $of['spread-high']);
    }
}
