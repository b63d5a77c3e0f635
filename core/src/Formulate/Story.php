<?php

declare(strict_types=1);

namespace MildBowl\Core\Formulate;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Baking\Lot;
use MildBowl\Core\Data;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Range;
use MildBowl\Core\Screening\Sources;

/** How a figure was made, in plain sentences with this dog's and this batch's numbers. */
final class Story
{
    private const HOLDS = [
        'budget' => 'the treat budget', 'sodium' => 'sodium', 'fat' => 'fat', 'added-sugar' => 'added sugar', 'vitamin-a' => 'vitamin A',
        'vitamin-d' => 'vitamin D', 'coumarin' => 'coumarin (cinnamon)', 'garlic' => 'the garlic cap', 'calcium' => 'calcium while it grows',
        'fibre' => 'new fibre', 'kelp' => 'kelp', 'new-ingredient' => 'something new: a quarter on the first days', 'age' => 'its age', 'not-cleared' => 'not cleared',
    ];

    /** @return list<string> */
    public static function ofLine(Ingredient $food, Range $grams, ?Range $kcal, ?float $kcalPer100g): array
    {
        $made = [self::mass($grams)." of {$food->name}".($grams->isExact() ? '' : ', best '.self::number($grams->best).' g').'.'];
        if ($kcal !== null && $kcalPer100g !== null) {
            $made[] = self::number($grams->best).' g × '.self::number($kcalPer100g).' kcal per 100 g = '.self::number($kcal->best).' kcal.';
        }
        $made[] = 'Composition: '.Sources::name($food->source).match ($food->confidence) {
            'A' => ', checked against a second table.', 'B' => '.', default => '; shown as a range.',
        };

        return $made;
    }

    /** @return list<string> */
    public static function ofBatch(Dough $dough, Range $baked, Range $kcal): array
    {
        $made = ['Dough: '.self::mass($dough->grams).' with '.self::number($dough->substances['waterG'] ?? 0.0).' g of water in it.'];
        if ($dough->wetness !== null) {
            $made[] = 'Wetness: the water ÷ what the flours take up = '.number_format($dough->wetness, 2).'. '.ucfirst((string) $dough->feel()).': '.$dough->sign().'.';
        }
        $made[] = 'Out of the oven: '.self::mass($baked).'. The solids stay, the water leaves; the energy stays: '.self::number($kcal->best).' kcal.';

        return $made;
    }

    /** @return list<string> */
    public static function ofPiece(Batch $batch): array
    {
        if ($batch->count->best <= 0.0) {
            return ['Nothing has been weighed yet.'];
        }

        return [
            'A piece takes '.self::number($batch->pieceDoughGrams->best).' g of dough; '.self::number($batch->dough->grams->best).' g make about '.self::number(floor($batch->count->best)).' pieces.',
            self::number($batch->kcal->best).' kcal ÷ '.self::number($batch->count->best).' pieces = '.self::number($batch->pieceKcal->best).' kcal a piece.',
            'Baked, a piece weighs about '.self::number($batch->pieceBakedGrams->best).' g.',
        ];
    }

    /** @return list<string> */
    public static function ofRation(Ration $ration, Batch $batch): array
    {
        $dog = $ration->dog;
        $energy = $ration->energy;
        if ($dog->weightKg === null) {
            return ["{$dog->name} has no weight yet: without it there is no ration."];
        }
        $made = ['Resting energy (what the body burns lying still): 70 × '.self::number($dog->weightKg).' kg to the power 0.75 = '.self::number($energy->restingKcal ?? 0.0).' kcal.'];
        if ($energy->dailyKcal === null) {
            return [...$made, 'Pregnant or nursing: no formula. Your vet decides.'];
        }
        $meaning = Data::tables()['energy'][$energy->row]['meaning'] ?? str_replace('-', ' ', $energy->row);
        $at = abs($energy->atKg - $dog->weightKg) > 0.01 ? ' at the ideal weight of '.self::number($energy->atKg).' kg' : '';
        $made[] = isset(Data::tables()['energy'][$energy->row])
            ? "A day ($meaning): × ".self::number($energy->factor)."$at = ".self::number($energy->dailyKcal->best).' kcal, somewhere from '.self::number($energy->dailyKcal->low).' to '.self::number($energy->dailyKcal->high).'; follow its body condition.'
            : "A day ($meaning, research school): ".self::number($energy->factor)." × kg to the power 0.75$at = ".self::number($energy->dailyKcal->best).' kcal; follow its body condition.';
        $ideal = $ration->budget->ofKcal !== null && abs($ration->budget->ofKcal - $energy->dailyKcal->best) > 0.5 ? ' at its ideal weight of '.self::number($dog->idealWeightKg() ?? 0.0).' kg ('.self::number($ration->budget->ofKcal).' kcal)' : '';
        $made[] = 'Treats: at most '.self::number($ration->budget->percent)." % of the day$ideal, {$ration->budget->reason}: ".self::number($ration->budget->kcal ?? 0.0).' kcal.';
        foreach ($ration->limits as $limit) {
            if ($limit->code === 'budget' || $limit->code === $ration->heldBy || $limit->piecesPerDay < 2 * ($ration->pieces ?? 0.0)) {
                $made[] = self::ofLimit($limit, $batch);
            }
        }
        if ($ration->pieces !== null) {
            $made[] = 'Rounded down to a quarter of a piece: '.self::number($ration->pieces).'.';
        }

        return $made;
    }

    /**
     * How much of a known poison a line would bring each dog, against where signs begin. It says how bad, never how little is fine.
     *
     * @param  array<string, float>  $substances  of the line in the batch
     * @param  list<Ration>  $rations
     * @param  list<Lot>  $lots
     * @return list<string>
     */
    public static function ofPoison(array $substances, array $rations, array $lots): array
    {
        $said = [];
        foreach (Data::tables()['toxicDoses'] as $row) {
            $held = $substances[$row['substance']] ?? 0.0;
            if ($held <= 0.0) {
                continue;
            }
            [$at, $sign] = explode('=', explode('|', $row['thresholds'])[0], 2);
            foreach ($rations as $ration) {
                $kg = $ration->dog->weightKg;
                $perPiece = 0.0;
                foreach ($lots as $lot) {
                    if (in_array($ration->dog->name, $lot->dogs, true) && $lot->batch->count->best > 0.0) {
                        $perPiece = $held * $lot->share / $lot->batch->count->best;
                    }
                }
                if ($kg !== null && $perPiece > 0.0 && ($ration->pieces ?? 0.0) > 0.0) {
                    $said[] = ucfirst($row['name']).': '.self::number($perPiece * $ration->pieces / $kg)." {$row['unit']} in {$ration->dog->name}'s full ration of ".self::number($ration->pieces).", were it baked; $sign from $at.";
                }
            }
        }

        return $said;
    }

    /** What holds the ration, in words. */
    public static function holds(?string $code): string
    {
        return $code === null ? 'nothing in it to count' : (self::HOLDS[$code] ?? $code);
    }

    public static function ofLimit(Limit $limit, Batch $batch): string
    {
        $pieces = number_format($limit->piecesPerDay, 2);
        $made = $limit->made;
        if ($limit->code === 'budget') {
            $already = (float) ($made['alreadyKcal'] ?? 0);

            return 'Budget: '.($already > 0 ? self::number((float) $made['budgetKcal']).' − '.self::number($already).' already given' : self::number((float) ($made['budgetKcal'] ?? 0))).' kcal ÷ '.self::number($batch->pieceKcal->best)." kcal a piece = $pieces pieces.";
        }
        if (isset($made['perPiece'])) {
            return ucfirst(self::holds($limit->code)).": at most {$made['limit']} {$made['unit']}, which is ".self::number((float) $made['cap']).' a day ÷ '.self::number((float) $made['perPiece'])." in a piece = $pieces pieces.";
        }

        return ucfirst(self::holds($limit->code)).": $pieces pieces.";
    }

    private static function mass(Range $grams): string
    {
        return $grams->isExact() ? self::number($grams->best).' g' : self::number($grams->low).'–'.self::number($grams->high).' g';
    }

    /** No false precision: three figures at most, and no decimals where they say nothing. */
    public static function number(float $value): string
    {
        $decimals = match (true) {
            $value >= 100, floor($value) === $value => 0,
            $value >= 10 => 1,
            $value >= 0.1 => 2,
            default => 4,
        };
        $text = number_format($value, $decimals, '.', '');

        return str_contains($text, '.') ? rtrim(rtrim($text, '0'), '.') : $text;
    }
}
