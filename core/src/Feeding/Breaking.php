<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Dogs\Dog;

/** What to do with a piece that is too large for a dog, or too rich. */
final class Breaking
{
    /** @return array{along: int, across: int}|null score lines into parts no longer than the dog's safe bite; null when the piece is small enough */
    public static function of(Dog $dog, Cut $cut): ?array
    {
        $bite = $dog->safeBiteMm();
        $parts = $bite === null || $cut->largestMm() === null || $cut->largestMm() <= $bite ? null : $cut->partsFor($bite);

        return $parts === null ? null : ['along' => $parts[0], 'across' => $parts[1]];
    }

    /** The largest cut of the same shape of which one a day would be allowed; null where none would be. */
    public static function cutThatFits(Ration $ration, Lot $lot): ?Cut
    {
        $allowed = $ration->unrounded();
        $ml = $lot->cut->pieceMl();

        return $allowed === null || $allowed <= 0.0 || $ml === null ? null
            : Cut::largest($lot->cut->form, array_intersect_key($lot->cut->sizes, ['thicknessMm' => 1, 'sliceMm' => 1]), $ml * $allowed, $ration->dog->safeBiteMm());
    }
}
