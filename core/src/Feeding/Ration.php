<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Screening\Level;
use MildBowl\Core\Screening\Sources;

/** How many pieces of a batch one dog may have in a day, and what holds it there. */
final readonly class Ration
{
    private const RAMP_FIRST_DAYS = 0.25;

    /** Share of the ration by day since a food was new (reference, page 2). */
    private const RAMP = ['days 1–2' => 0.25, 'days 3–4' => 0.5, 'from day 5' => 1.0];

    /**
     * @param  list<Limit>  $limits
     * @param  list<DoseFinding>  $doseFindings
     */
    private function __construct(
        public Dog $dog,
        public Energy $energy,
        public TreatBudget $budget,
        public array $limits,
        public ?float $pieces,
        public ?string $heldBy,
        public array $doseFindings,
    ) {}

    /**
     * @param  bool  $hasNew  whether a food new to this dog is in the batch
     */
    public static function of(Dog $dog, Batch $batch, string $school, ?float $policyPercent, string $garlicPolicy, bool $hasNew): self
    {
        $energy = Energy::of($dog, $school);
        $budget = TreatBudget::of($dog, $energy, $school, $policyPercent);
        $piece = $batch->pieceSubstances;
        $pieceKcal = $batch->pieceKcal->best;
        if ($dog->weightKg === null || $dog->isBreeding()) {
            return new self($dog, $energy, $budget, [], 0.0, null, []);
        }
        $limits = [];
        $budgetPieces = null;
        if ($budget->kcal !== null && $pieceKcal > 0) {
            $left = max(0.0, $budget->kcal - ($dog->alreadyToday['kcal'] ?? 0.0));
            $budgetPieces = $left / $pieceKcal;
            $limits[] = new Limit('budget', $budgetPieces, ['budgetKcal' => $budget->kcal, 'alreadyKcal' => $dog->alreadyToday['kcal'] ?? 0.0, 'pieceKcal' => $pieceKcal]);
        }
        $findings = [];
        foreach (Doses::for($dog, $garlicPolicy) as $row) {
            $perPiece = $piece[$row['substance']] ?? 0.0;
            if ($perPiece <= 0.0) {
                continue;
            }
            $dailyKcal = $energy->dailyKcal?->best;
            $already = $dog->alreadyToday[$row['substance']] ?? 0.0;
            $pieces = $budgetPieces ?? 0.0;
            $value = Doses::inUnit($row, $perPiece * $pieces + $already, $pieceKcal * $pieces + ($dog->alreadyToday['kcal'] ?? 0.0), $dog, $dailyKcal);
            $cap = $row['limit'] === '' ? null : Doses::perDay($row, (float) $row['limit'], $dog, $budget->kcal, $dailyKcal);
            if ($cap !== null) {
                $left = max(0.0, $cap - $already);
                $limits[] = new Limit($row['code'], $left / $perPiece, ['cap' => $cap, 'already' => $already, 'perPiece' => $perPiece, 'limit' => (float) $row['limit'], 'unit' => $row['unit']]);
                if ($budgetPieces === null || $left / $perPiece < $budgetPieces * (1 - 1e-9)) {
                    $findings[] = self::finding($dog, $row, Level::Limit, $value, (float) $row['limit']);

                    continue;
                }
            }
            if ($row['caution'] !== '' && $value !== null && $value > (float) $row['caution'] * (1 + 1e-9)) {
                $findings[] = self::finding($dog, $row, Level::Caution, $value, (float) $row['caution']);
            }
        }
        if (TreatBudget::isTooYoung($dog)) {
            $limits[] = new Limit('age', 0.0, ['ageMonths' => $dog->ageMonths]);
        }
        [$pieces, $heldBy] = self::lowest($limits);
        if ($hasNew && $pieces !== null) {
            $ramp = $pieces * self::RAMP_FIRST_DAYS;
            $limits[] = new Limit('new-ingredient', $ramp, ['share' => self::RAMP_FIRST_DAYS, 'of' => $pieces]);
            if ($ramp < $pieces || $pieces === 0.0) {
                [$pieces, $heldBy] = [$ramp, $pieces === 0.0 ? $heldBy : 'new-ingredient'];
            }
        }

        return new self($dog, $energy, $budget, $limits, $pieces === null ? null : self::quarters($pieces), $heldBy, $findings);
    }

    /** Pieces a day that every limit allows, not rounded and before anything new is brought in slowly; null where nothing limits. */
    public function unrounded(): ?float
    {
        return self::lowest(array_values(array_filter($this->limits, static fn (Limit $limit): bool => $limit->code !== 'new-ingredient')))[0];
    }

    /** @return list<array{days: string, pieces: float}> how a food that is new is brought in; empty when nothing is new */
    public function ramp(): array
    {
        $full = $this->unrounded();
        if ($full === null || array_filter($this->limits, static fn (Limit $limit): bool => $limit->code === 'new-ingredient') === []) {
            return [];
        }

        return array_map(static fn (string $days, float $share): array => ['days' => $days, 'pieces' => self::quarters($full * $share)], array_keys(self::RAMP), self::RAMP);
    }

    /** Whether any piece at all is left under every limit. */
    public function isServed(): bool
    {
        return $this->pieces === null ? $this->energy->dailyKcal !== null : $this->pieces >= 0.25;
    }

    /** Rounded down to a quarter piece; a hair under a quarter by floating point counts as that quarter. */
    public static function quarters(float $pieces): float
    {
        return floor($pieces * 4 + 1e-9) / 4;
    }

    /**
     * @param  list<Limit>  $limits
     * @return array{?float, ?string}
     */
    private static function lowest(array $limits): array
    {
        $pieces = $heldBy = null;
        foreach ($limits as $limit) {
            if ($pieces === null || $limit->piecesPerDay < $pieces * (1 - 1e-12)) {
                [$pieces, $heldBy] = [$limit->piecesPerDay, $limit->code];
            }
        }

        return [$pieces, $heldBy];
    }

    /**
     * @param  array{code: string, substance: string, basis: string, caution: string, limit: string, unit: string, who: string, message: string, advice: string, source: string}  $row
     */
    private static function finding(Dog $dog, array $row, Level $level, ?float $value, float $threshold): DoseFinding
    {
        $shown = $value === null ? 'unknown' : (string) round($value, $value < 1 ? 2 : ($value < 20 ? 1 : 0));
        $verb = $level === Level::Limit ? 'the limit is' : 'caution from';

        return new DoseFinding($row['substance'], new Finding(
            $dog->name, $level, $row['code'], strtr($row['message'], ['{value}' => $shown]), $row['advice'],
            "$shown {$row['unit']} in {$dog->name}'s full ration; $verb $threshold", false, Sources::name($row['source']),
        ));
    }
}
