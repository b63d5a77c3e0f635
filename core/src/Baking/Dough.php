<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Values\Range;

/** Everything weighed in one bowl: mass, energy, substances, wetness and feel. */
final readonly class Dough
{
    public Range $grams;

    public Range $kcal;

    /** kcal over the best guess, of foods whose composition nobody knows: what holds a ration. */
    public float $unknownKcal;

    /** Grams of everything but water. */
    public Range $solids;

    /** @var array<string, float> of the whole batch, best values */
    public array $substances;

    /** Free liquid ÷ uptake; null where nothing takes water up, and where meat is the body. */
    public ?float $wetness;

    /** g of dry binder on a g of meat; null where meat or fish is not the body. */
    public ?float $binding;

    /**
     * @param  list<Weighed>  $weighed
     * @param  float  $wetter  how much wetter such doughs turn out in this kitchen than computed, as it learned
     */
    public function __construct(public array $weighed, public float $wetter = 1.0)
    {
        $byFood = $kcals = $dry = [];
        $unknown = 0.0;
        $substances = [];
        foreach ($weighed as $portion) {
            // ranges of one ingredient go the same way; different ones are independent
            $id = $portion->ingredient->id;
            $byFood[$id] = isset($byFood[$id]) ? $byFood[$id]->plus($portion->grams) : $portion->grams;
            $solidShare = $portion->solidShare();
            $dry[$id] = isset($dry[$id]) ? $dry[$id]->plus($portion->grams->times($solidShare)) : $portion->grams->times($solidShare);
            $kcal = $portion->kcal();
            if ($kcal !== null) {
                $kcals[$id] = isset($kcals[$id]) ? $kcals[$id]->plus($kcal) : $kcal;
            }
            $unknown += $portion->unknownKcal();
            foreach ($portion->substances as $substance => $amount) {
                $substances[$substance] = ($substances[$substance] ?? 0.0) + $amount;
            }
        }
        $this->grams = Range::sum($byFood);
        $this->kcal = Range::sum($kcals);
        $this->solids = Range::sum($dry);
        $this->substances = $substances;
        $this->unknownKcal = $unknown;
        $this->binding = Binding::of($weighed);
        $this->wetness = $this->binding === null ? $this->wetness() : null;
    }

    /** A share of the bowl. */
    public function part(float $share): self
    {
        return $share === 1.0 ? $this : new self(array_map(static fn (Weighed $portion): Weighed => $portion->times($share), $this->weighed), $this->wetter);
    }

    private function wetness(): ?float
    {
        $uptake = $flour = $free = 0.0;
        foreach ($this->weighed as $one) {
            $free += $one->freeG;
            $takes = Uptake::of($one->ingredient);
            if ($takes > 0.0) {
                $uptake += $one->grams->best * $takes;
                $flour += $one->grams->best;
            }
        }

        return $uptake <= 0.0 ? null : $this->wetter * $free / ($uptake * Uptake::shortened($this->substances['fatG'] ?? 0.0, $flour));
    }

    /** What the hand says; null where nothing in it takes water up and meat is not its body. */
    public function feel(): ?Feel
    {
        return $this->binding === null ? Feel::at($this->wetness) : Feel::ofMeat($this->binding);
    }

    /** g per ml, by feel; without flour by how watery it is. */
    public function density(): float
    {
        $feel = $this->feel();
        if ($feel !== null) {
            return $feel->density;
        }
        $water = $this->grams->best > 0 ? ($this->substances['waterG'] ?? 0.0) / $this->grams->best : 1.0;

        return $water > 0.8 ? 1.0 : 1.05;
    }

    /** @return array<string, float> best grams by ingredient */
    public function gramsByFood(): array
    {
        $grams = [];
        foreach ($this->weighed as $one) {
            $grams[$one->ingredient->id] = ($grams[$one->ingredient->id] ?? 0.0) + $one->grams->best;
        }

        return $grams;
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
        foreach ($this->weighed as $portion) {
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
