<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Values\Range;

/** Meat browned and its fat poured off: what stays in the pan. Figures of reference page 7. */
final class Drained
{
    private const KEPT_LOW = 0.70;

    private const KEPT_HIGH = 0.75;

    /** g of fat in 100 g of raw meat that never run off. */
    private const FAT_THAT_STAYS = 8.0;

    private const SHARE_THAT_RUNS_OFF = 0.5;

    /** The lower of the two conventions: less energy is taken to be poured off. */
    private const KCAL_PER_G_FAT = 8.5;

    /**
     * @param  list<Weighed>  $weighed
     * @return list<Weighed> the same lines, each as much of it as goes on
     */
    public static function of(array $weighed): array
    {
        return array_map(static fn (Weighed $one): Weighed => $one->ingredient->inGroup('raw-meat') ? self::pouredOff($one) : $one, $weighed);
    }

    private static function pouredOff(Weighed $one): Weighed
    {
        $composition = $one->ingredient->composition;
        $fat = $composition === null ? 0.0 : max(0.0, $composition->fatG - self::FAT_THAT_STAYS) * self::SHARE_THAT_RUNS_OFF / 100;
        $grams = Range::of($one->grams->low * self::KEPT_LOW, $one->grams->best * (self::KEPT_LOW + self::KEPT_HIGH) / 2, $one->grams->high * self::KEPT_HIGH);
        $substances = $one->substances;
        $lost = $fat * $one->grams->best;
        if (isset($substances['fatG'])) {
            $substances['fatG'] -= $lost;
        }
        if (isset($substances['waterG'])) {
            $substances['waterG'] = max(0.0, $substances['waterG'] - ($one->grams->best - $grams->best - $lost));
        }
        $kcal = $one->kcal();
        $off = $fat * self::KCAL_PER_G_FAT;

        return $one->keeping($grams, $kcal === null ? null : Range::of(
            max(0.0, $kcal->low - $off * $one->grams->low), max(0.0, $kcal->best - $off * $one->grams->best), max(0.0, $kcal->high - $off * $one->grams->high),
        ), $substances);
    }
}
