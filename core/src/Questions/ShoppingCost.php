<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What a treat costs, by what its foods cost a gram. */
final readonly class ShoppingCost
{
    /**
     * @param  ?float  $known  of a batch, of the foods whose price is known; null where none is
     * @param  list<string>  $unknown  foods whose price nobody told
     * @param  ?float  $pieces  that come of a batch
     * @param  ?float  $aPiece  null where a price or the pieces are not known
     * @param  list<array{dog: string, piecesPerDay: float, aWeek: ?float}>  $dogs
     * @param  list<ShoppingSaving>  $savings  swaps that would make a batch cheaper, where that was asked
     */
    public function __construct(public string $name, public float $times, public ?float $known, public array $unknown, public ?float $pieces, public ?float $aPiece, public array $dogs, public array $savings) {}
}
