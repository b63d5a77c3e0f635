<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Values\Level;

/** How many pieces of a batch one dog may have in a day, and what holds it there. */
final readonly class Ration
{
    /** Least that anybody breaks off a piece. */
    public const QUARTER = 0.25;

    /**
     * @param  list<Limit>  $limits
     * @param  list<DoseFinding>  $doseFindings
     * @param  float  $share  of a full ration, for what is new to it today
     */
    private function __construct(
        public Dog $dog,
        public Energy $energy,
        public TreatBudget $budget,
        public array $limits,
        public ?float $pieces,
        public ?string $heldBy,
        public array $doseFindings,
        public float $share,
    ) {}

    /**
     * @param  float  $share  of it that it may have today, of what is new to it
     * @param  ?Doses  $doses  those the batch bears on, where they are at hand
     */
    public static function of(Dog $dog, Batch $batch, Policy $policy, float $share = 1.0, ?Doses $doses = null): self
    {
        $energy = Energy::of($dog, $policy->energySchool);
        $budget = TreatBudget::of($dog, $energy, $policy);
        if ($dog->weightKg === null || $dog->isBreeding()) {
            return new self($dog, $energy, $budget, [], 0.0, null, [], $share);
        }
        $pieceKcal = $batch->pieceKcal->best;
        $left = $budget->left($dog);
        $budgetPieces = $left !== null && $pieceKcal > 0 ? $left / $pieceKcal : null;
        $limits = $budgetPieces === null ? [] : [new Limit(Limit::BUDGET, $budgetPieces)];
        if ($left !== null && $batch->pieceUnknownKcal > 0.0) {
            $limits[] = new Limit(Limit::UNKNOWN, $left / ($pieceKcal + $batch->pieceUnknownKcal));
        }
        $findings = [];
        foreach (($doses ?? Doses::in($batch->pieceSubstances))->for($dog, $policy->garlic) as $dose) {
            [$limit, $finding] = self::byDose($dose, $dog, $batch, $budgetPieces, $budget->kcal, $energy->dailyKcal?->best);
            if ($limit !== null) {
                $limits[] = $limit;
            }
            if ($finding !== null) {
                $findings[] = $finding;
            }
        }
        if (TreatBudget::isTooYoung($dog)) {
            $limits[] = new Limit(Limit::AGE, 0.0);
        }
        [$pieces, $heldBy] = self::lowest($limits);
        if ($share < 1.0 && $pieces !== null) {
            $limits[] = new Limit(Limit::NEW, $pieces * $share);
            $heldBy = $pieces > 0.0 ? Limit::NEW : $heldBy;
            $pieces *= $share;
        }

        return new self($dog, $energy, $budget, $limits, $pieces === null ? null : self::quarters($pieces), $heldBy, $findings, $share);
    }

    /** @return array{?Limit, ?DoseFinding} how a dose holds the ration, and what is said of it at the full one */
    private static function byDose(Dose $dose, Dog $dog, Batch $batch, ?float $budgetPieces, ?float $budgetKcal, ?float $dailyKcal): array
    {
        $perPiece = $batch->pieceSubstances[$dose->counted()] ?? 0.0;
        $cap = $dose->capPerDay($dog, $budgetKcal, $dailyKcal);
        $limit = $cap === null ? null : new Limit($dose->code, max(0.0, $cap - $dose->already($dog)) / $perPiece, $dose, $cap, $perPiece);
        $holds = $limit !== null && ($budgetPieces === null || $limit->piecesPerDay < $budgetPieces * (1 - 1e-9));
        if (! $holds && $dose->caution === null) {
            return [$limit, null];
        }
        $pieces = $budgetPieces ?? 0.0;
        $aDay = $perPiece * $pieces + $dose->already($dog);
        // energy that nobody knows thins no density
        $value = $dose->inUnit($aDay, max(0.0, $batch->pieceKcal->best - $batch->pieceUnknownKcal) * $pieces + ($dog->alreadyToday['kcal'] ?? 0.0), $dog, $dailyKcal);
        $level = match (true) {
            $holds => Level::Limit,
            $value !== null && $aDay > $dose->floorPerDay($dog) && $value > $dose->caution * (1 + 1e-9) => Level::Caution,
            default => null,
        };

        return [$limit, $level === null ? null : new DoseFinding($dose->counted(), $dose->finding($dog, $level, $value))];
    }

    /** Pieces a day that every limit allows, not rounded and before anything new is brought in slowly; null where nothing limits. */
    public function unrounded(): ?float
    {
        return self::lowest(array_values(array_filter($this->limits, static fn (Limit $limit): bool => $limit->code !== Limit::NEW)))[0];
    }

    /** @return list<array{days: string, pieces: float}> how a food that is new is brought in; empty when nothing is new */
    public function ramp(): array
    {
        $full = $this->unrounded();

        return $full === null || ! $this->isRamped() ? [] : Ramp::to($full);
    }

    private function isRamped(): bool
    {
        return array_filter($this->limits, static fn (Limit $limit): bool => $limit->code === Limit::NEW) !== [];
    }

    /** Whether there is any reckoning for this dog: its weight is known and no vet must decide. */
    public function isReckoned(): bool
    {
        return $this->dog->weightKg !== null && ! $this->dog->isBreeding();
    }

    /** Whether any piece at all is left under every limit. */
    public function isServed(): bool
    {
        return $this->pieces === null ? $this->energy->dailyKcal !== null : self::isAPiece($this->pieces);
    }

    /** Whether so many pieces a day are any at all. */
    public static function isAPiece(float $pieces): bool
    {
        return $pieces >= self::QUARTER;
    }

    /** Rounded down to a quarter piece; a hair under a quarter by floating point counts as that quarter. */
    public static function quarters(float $pieces): float
    {
        return floor($pieces / self::QUARTER + 1e-9) * self::QUARTER;
    }

    /**
     * The pieces that every limit allows, and the code of the one that holds.
     *
     * @param  list<Limit>  $limits
     * @return array{?float, ?string}
     */
    public static function lowest(array $limits): array
    {
        $pieces = $heldBy = null;
        foreach ($limits as $limit) {
            if ($pieces === null || $limit->piecesPerDay < $pieces * (1 - 1e-12)) {
                [$pieces, $heldBy] = [$limit->piecesPerDay, $limit->code];
            }
        }

        return [$pieces, $heldBy];
    }
}
