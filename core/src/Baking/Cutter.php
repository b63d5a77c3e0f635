<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;

/** Cutters that are sold everywhere, by cutters.csv. */
final class Cutter
{
    /** Across of the largest of a piece's shape that is not larger than it, in mm; null when none is. */
    public static function commonFor(Cut $cut): ?float
    {
        $size = $cut->sizes['diameterMm'] ?? $cut->sizes['sideMm'] ?? $cut->sizes['lengthMm'] ?? 0.0;
        $best = null;
        foreach (Compiled::tables()['cutters'] as $row) {
            if ($row['shape'] === $cut->shape() && $row['mm'] <= $size && $row['mm'] > ($best ?? 0.0)) {
                $best = $row['mm'];
            }
        }

        return $best;
    }
}
