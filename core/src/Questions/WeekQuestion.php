<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Keeping\Kept;
use MildBowl\Core\Telling\Cares;
use MildBowl\Core\Telling\Story;
use MildBowl\Core\Values\Day;

/**
 * `week`: several treats that share each dog's day in chosen proportions: pieces of each, what to hold back from the meal, until when
 * each lasts. Doses are counted over all of them together.
 */
final readonly class WeekQuestion
{
    public const MOST_TREATS = 8;

    /** @param  non-empty-list<WeekTreat>  $treats  all for the same dogs in the same kitchen */
    public function __construct(private array $treats, private ?Day $from) {}

    public function answer(): WeekAnswer
    {
        $judged = array_map(static fn (WeekTreat $treat): Judgement => Judgement::on($treat->question), $this->treats);
        $dogs = array_map(fn (Dog $dog): WeekDog => $this->forDog($dog, $judged), $this->treats[0]->question->dogs);

        return new WeekAnswer($this->from?->iso, $dogs, array_map(fn (int $n): WeekLasting => $this->lasting($n, $judged[$n], $dogs), array_keys($judged)));
    }

    /** @param  list<WeekDog>  $dogs */
    private function lasting(int $n, Judgement $judgement, array $dogs): WeekLasting
    {
        $days = null;
        $pieces = $perDay = 0.0;
        foreach ($judgement->lots->all as $lot) {
            $ofLot = 0.0;
            foreach ($dogs as $dog) {
                $ofLot += $lot->isFor($dog->dog) ? $dog->treats[$n]->piecesPerDay : 0.0;
            }
            $pieces += floor($lot->batch->count->best + 1e-9);
            $perDay += $ofLot;
            if ($ofLot > 0.0) {
                // the first portion to run out ends it
                $days = min($days ?? INF, floor($lot->batch->count->best / $ofLot + 1e-9));
            }
        }

        $keeps = Kept::first(array_map(static fn (Lot $lot): Kept => Kept::of($lot, $judgement->bowl->parts, false), $judgement->lots->all))->life->longestUnfrozen();
        $lasts = $days === null ? null : min($days, max(1, $keeps));

        return new WeekLasting(
            $this->treats[$n]->name, $pieces, $perDay, $judgement->lots->main()->batch->pieceKcal->best, $days,
            $this->from === null || $lasts === null || $lasts < 1 ? null : $this->from->after((int) $lasts - 1)->iso, $keeps,
            $days !== null && $keeps < $days ? 'It keeps '.($keeps === 1 ? 'a day' : "$keeps days").' unfrozen: freeze what is not eaten by then, on the day it is made.' : null,
        );
    }

    /** @param  non-empty-list<Judgement>  $judged */
    private function forDog(Dog $dog, array $judged): WeekDog
    {
        $policy = $this->treats[0]->question->kitchen->policy;
        $energy = Energy::of($dog, $policy->energySchool);
        $budget = TreatBudget::of($dog, $energy, $policy);
        $shares = $rations = $batches = $why = [];
        foreach ($judged as $n => $judgement) {
            $why[$n] = $judgement->whyNotCleared($dog)?->why;
            [$rations[$n], $batches[$n]] = [$judgement->rationOf($dog), $judgement->lotOf($dog)->batch->for($dog)];
            $shares[$n] = $why[$n] === null && ($rations[$n]->pieces ?? 0.0) > 0.0 ? $this->treats[$n]->share : 0.0;
        }
        $all = array_sum($shares);
        $pieces = array_fill(0, count($judged), 0.0);
        $heldBy = null;
        if ($all > 0.0 && $budget->kcal !== null) {
            $left = $budget->left($dog) ?? 0.0;
            foreach ($shares as $n => $share) {
                $kcal = $batches[$n]->pieceKcal->best;
                $pieces[$n] = $kcal > 0 ? $left * $share / $all / $kcal : 0.0;
            }
            [$factor, $heldBy] = self::doses($dog, $pieces, $batches, $policy->garlic, $budget->kcal, $energy->dailyKcal?->best);
            $pieces = array_map(static fn (float $count): float => $count * $factor, $pieces);
        }
        $kcal = 0.0;
        $treats = [];
        foreach ($this->treats as $n => $treat) {
            $isRamped = $rations[$n]->ramp() !== [];
            $given = Ration::quarters($pieces[$n] * ($rations[$n]->share));
            $ofTreat = $given * $batches[$n]->pieceKcal->best;
            $kcal += $ofTreat;
            $none = match (true) {
                $why[$n] !== null => $why[$n],
                $shares[$n] <= 0.0 => 'Held by '.Story::holds($rations[$n]->heldBy).'.',
                $given === 0.0 => 'Under a quarter of a piece: cut it smaller.',
                default => null,
            };
            $treats[] = new WeekShare($treat->name, $given, $ofTreat, $none, $isRamped ? Ramp::to($pieces[$n]) : []);
        }

        return new WeekDog(
            $dog, $budget->kcal, $kcal, $dog->foodKcalPer100g === null ? null : 100 * $kcal / $dog->foodKcalPer100g, $heldBy === null ? null : Story::holds($heldBy), $treats, Cares::of($dog, $policy, $budget),
        );
    }

    /**
     * How much of such a day the doses of all treats together allow.
     *
     * @param  array<int, float>  $pieces
     * @param  array<int, Batch>  $batches  as the dog gets them
     * @return array{float, string}
     */
    private static function doses(Dog $dog, array $pieces, array $batches, string $garlic, float $budgetKcal, ?float $dailyKcal): array
    {
        $factor = 1.0;
        $heldBy = 'budget';
        foreach (Doses::all()->for($dog, $garlic) as $dose) {
            $sum = 0.0;
            foreach ($pieces as $n => $count) {
                $sum += $count * ($batches[$n]->pieceSubstances[$dose->counted()] ?? 0.0);
            }
            $left = $dose->leftPerDay($dog, $budgetKcal, $dailyKcal);
            if ($left !== null && $sum > 0.0 && $left / $sum < $factor) {
                [$factor, $heldBy] = [$left / $sum, $dose->code];
            }
        }

        return [$factor, $heldBy];
    }
}
