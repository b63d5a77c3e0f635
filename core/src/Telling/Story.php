<?php

declare(strict_types=1);

namespace MildBowl\Core\Telling;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Dough;
use MildBowl\Core\Data\Sources;
use MildBowl\Core\Dogs\EnergyRow;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Raid\ToxicDose;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Range;

/** How a figure was made, in plain sentences with this dog's and this batch's numbers. */
final class Story
{
    /** @return list<string> */
    public static function ofLine(Ingredient $food, Range $grams, ?Range $kcal, ?float $kcalPer100g): array
    {
        $made = [self::mass($grams)." of {$food->name}".($grams->isExact() ? '' : ', best '.Figure::of($grams->best).' g').'.'];
        if ($kcal !== null && $kcalPer100g !== null) {
            $made[] = Figure::of($grams->best).' g × '.Figure::of($kcalPer100g).' kcal per 100 g = '.Figure::of($kcal->best).' kcal.';
        }
        $made[] = 'Composition: '.Sources::name($food->source).match ($food->confidence) {
            'A' => ', checked against a second table.', 'B' => '.', default => '; shown as a range.',
        };

        return $made;
    }

    /** @return list<string> */
    public static function ofBatch(Dough $dough, Range $baked, Range $kcal): array
    {
        $made = ['Dough: '.self::mass($dough->grams).' with '.Figure::of($dough->substances['waterG'] ?? 0.0).' g of water in it.'];
        if ($dough->wetness !== null) {
            $made[] = 'Wetness: the free liquid ÷ what the flours take up = '.number_format($dough->wetness, 2).'. '.ucfirst($dough->feel()->feel ?? '').': '.($dough->feel()->sign ?? '').'.';
        } elseif ($dough->binding !== null) {
            $made[] = 'Meat is the body: '.round(100 * $dough->binding).' g of dry binder on 100 g of meat. '.ucfirst($dough->feel()->feel ?? '').': '.($dough->feel()->sign ?? '').'.';
        }
        $made[] = 'Out of the oven: '.self::mass($baked).'. The solids stay, the water leaves; the energy stays: '.Figure::of($kcal->best).' kcal.';

        return $made;
    }

    /** @return list<string> */
    public static function ofPiece(Batch $batch): array
    {
        if ($batch->count->best <= 0.0) {
            return ['Nothing has been weighed yet.'];
        }

        return [
            'A piece takes '.Figure::of($batch->pieceDoughGrams->best).' g of dough; '.Figure::of($batch->dough->grams->best).' g make about '.Figure::of(floor($batch->count->best)).' pieces.',
            Figure::of($batch->kcal->best).' kcal ÷ '.Figure::of($batch->count->best).' pieces = '.Figure::of($batch->pieceKcal->best).' kcal a piece.',
            'Baked, a piece weighs about '.Figure::of($batch->pieceBakedGrams->best).' g.',
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
        $made = ['Resting energy (what the body burns lying still): 70 × '.Figure::of($dog->weightKg).' kg to the power 0.75 = '.Figure::of($energy->restingKcal ?? 0.0).' kcal.'];
        if ($energy->dailyKcal === null) {
            return [...$made, 'Pregnant or nursing: no formula. Your vet decides.'];
        }
        $row = EnergyRow::find($energy->row);
        $meaning = $row->meaning ?? str_replace('-', ' ', $energy->row);
        $at = abs($energy->atKg - $dog->weightKg) > 0.01 ? ' at the ideal weight of '.Figure::of($energy->atKg).' kg' : '';
        $made[] = $row !== null
            ? "A day ($meaning): × ".Figure::of($energy->factor)."$at = ".Figure::of($energy->dailyKcal->best).' kcal, somewhere from '.Figure::of($energy->dailyKcal->low).' to '.Figure::of($energy->dailyKcal->high).'; follow its body condition.'
            : "A day ($meaning, research school): ".Figure::of($energy->factor)." × kg to the power 0.75$at = ".Figure::of($energy->dailyKcal->best).' kcal; follow its body condition.';
        $ideal = $ration->budget->ofKcal !== null && abs($ration->budget->ofKcal - $energy->dailyKcal->best) > 0.5 ? ' at its ideal weight of '.Figure::of($dog->idealWeightKg() ?? 0.0).' kg ('.Figure::of($ration->budget->ofKcal).' kcal)' : '';
        $made[] = 'Treats: at most '.Figure::of($ration->budget->percent)." % of the day$ideal, {$ration->budget->reason}: ".Figure::of($ration->budget->kcal ?? 0.0).' kcal.';
        foreach ($ration->limits as $limit) {
            if ($limit->code === 'budget' || $limit->code === $ration->heldBy || $limit->piecesPerDay < 2 * ($ration->pieces ?? 0.0)) {
                $made[] = self::ofLimit($limit, $ration, $batch);
            }
        }
        if ($ration->pieces !== null) {
            $made[] = 'Rounded down to a quarter of a piece: '.Figure::of($ration->pieces).'.';
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
        foreach (ToxicDose::all() as $dose) {
            $held = $dose->isForFatProne ? 0.0 : $substances[$dose->substance] ?? 0.0;
            foreach ($held > 0.0 ? $rations : [] as $ration) {
                $kg = $ration->dog->weightKg;
                $perPiece = 0.0;
                foreach ($lots as $lot) {
                    if ($lot->isFor($ration->dog) && $lot->batch->count->best > 0.0) {
                        $perPiece = $held * $lot->share / $lot->batch->count->best;
                    }
                }
                if ($kg !== null && $perPiece > 0.0 && ($ration->pieces ?? 0.0) > 0.0) {
                    $first = $dose->thresholds[0] ?? null;
                    $said[] = ucfirst($dose->name).': '.Figure::of($perPiece * $ration->pieces / $kg)." {$dose->unit} in {$ration->dog->name}'s full ration of ".Figure::of($ration->pieces).', were it baked; '
                        .($first === null ? 'no figure is known for dogs' : "{$first->sign} from ".self::plain($first->at)).'.';
                }
            }
        }

        return $said;
    }

    /** What holds the ration, in words. */
    public static function holds(?string $code): string
    {
        return $code === null ? 'nothing in it to count' : Limit::called($code);
    }

    public static function ofLimit(Limit $limit, Ration $ration, Batch $batch): string
    {
        $pieces = number_format($limit->piecesPerDay, 2);
        if ($limit->code === Limit::BUDGET) {
            $already = $ration->dog->alreadyToday['kcal'] ?? 0.0;
            $budget = Figure::of($ration->budget->kcal ?? 0.0);

            return 'Budget: '.($already > 0 ? "$budget − ".Figure::of($already).' already given' : $budget).' kcal ÷ '.Figure::of($batch->pieceKcal->best)." kcal a piece = $pieces pieces.";
        }
        if ($limit->dose !== null && $limit->cap !== null && $limit->perPiece !== null) {
            return ucfirst(self::holds($limit->code)).": at most {$limit->dose->limit} {$limit->dose->unit}, which is ".Figure::of($limit->cap).' a day ÷ '.Figure::of($limit->perPiece)." in a piece = $pieces pieces.";
        }

        return ucfirst(self::holds($limit->code)).": $pieces pieces.";
    }

    private static function plain(float $figure): string
    {
        return rtrim(rtrim(number_format($figure, 3, '.', ''), '0'), '.');
    }

    private static function mass(Range $grams): string
    {
        return $grams->isExact() ? Figure::of($grams->best).' g' : Figure::of($grams->low).'–'.Figure::of($grams->high).' g';
    }
}
