<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Data\Compiled;

/** How large a piece may be that is swallowed whole, by bites.csv. */
final class Bite
{
    /** Largest piece in mm for a dog of so many kg; null when its weight is not known. */
    public static function safeMm(?float $weightKg): ?float
    {
        foreach ($weightKg === null ? [] : Compiled::tables()['bites'] as $row) {
            if ($weightKg <= $row['upToKg']) {
                return $row['biteMm'];
            }
        }

        return null;
    }
}
