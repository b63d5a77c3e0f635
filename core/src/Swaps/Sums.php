<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Binding;
use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;

/**
 * What some portions bring to a bowl, as one row of sums: the search adds and compares these rows millions of times.
 * Order: SUMS, then the substances of the doses.
 */
final class Sums
{
    public const MASS = 0;

    /** g of liquid that wets a flour */
    public const FREE = 1;

    /** g of water that its flours take up, before fat shortens them */
    public const UPTAKE = 2;

    public const FAT = 3;

    public const KCAL = 4;

    public const SODIUM = 5;

    /** g of what takes water up */
    public const FLOUR = 6;

    /** g of fat in the dough of the body: what shortens its flours */
    public const SHORTENING = 7;

    /** g of free liquid over what its flours drank in the dough as it was: what mending takes away, or adds where it is under nothing */
    public const BALANCE = 8;

    /** kcal over what so much of the bowl as it was held */
    public const RICHER = 9;

    /** g of fat over what so much energy of the bowl as it was came with */
    public const FATTER = 10;

    public const FIRST_DOSE = 11;

    /** What only the dough of the body brings: a filling or a frosting wets no flour. */
    private const OF_BODY = [self::FREE, self::UPTAKE, self::FLOUR, self::SHORTENING];

    /**
     * @param  list<Weighed>  $portions
     * @param  list<string>  $substances
     * @param  bool  $isInBody  whether they are in the dough that is cut
     * @return list<float>
     */
    public static function of(array $portions, array $substances, bool $isInBody = true): array
    {
        $sums = array_fill(0, self::FIRST_DOSE + count($substances), 0.0);
        foreach ($portions as $portion) {
            $grams = $portion->grams->best;
            $sums[self::MASS] += $grams;
            $sums[self::FREE] += $portion->freeG;
            $uptake = Uptake::of($portion->ingredient);
            $sums[self::UPTAKE] += $grams * $uptake;
            $sums[self::FLOUR] += $uptake > 0 ? $grams : 0.0;
            $sums[self::FAT] += $portion->substances['fatG'] ?? 0.0;
            $sums[self::SHORTENING] += $portion->substances['fatG'] ?? 0.0;
            $sums[self::KCAL] += ($portion->kcal()->best ?? 0.0) + $portion->unknownKcal();
            $sums[self::SODIUM] += $portion->substances['sodiumMg'] ?? 0.0;
            foreach ($substances as $index => $substance) {
                $sums[self::FIRST_DOSE + $index] += $portion->substances[$substance] ?? 0.0;
            }
        }

        foreach ($isInBody ? [] : self::OF_BODY as $column) {
            $sums[$column] = 0.0;
        }

        return array_values($sums);
    }

    /**
     * g of water its flours take up once fat has shortened them: less the more fat there is on the flour, never under half.
     *
     * @param  list<float>  $sums
     */
    public static function shortened(array $sums): float
    {
        return $sums[self::FLOUR] <= 0.0 ? 0.0 : $sums[self::UPTAKE] * Uptake::shortened($sums[self::SHORTENING], $sums[self::FLOUR]);
    }

    /**
     * Whether the heaviest of these, water aside, is meat or fish.
     *
     * @param  list<Weighed>  $weighed
     */
    public static function isMeatFirst(array $weighed): bool
    {
        $heaviest = null;
        foreach ($weighed as $one) {
            if ($one->ingredient->id !== 'water' && ($heaviest === null || $one->grams->best > $heaviest->grams->best)) {
                $heaviest = $one;
            }
        }

        return $heaviest !== null && self::isMeat($heaviest);
    }

    public static function isMeat(Weighed $portion): bool
    {
        return Binding::isMeat($portion);
    }
}
