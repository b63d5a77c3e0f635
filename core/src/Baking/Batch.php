<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Values\Range;

/** A dough cut and baked: how many pieces, what one weighs and holds. */
final readonly class Batch
{
    public Range $count;

    public Range $pieceDoughGrams;

    public Range $pieceBakedGrams;

    public Range $pieceKcal;

    public Range $bakedGrams;

    public Range $kcal;

    /** @var array<string, float> what one piece holds of each substance, best values */
    public array $pieceSubstances;

    public function __construct(public Dough $dough, Cut $cut, Texture $texture, Measured $measured = new Measured)
    {
        $dough0 = $dough->grams;
        $estimate = $texture->bakedGrams($dough0, $dough->solids);
        $baked = $measured->bakedGrams === null ? $estimate : Range::exact($measured->bakedGrams);
        $kept = $measured->keptOf($baked->best);
        $this->kcal = $dough->kcal->times($kept);
        $this->bakedGrams = $measured->bakedGrams === null ? $baked->times($kept) : $baked;
        $fixed = $measured->count ?? $cut->count();
        [$this->count, $this->pieceDoughGrams, $this->pieceBakedGrams, $this->pieceKcal] = match (true) {
            $dough0->best <= 0.0 => [Range::zero(), Range::zero(), Range::zero(), Range::zero()],
            $fixed !== null && $fixed > 0 => [Range::exact($fixed), $dough0->times($kept / $fixed), $this->bakedGrams->times(1 / $fixed), $this->kcal->times(1 / $fixed)],
            default => $this->cutBySize((float) $cut->pieceMl() * $dough->density(), $cut->used() * $kept, $kept),
        };
        $this->pieceSubstances = $this->inOnePiece();
    }

    /**
     * Every gram of dough ends in some piece but for the scraps that are lost.
     *
     * @return array{Range, Range, Range, Range} pieces, dough and baked grams of one, kcal of one
     */
    private function cutBySize(float $piece, float $used, float $kept): array
    {
        $dough = $this->dough->grams;
        $ratio = $this->bakedGrams->best / $dough->best;

        return [
            $dough->times($used / $piece),
            Range::exact($piece),
            Range::of(
                $piece * min($ratio, $this->bakedGrams->low / max($dough->low, 0.001)),
                $piece * $ratio,
                $piece * max($ratio, $this->bakedGrams->high / max($dough->high, 0.001)),
            ),
            $this->dough->kcalPerGram()->times($kept * $piece / $used),
        ];
    }

    /** @return array<string, float> */
    private function inOnePiece(): array
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
