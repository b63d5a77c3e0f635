<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Saying;
use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Level;
use MildBowl\Core\Values\Range;

/** One dog's day: its budget, what it was given, what is left of the budget and of every dose, whoever gave it. */
final readonly class DayOfTreats
{
    public Range $kcal;

    /** @var array<string, Range> */
    public array $substances;

    public TreatBudget $budget;

    /** kcal left of the budget: less what was given and what an earlier occasion took; negative when over; null without a budget. */
    public ?float $leftKcal;

    /** The dog as it stands now: with everything it had today. */
    private Dog $now;

    private float $unknownKcal;

    /**
     * @param  list<Given>  $given  to this dog
     * @param  float  $borrowedKcal  that an earlier occasion took from this day; negative: that this day borrows from those after it
     * @param  list<HadBefore>  $before  of this dog
     */
    public function __construct(private Dog $dog, private Policy $policy, private Day $date, private array $given, private float $borrowedKcal, private array $before)
    {
        $already = $dog->alreadyToday;
        $kcal = Range::exact($already['kcal'] ?? 0.0);
        $substances = [];
        foreach (Given::SUBSTANCES as $substance) {
            $substances[$substance] = Range::exact($already[$substance] ?? 0.0);
        }
        $unknown = 0.0;
        foreach ($given as $one) {
            $kcal = $kcal->plus($one->kcal);
            $unknown += $one->unknownKcal;
            foreach ($one->substances as $substance => $amount) {
                $substances[$substance] = $substances[$substance]->plus($amount);
            }
        }
        [$this->kcal, $this->substances, $this->unknownKcal] = [$kcal, $substances, $unknown];
        $this->budget = TreatBudget::of($dog, Energy::of($dog, $policy->energySchool), $policy);
        $this->leftKcal = $this->budget->kcal === null ? null : $this->budget->kcal - $kcal->best - $borrowedKcal;
        $this->now = $dog->having(['kcal' => $kcal->best + $borrowedKcal] + array_map(static fn (Range $amount): float => $amount->high, $substances));
    }

    public function isOver(): bool
    {
        return $this->leftKcal !== null && $this->leftKcal < -1e-9;
    }

    /** Grams of its own food to leave out for what it was given; null where the food's energy is not known. */
    public function holdBackGrams(): ?float
    {
        return $this->dog->foodKcalPer100g === null ? null : 100 * $this->kcal->best / $this->dog->foodKcalPer100g;
    }

    /**
     * What it may still have of a batch that it is cleared for.
     *
     * @param  Batch  $batch  as this dog gets it
     * @param  float  $share  of a full day of it that it may have, of what is new to it
     * @return array{?float, ?string} pieces, and what holds them there
     */
    public function may(Batch $batch, float $share, bool $isPredatorFish): array
    {
        $ration = Ration::of($this->now, $batch, $this->policy);
        if (! $ration->isReckoned()) {
            return [$ration->pieces, $ration->heldBy];
        }
        if ($this->unread() !== null) {
            return [0.0, Limit::UNKNOWN];
        }
        $limits = $ration->limits;
        $left = $this->budget->left($this->now);
        if ($left !== null && $this->unknownKcal + $batch->pieceUnknownKcal > 0.0) {
            $limits[] = new Limit(Limit::UNKNOWN, max(0.0, $left - $this->unknownKcal) / max(1e-9, $batch->pieceKcal->best + $batch->pieceUnknownKcal));
        }
        foreach (Weekly::all() as $weekly) {
            $holds = $weekly->of === 'predator-fish' ? $isPredatorFish : ($batch->pieceSubstances[$weekly->of] ?? 0.0) > 0.0;
            if ($holds && $weekly->isUsedUp($this->date, $this->before)) {
                $limits[] = new Limit($weekly->code, 0.0);
            }
        }
        if ($share < 1.0) {
            $full = Ration::of($this->dog, $batch, $this->policy)->unrounded();
            $limits[] = new Limit(Limit::NEW, $full === null ? INF : max(0.0, $share - $this->newShare($full, $batch)) * $full);
        }
        [$pieces, $heldBy] = Ration::lowest($limits);

        return [$pieces === null ? null : Ration::quarters($pieces), $heldBy];
    }

    /** How much of a full day of new food it had already: pieces of this batch by its own ration, the rest by the budget. */
    private function newShare(float $full, Batch $batch): float
    {
        $share = 0.0;
        foreach ($this->given as $one) {
            if ($one->isNew) {
                $ofBudget = $one->kcal->best / max(1e-9, $this->budget->kcal ?? 0.0);
                $ofBatch = $batch->pieceKcal->best > 0.0 && $full > 0.0 ? $one->kcal->best / ($batch->pieceKcal->best * $full) : 0.0;
                $share += max($ofBudget, $ofBatch);
            }
        }

        return $share;
    }

    /** What of the given nobody can put a figure to; null where all is known. */
    private function unread(): ?string
    {
        foreach ($this->given as $one) {
            if ($one->unread !== null) {
                return $one->unread;
            }
        }

        return null;
    }

    /** @return list<Finding> each once, the worst first */
    public function findings(): array
    {
        $findings = array_merge([], ...array_map(static fn (Given $one): array => $one->findings, $this->given));
        foreach ($this->given as $one) {
            if ($one->unread !== null) {
                $findings[] = Saying::of('given-unknown', 'given')->finding($this->dog, ['{what}' => $one->unread]);
            }
        }
        foreach (Weekly::all() as $weekly) {
            $had = array_filter($this->given, static fn (Given $one): bool => $weekly->of === 'predator-fish' ? $one->isPredatorFish : ($one->substances[$weekly->of] ?? null)?->best > 0.0);
            if ($had !== [] && $weekly->isUsedUp($this->date, $this->before)) {
                $findings[] = $weekly->finding($this->dog, $this->date, $this->before);
            }
        }

        array_push($findings, ...$this->overDoses());

        return Finding::unique($findings);
    }

    /** @return list<Finding> of each dose that what was given comes to more than */
    private function overDoses(): array
    {
        $findings = [];
        if ($this->dog->weightKg === null || $this->given === []) {
            return [];
        }
        $dailyKcal = Energy::of($this->dog, $this->policy->energySchool)->dailyKcal?->best;
        foreach (Doses::all()->for($this->dog, $this->policy->garlic) as $dose) {
            $had = ($this->substances[$dose->substance] ?? null)->best ?? 0.0;
            $cap = $dose->capPerDay($this->dog, $this->budget->kcal, $dailyKcal);
            if ($cap !== null && $had > $cap * (1 + 1e-9)) {
                $findings[] = $dose->finding($this->dog, Level::Limit, $dose->inUnit($had, $this->kcal->best, $this->dog, $dailyKcal), 'treats of this day');
            }
        }

        return $findings;
    }
}
