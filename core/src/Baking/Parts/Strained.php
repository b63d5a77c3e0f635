<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Values\Range;

/**
 * What runs through a sieve: liquids, fat and what dissolves. Meat, bones and vegetables stay behind with their energy, but for what a
 * broth draws out of them; a poison in them is taken to be all in the water.
 */
final class Strained
{
    /** Foods that stay in a sieve; of plants those with any fibre, since a juice runs through. */
    private const STAY = ['meat', 'organ', 'fish', 'shellfish', 'egg', 'cooked-bone-as-such', 'raw-bone-as-such'];

    private const STAY_WITH_FIBRE = ['vegetable', 'fruit', 'legume', 'grain', 'herb', 'spice'];

    private const FIBRE_OF_A_JUICE = 0.5;

    /** kcal that a home broth without fat holds in 100 ml: reference page 7. */
    private const DRAWN_LOW = 5.0;

    private const DRAWN_HIGH = 20.0;

    /**
     * @param  list<Weighed>  $weighed
     * @return list<Weighed> the same lines, each as much of it as goes on
     */
    public static function of(array $weighed): array
    {
        $liquid = $held = 0.0;
        $heaviest = null;
        foreach ($weighed as $n => $one) {
            if (! self::stays($one->ingredient)) {
                $liquid += $one->substances['waterG'] ?? 0.0;

                continue;
            }
            $held += $one->kcal()->high ?? INF;
            $heaviest = $heaviest === null || $one->grams->best > $weighed[$heaviest]->grams->best ? $n : $heaviest;
        }
        $left = [];
        foreach ($weighed as $n => $one) {
            // one figure for the whole pot stands on one line: what is uncertain about it does not even out
            $left[] = self::stays($one->ingredient) ? self::drawnFrom($one, $n === $heaviest ? $liquid : 0.0, $held) : $one;
        }

        return $left;
    }

    public static function stays(Ingredient $food): bool
    {
        return $food->inAny(self::STAY) || ($food->inAny(self::STAY_WITH_FIBRE) && ($food->composition === null || $food->composition->fibreG >= self::FIBRE_OF_A_JUICE));
    }

    /**
     * @param  float  $water  grams of the liquid that it flavours
     * @param  float  $held  kcal of all that stays behind: no more is drawn
     */
    private static function drawnFrom(Weighed $one, float $water, float $held): Weighed
    {
        [$low, $high] = [min($held, $water * self::DRAWN_LOW / 100), min($held, $water * self::DRAWN_HIGH / 100)];

        return $one->keeping(Range::zero(), Range::of($low, ($low + $high) / 2, $high), array_intersect_key($one->substances, Compiled::tables()['actives'][$one->ingredient->id] ?? []));
    }
}
