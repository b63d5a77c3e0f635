<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Pantry\Prices;

/** What a treat comes to, to be compared. */
final readonly class SwapFigures
{
    /**
     * @param  ?string  $made  what can be made of the dough
     * @param  array{known: float, share: float}|null  $cost
     * @param  list<Ration>  $rations
     */
    private function __construct(public float $kcalPerPiece, public float $fatPerPiece, public ?float $wetness, public ?string $feel, public ?string $made, public ?array $cost, public array $rations) {}

    public static function of(Judgement $judgement, ?Prices $prices): self
    {
        $batch = $judgement->lots->main()->batch;
        $dough = $judgement->bowl->dough;
        $feel = $dough->feel();

        return new self($batch->pieceKcal->best, $batch->pieceSubstances['fatG'] ?? 0.0, $dough->wetness, $feel?->feel, $feel?->made, $prices?->of($dough->gramsByFood()), $judgement->rations);
    }
}
