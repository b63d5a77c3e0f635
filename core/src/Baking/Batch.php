<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Range;

/** A dough cut and baked: how many pieces, what one weighs and holds. */
final readonly class Batch
{
    public Range $count;

    public Range $pieceDoughGrams;

    public Range $pieceBakedGrams;

    public Range $pieceKcal;

    public Range $bakedGrams;

    public Range $kcal;

    /** @param  array{count: ?float, bakedGrams: ?float, wasteGrams: ?float}  $measured  weighed after cooling; overrules the estimate */
    public function __construct(public Dough $dough, Cut $cut, Texture $texture, array $measured)
    {
        $dough0 = $dough->grams;
        $estimate = $texture->bakedGrams($dough0, $dough->solids);
        $baked = $measured['bakedGrams'] === null ? $estimate : Range::exact($measured['bakedGrams']);
        // waste leaves with its share of energy
        $kept = $measured['wasteGrams'] !== null && $baked->best > 0 ? max(0.0, 1 - $measured['wasteGrams'] / ($baked->best + ($measured['bakedGrams'] === null ? 0.0 : $measured['wasteGrams']))) : 1.0;
        $this->kcal = $dough->kcal->times($kept);
        $this->bakedGrams = $measured['bakedGrams'] === null ? $baked->times($kept) : $baked;
        $fixed = $measured['count'] ?? $cut->count();
        if ($dough0->best <= 0.0) {
            $this->count = $this->pieceDoughGrams = $this->pieceBakedGrams = $this->pieceKcal = Range::zero();

            return;
        }
        if ($fixed !== null && $fixed > 0) {
            $this->count = Range::exact($fixed);
            $this->pieceDoughGrams = $dough0->times($kept / $fixed);
            $this->pieceBakedGrams = $this->bakedGrams->times(1 / $fixed);
            $this->pieceKcal = $this->kcal->times(1 / $fixed);

            return;
        }
        // every gram of dough ends in some piece but for the scraps that are lost
        $piece = (float) $cut->pieceMl() * $dough->density();
        $best = $dough0->best * $cut->used() * $kept / $piece;
        $this->count = $dough0->times($cut->used() * $kept / $piece);
        $this->pieceDoughGrams = Range::exact($piece);
        $pieceShare = $kept / $best;
        $ratio = $this->bakedGrams->best / $dough0->best;
        $this->pieceBakedGrams = Range::of(
            $piece * min($ratio, $this->bakedGrams->low / max($dough0->low, 0.001)),
            $piece * $ratio,
            $piece * max($ratio, $this->bakedGrams->high / max($dough0->high, 0.001)),
        );
        $perGram = $dough->kcalPerGram();
        $this->pieceKcal = $perGram->times($dough0->best * $pieceShare);
    }

    /**
     * What one piece holds of each substance, best values.
     *
     * @return array<string, float>
     */
    public function pieceSubstances(): array
    {
        $share = $this->dough->kcal->best > 0 ? $this->pieceKcal->best / $this->dough->kcal->best
            : ($this->count->best > 0 ? 1 / $this->count->best : 0.0);
        $piece = [];
        foreach ($this->dough->substances as $substance => $amount) {
            $piece[$substance] = $amount * $share;
        }

        return $piece;
    }
}
