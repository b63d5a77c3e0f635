<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Uptake;
use MildBowl\Core\Baking\Weighed;
use MildBowl\Core\Pantry\Ingredient;

/** What a food does in a dough, by its kind, its share and its company. */
final class Jobs
{
    /** Everything a food can do in a dough. */
    public const ALL = ['bulk', 'bind', 'thicken', 'wet', 'fat', 'protein', 'sweeten', 'flavour', 'leaven', 'coat', 'dust', 'grease'];

    private const BULK_SHARE = 0.10;

    private const WET_SHARE = 0.20;

    private const FAT_SHARE = 0.40;

    /** Jobs that a dough misses when nothing does them any more. */
    public const NEEDED = ['bulk', 'bind', 'fat', 'protein'];

    /** @return list<string> everything it can do */
    public static function can(Ingredient $food): array
    {
        $jobs = $food->jobs;
        foreach (['meat' => 'protein', 'organ' => 'protein', 'fish' => 'protein', 'shellfish' => 'protein', 'cheese' => 'protein', 'oil' => 'fat', 'animal-fat' => 'fat', 'nut-butter' => 'fat', 'added-sugar' => 'sweeten', 'liquid' => 'wet', 'flour' => 'bulk', 'vegetable' => 'bulk', 'legume' => 'bulk', 'spice' => 'flavour', 'herb' => 'flavour', 'baking-leavener' => 'leaven'] as $group => $job) {
            if ($food->inGroup($group) && ! in_array($job, $jobs, true) && ! ($job === 'protein' && $food->inGroup('oil'))) {
                $jobs[] = $job;
            }
        }

        return $jobs === [] ? ['flavour'] : $jobs;
    }

    /**
     * The jobs of each portion in its dough, the main one first. The only fat is the fat; a spoon of oil beside a cup of nut butter is not.
     *
     * @param  list<Weighed>  $portions
     * @return array<int, list<string>> by line
     */
    public static function of(array $portions): array
    {
        $uptake = $water = $fat = 0.0;
        foreach ($portions as $portion) {
            $uptake += self::uptake($portion);
            $water += $portion->substances['waterG'] ?? 0.0;
            $fat += $portion->substances['fatG'] ?? 0.0;
        }
        $jobs = [];
        foreach ($portions as $portion) {
            $can = self::can($portion->ingredient);
            $does = [];
            if ($uptake > 0 && self::uptake($portion) >= self::BULK_SHARE * $uptake && in_array('bulk', $can, true)) {
                $does[] = 'bulk';
            }
            if (in_array('protein', $can, true)) {
                $does[] = 'protein';
            }
            if (in_array('fat', $can, true) && $fat > 0 && ($portion->substances['fatG'] ?? 0.0) >= self::FAT_SHARE * $fat) {
                $does[] = 'fat';
            }
            if (in_array('bind', $can, true)) {
                $does[] = 'bind';
            }
            if ($water > 0 && in_array('wet', $can, true) && ($portion->substances['waterG'] ?? 0.0) >= self::WET_SHARE * $water) {
                $does[] = 'wet';
            }
            foreach (['sweeten', 'leaven', 'coat', 'thicken', 'dust', 'flavour'] as $job) {
                if (in_array($job, $can, true) && ($does === [] || $job === 'sweeten')) {
                    $does[] = $job;
                }
            }
            $jobs[$portion->line] = $does === [] ? $can : $does;
        }

        return $jobs;
    }

    private static function uptake(Weighed $portion): float
    {
        return Uptake::of($portion->ingredient) * $portion->grams->best;
    }

    /**
     * Bit n is set for NEEDED[n].
     *
     * @param  list<string>  $jobs
     */
    public static function bits(array $jobs): int
    {
        $bits = 0;
        foreach (self::NEEDED as $n => $job) {
            $bits |= in_array($job, $jobs, true) ? 1 << $n : 0;
        }

        return $bits;
    }
}
