<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Weighed;

/** Cooked down, or dried, to a stated mass: water leaves, solids never do. */
final class CookedDown
{
    /** @return list<Weighed> the same lines with what is left of their water */
    public static function of(Dough $dough, float $grams): array
    {
        $water = $dough->grams->best - $dough->solids->best;
        $left = $water <= 0.0 ? 1.0 : min(1.0, max(0.0, ($grams - $dough->solids->best) / $water));

        return array_map(static function (Weighed $one) use ($left): Weighed {
            $share = $one->solidShare() + (1 - $one->solidShare()) * $left;
            $substances = $one->substances;
            if (isset($substances['waterG'])) {
                $substances['waterG'] *= $left;
            }

            return $one->keeping($one->grams->times($share), $one->kcal(), $substances);
        }, $dough->weighed);
    }
}
