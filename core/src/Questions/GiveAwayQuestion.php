<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Stage;
use MildBowl\Core\Dogs\Weight;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Keeping\Kept;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Telling\Story;

/** `give-away`: pieces a day by body weight, for a jar that is given away to dogs nobody here knows. */
final readonly class GiveAwayQuestion
{
    private const WEIGHTS = [2.0, 4.0, 6.0, 8.0, 10.0, 15.0, 20.0, 25.0, 30.0, 40.0, 50.0];

    public function __construct(private Question $question) {}

    public function answer(): GiveAwayAnswer
    {
        $judgement = Judgement::on($this->question);
        $policy = $this->question->kitchen->policy;
        // a stranger's dog gets no measured garlic
        $careful = new Policy($policy->energySchool, $policy->calorieConvention, 'avoid', $policy->units, $policy->pseudoGrains, $policy->budgetPercent);
        $cut = $this->question->cut();
        $batch = $judgement->bowl->batch($cut, $this->question->texture(), $this->question->measured);
        $life = Kept::first(array_map(static fn (Lot $lot): Kept => Kept::of($lot, $judgement->bowl->parts, false), $judgement->lots->all))->life;
        $keeps = $life->longestUnfrozen();
        $rows = [];
        foreach (self::WEIGHTS as $kg) {
            $dog = new Dog('any', $kg, 48.0, neutered: true, bodyCondition: 5, activity: 'inactive', stage: Stage::Adult);
            $ration = Ration::of($dog, $batch, $careful);
            $rows[] = new GiveAwayRow(
                $kg, round($kg / Weight::KG_PER_LB), $ration->pieces, $ration->budget->kcal ?? 0.0,
                Story::holds($ration->heldBy), $cut->largestMm() !== null && $cut->largestMm() > ($dog->safeBiteMm() ?? INF),
                ($ration->pieces ?? 0.0) > 0.0 ? (int) min($keeps, floor($batch->count->best / (float) $ration->pieces + 1e-9)) : null,
            );
        }

        $isPiece = $batch->count->best > 0.0;

        return new GiveAwayAnswer(
            $rows, $judgement->stopsEveryDog(), 'For a healthy, grown, quiet, neutered dog at an ideal weight. Not for puppies, for dogs with a condition or an allergy, or on medicine: ask the vet.', $keeps,
            GiftFoods::of($judgement), ['jar' => $life->jarDays, 'fridge' => $life->fridgeDays, 'freezer' => $life->freezerDays],
            $isPiece ? $batch->pieceKcal->best : null, $isPiece ? $batch->pieceBakedGrams->best : null, $this->petFoodRatio($judgement),
        );
    }

    private function petFoodRatio(Judgement $judgement): ?float
    {
        [$modified, $own] = [0.0, 0.0];
        foreach ($judgement->bowl->recipe->lines as $index => $line) {
            $grams = ($judgement->bowl->grams[$index] ?? null)?->best;
            $composition = $line->food?->composition;
            if ($grams === null || $grams <= 0.0) {
                continue;
            }
            if ($composition === null) {
                return null;
            }
            $modified += $grams * $composition->kcalModified();
            $own += $grams * ($this->question->kitchen->policy->calorieConvention === 'modified' ? $composition->kcalModified() : $composition->kcal);
        }

        return $own > 0.0 ? $modified / $own : null;
    }
}
