<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Dogs\Energy;
use MildBowl\Core\Dogs\TreatBudget;
use MildBowl\Core\Feeding\Doses;
use MildBowl\Core\Kitchen\Policy;

/**
 * The dogs at the table with what each may have in a day, worked out once so that the search can ask a million times.
 */
final readonly class Table
{
    /** Share of the budget under which what holds a ration hurts a dog; one that is ill it hurts from the first gram over its row. */
    private const HURTS = 0.5;

    private const HURTS_ILL = 1.0;

    /** @var list<string> */
    public array $substances;

    /** @var list<array{budget: float, caps: list<array{int, float, string, bool}>}|null> null: no ration in any recipe */
    private array $rations;

    /**
     * @param  list<Dog>  $dogs
     * @param  float  $finest  how many times smaller its pieces may still be cut
     */
    public function __construct(public array $dogs, private Policy $policy, private Cut $cut, public float $finest = 1.0)
    {
        $substances = [];
        $rations = [];
        $doses = Doses::all();
        foreach ($dogs as $dog) {
            $energy = Energy::of($dog, $policy->energySchool);
            $budget = TreatBudget::of($dog, $energy, $policy);
            if ($dog->weightKg === null || $dog->isBreeding() || $budget->kcal === null || TreatBudget::isTooYoung($dog)) {
                $rations[] = null;

                continue;
            }
            $caps = [];
            foreach ($doses->for($dog, $policy->garlic) as $dose) {
                $left = $dose->leftPerDay($dog, $budget->kcal, $energy->dailyKcal?->best);
                if ($left !== null) {
                    $substances[$dose->counted()] ??= count($substances);
                    $caps[] = [$substances[$dose->counted()], $left, $dose->code, $dose->isOfIllness()];
                }
            }
            $rations[] = ['budget' => $budget->left($dog) ?? 0.0, 'caps' => $caps];
        }
        $this->substances = array_map(strval(...), array_keys($substances));
        $this->rations = $rations;
    }

    public function hasRation(int $dog): bool
    {
        return $this->rations[$dog] !== null;
    }

    /**
     * Whether a bowl that is still being chosen could leave a dog a quarter piece: with the least that is to come, in the greatest mass.
     *
     * @param  array<int, float>  $sums
     * @param  list<float>  $least
     */
    public function mayStillServe(int $dog, array $sums, array $least, float $mass, float $density): bool
    {
        $ration = $this->rations[$dog];
        if ($ration === null) {
            return false;
        }
        $quarters = 4 * $this->finest * ($this->cut->count() ?? $mass * $this->cut->used() / ((float) $this->cut->pieceMl() * $density));
        if ($sums[Sums::KCAL] + $least[Sums::KCAL] > $ration['budget'] * $quarters) {
            return false;
        }
        foreach ($ration['caps'] as [$substance, $cap]) {
            if ($cap * $quarters < $sums[Sums::FIRST_DOSE + $substance] + $least[Sums::FIRST_DOSE + $substance]) {
                return false;
            }
        }

        return true;
    }

    /**
     * Pieces a day of a bowl, before the ramp for something new.
     *
     * @param  list<float>  $bowl
     */
    public function pieces(int $dog, array $bowl, float $density): float
    {
        $ration = $this->rations[$dog];
        $mass = $bowl[Sums::MASS];
        if ($ration === null || $mass <= 0.0) {
            return 0.0;
        }
        $count = $this->cut->count() ?? max(1e-9, $mass * $this->cut->used() / ((float) $this->cut->pieceMl() * $density));
        $pieces = $bowl[Sums::KCAL] > 0 ? $ration['budget'] * $count / $bowl[Sums::KCAL] : INF;
        foreach ($ration['caps'] as [$substance, $cap]) {
            $held = $bowl[Sums::FIRST_DOSE + $substance];
            if ($held > 0.0) {
                $pieces = min($pieces, $cap * $count / $held);
            }
        }

        return $pieces;
    }

    /**
     * What holds a dog's ration below what its budget allows: by the column of Sums, what is left of the budget under its cap.
     *
     * @param  list<float>  $bowl
     * @return array<int, array{float, bool}> only what hurts: the share, and whether it is a row of an illness
     */
    public function held(int $dog, array $bowl): array
    {
        $ration = $this->rations[$dog];
        $held = [];
        if ($ration === null || $ration['budget'] <= 0.0) {
            return [];
        }
        foreach ($ration['caps'] as [$substance, $cap, , $isIll]) {
            $brings = $bowl[Sums::FIRST_DOSE + $substance] * $ration['budget'];
            $share = $brings > 0.0 ? $cap * $bowl[Sums::KCAL] / $brings : 1.0;
            $from = $isIll ? self::HURTS_ILL : self::HURTS;
            if ($share < $from) {
                $held[Sums::FIRST_DOSE + $substance] = [$share / $from, $isIll];
            }
        }

        return $held;
    }

    /** What a column of Sums is called where it holds a dog. */
    public function codeOf(int $dog, int $column): string
    {
        foreach ($this->rations[$dog]['caps'] ?? [] as [$substance, , $code]) {
            if (Sums::FIRST_DOSE + $substance === $column) {
                return $code;
            }
        }

        return '';
    }

    /**
     * What may hurt a dog, as the search asks it: the column of Sums, what a kcal of the bowl allows of it, and what it costs when
     * nothing of the budget is left.
     *
     * @param  array<string, float>  $weights
     * @return list<array{int, float, float}>
     */
    public function hurting(int $dog, array $weights): array
    {
        $ration = $this->rations[$dog];
        $hurting = [];
        if ($ration === null || $ration['budget'] <= 0.0) {
            return [];
        }
        foreach ($ration['caps'] as [$substance, $cap, , $isIll]) {
            $hurting[] = [Sums::FIRST_DOSE + $substance, $cap / $ration['budget'] / ($isIll ? self::HURTS_ILL : self::HURTS), $weights[$isIll ? 'hurts-ill' : 'hurts']];
        }

        return $hurting;
    }

    /** kcal a dog has left for treats in a day; null where it has no ration. */
    public function budget(int $dog): ?float
    {
        $ration = $this->rations[$dog] ?? null;

        return $ration === null ? null : $ration['budget'];
    }

    /**
     * kcal in a piece at least, at the present cut.
     *
     * @param  float  $kcal  of the bowl at least
     * @param  float  $mass  at most
     */
    public function leastPieceKcal(float $kcal, float $mass, float $density): float
    {
        return $kcal / ($this->cut->count() ?? max(1e-9, $mass * $this->cut->used() / ((float) $this->cut->pieceMl() * $density)));
    }
}
