<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Borrowing;
use MildBowl\Core\Feeding\Limit;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Feeding\TakenDays;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Telling\Story;
use MildBowl\Core\Values\Figure;

/**
 * `occasion`: a birthday slice is more than a day allows. It may borrow the treat budgets of up to seven following days, and a meal
 * hold-back of at most a quarter of that day's food; doses and conditions are never borrowed against, but that a healthy dog's fat may be spread over these days (reference, page 2).
 */
final readonly class OccasionQuestion
{
    private const MEAL_SHARE = 0.25;

    /** The one dose that may be borrowed as the energy is. */
    private const SPREAD = 'fat';

    private Judgement $judgement;

    private TakenDays $taken;

    /**
     * @param  ?Judgement  $judgement  of the question, where it was judged already
     * @param  ?TakenDays  $taken  by other occasions, from this dog
     */
    public function __construct(Question $question, private Dog $dog, private float $pieces, ?Judgement $judgement = null, ?TakenDays $taken = null)
    {
        $this->judgement = $judgement ?? Judgement::on($question);
        $this->taken = $taken ?? TakenDays::none();
    }

    public function answer(): OccasionAnswer
    {
        $judgement = $this->judgement;
        $open = $judgement->whyNotCleared($this->dog);
        $ration = $judgement->rationOf($this->dog);
        $batch = $judgement->lotOf($this->dog)->batch->for($this->dog);
        // what nobody knows counts at its most
        $kcal = $batch->pieceKcal->best + $batch->pieceUnknownKcal;
        $budget = $ration->budget->kcal;
        $name = $this->dog->name;
        if ($open !== null || $budget === null || $ration->energy->dailyKcal === null || $this->dog->weightKg === null) {
            return OccasionAnswer::refused($open->why ?? "$name has no treat budget".($this->dog->weightKg === null ? ' without a weight.' : ': the vet decides.'), 0.0);
        }
        $free = $this->taken->free();
        $most = INF;
        $heldBy = null;
        $byFat = null;
        foreach ($ration->limits as $limit) {
            if ($limit->code === Limit::BUDGET || $limit->code === Limit::UNKNOWN) {
                continue;
            }
            // a healthy dog's fat may be spread over the borrowed days, as its energy is
            $isSpread = $limit->code === self::SPREAD && $limit->dose?->isOfIllness() === false;
            $allows = $limit->piecesPerDay * ($isSpread ? count($free) : 1);
            $byFat = $isSpread ? $limit->piecesPerDay : $byFat;
            if ($allows < $most) {
                [$most, $heldBy] = [$allows, $limit->code];
            }
        }
        $today = max(0.0, ($ration->budget->left($this->dog) ?? 0.0) - $this->taken->on(0));
        $byBudget = $kcal > 0 ? ($today + $this->taken->ahead($budget)) / $kcal : INF;
        if ($this->pieces > min($most, $byBudget) + 1e-9) {
            $allowed = min($most, $byBudget) === INF ? 0.0 : Ration::quarters(min($most, $byBudget));

            return OccasionAnswer::refused(($most < $byBudget
                ? 'Held by '.Story::holds($heldBy).($heldBy === self::SPREAD && $byFat !== null ? ', even spread over seven days.' : ', and that is never borrowed against.')
                : 'Even with seven days without other treats that is too much.').$this->counted(Borrowing::MOST_DAYS), $allowed);
        }
        $spent = $this->pieces * $kcal;
        $gives = Borrowing::over(max(0.0, $spent - $today), $budget, $this->taken->all()) ?? [];
        // so many days carry its fat, of those that carry no other's
        $carry = $byFat === null || $byFat <= 0.0 ? [] : array_slice($free, 0, (int) ceil($this->pieces / $byFat - 1e-9));
        $days = max([0, ...array_keys($gives), ...$carry]);
        $borrows = array_map(static fn (int $n): Borrowed => new Borrowed($n, $gives[$n] ?? 0.0), $days === 0 ? [] : range(1, $days));
        $food = $this->dog->foodKcalPer100g;
        $mealKcal = min($spent, self::MEAL_SHARE * $ration->energy->dailyKcal->best);
        $says = Figure::of($this->pieces)." for $name: ".Figure::rough($spent).' kcal against '.Figure::rough($today).' left today'
            .($days === 0 ? '. Nothing is borrowed.' : '; then '.($days === 1 ? 'one day' : "$days days").' without other treats.')
            .($food === null ? '' : ' Hold back '.max(1.0, round(100 * $mealKcal / $food)).' g of its food that day'.($mealKcal < $spent ? ', a quarter of it and no more.' : '.'))
            .$this->counted($days);

        return new OccasionAnswer(
            true, null, min($most, $byBudget) === INF ? $this->pieces : Ration::quarters(min($most, $byBudget)), $spent, $budget, $days,
            $food === null ? null : 100 * $mealKcal / $food, $says, $borrows, $today, $this->taken->isFreeUntil($days) ? [] : $this->taken->for,
        );
    }

    /** That days are lent already, where it bears on these. */
    private function counted(int $days): string
    {
        $for = $this->taken->isFreeUntil($days) ? [] : $this->taken->for;

        return $for === [] ? '' : ' Counted with what '.implode(' and ', $for).' take'.(count($for) === 1 ? 's' : '').' from these days.';
    }
}
