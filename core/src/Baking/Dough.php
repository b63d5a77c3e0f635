<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data;
use MildBowl\Core\Range;

/** Everything weighed in one bowl: mass, energy, substances, wetness and feel. */
final readonly class Dough
{
    private const FAT_SHORTENS = 0.03;

    public Range $grams;

    public Range $kcal;

    /** Grams of everything but water. */
    public Range $solids;

    /** @var array<string, float> of the whole batch, best values */
    public array $substances;

    public ?float $wetness;

    /** @param  list<Portion>  $portions */
    public function __construct(public array $portions)
    {
        $byFood = $kcals = $dry = [];
        $substances = [];
        foreach ($portions as $portion) {
            // ranges of one ingredient go the same way; different ones are independent
            $id = $portion->ingredient->id;
            $byFood[$id] = isset($byFood[$id]) ? $byFood[$id]->plus($portion->grams) : $portion->grams;
            $solidShare = 1 - ($portion->ingredient->composition->waterG ?? 0.0) / 100;
            $dry[$id] = isset($dry[$id]) ? $dry[$id]->plus($portion->grams->times($solidShare)) : $portion->grams->times($solidShare);
            $kcal = $portion->kcal();
            if ($kcal !== null) {
                $kcals[$id] = isset($kcals[$id]) ? $kcals[$id]->plus($kcal) : $kcal;
            }
            foreach ($portion->substances as $substance => $amount) {
                $substances[$substance] = ($substances[$substance] ?? 0.0) + $amount;
            }
        }
        $this->grams = Range::sum($byFood);
        $this->kcal = Range::sum($kcals);
        $this->solids = Range::sum($dry);
        $this->substances = $substances;
        $this->wetness = $this->wetness();
    }

    /** A share of the bowl. */
    public function part(float $share): self
    {
        return $share === 1.0 ? $this : new self(array_map(static fn (Portion $portion): Portion => $portion->times($share), $this->portions));
    }

    /** Water ÷ uptake; null where nothing in the dough takes water up. */
    private function wetness(): ?float
    {
        $uptake = $flour = 0.0;
        $rows = Data::tables()['uptake'];
        foreach ($this->portions as $portion) {
            $row = $rows[$portion->ingredient->id] ?? null;
            if ($row !== null) {
                $uptake += $portion->grams->best * $row[0];
                $flour += $portion->grams->best;
            }
        }
        if ($uptake <= 0.0) {
            return null;
        }
        $fatPercent = ($this->substances['fatG'] ?? 0.0) / $flour * 100;
        $uptake *= max(0.5, 1 - self::FAT_SHORTENS * $fatPercent / 10);

        return ($this->substances['waterG'] ?? 0.0) / $uptake;
    }

    /** @return array<string, string>|null the row of feels.csv */
    private function feelRow(): ?array
    {
        if ($this->wetness === null) {
            return null;
        }
        foreach (Data::tables()['feels'] as $row) {
            if ($this->wetness < (float) $row['below']) {
                return $row;
            }
        }

        return null;
    }

    public function feel(): ?string
    {
        return $this->feelRow()['feel'] ?? null;
    }

    /** How the feel shows under the hand. */
    public function sign(): ?string
    {
        return $this->feelRow()['sign'] ?? null;
    }

    /** g per ml, by feel; without flour by how watery it is. */
    public function density(): float
    {
        $row = $this->feelRow();
        if ($row !== null) {
            return (float) $row['density'];
        }
        $water = $this->grams->best > 0 ? ($this->substances['waterG'] ?? 0.0) / $this->grams->best : 1.0;

        return $water > 0.8 ? 1.0 : 1.05;
    }

    /**
     * kcal in a gram of dough. An uncertain amount shifts it only as far as that food is richer or leaner than the whole.
     */
    public function kcalPerGram(): Range
    {
        if ($this->grams->best <= 0.0) {
            return Range::zero();
        }
        $mean = $this->kcal->best / $this->grams->best;
        $up = $down = 0.0;
        foreach ($this->portions as $portion) {
            $kcal = $portion->kcal();
            if ($kcal === null) {
                continue;
            }
            $more = ($kcal->high - $kcal->best) - $mean * ($portion->grams->high - $portion->grams->best);
            $less = ($kcal->low - $kcal->best) - $mean * ($portion->grams->low - $portion->grams->best);
            $up += max($more, $less, 0.0) ** 2;
            $down += max(-$more, -$less, 0.0) ** 2;
        }

        return Range::of(
            max(0.0, $mean - sqrt($down) / $this->grams->best),
            $mean,
            $mean + sqrt($up) / $this->grams->best,
        );
    }
}
