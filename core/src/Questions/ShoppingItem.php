<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Values\Range;

/** A food on the list. */
final readonly class ShoppingItem
{
    /**
     * @param  ?Range  $grams  that are wanted in all; null where nobody knows how much ("some parsley")
     * @param  ?string  $state  at-hand, low or out, where somebody said so
     * @param  float  $haveGrams  that lie open in the kitchen
     * @param  ?float  $buyGrams  at most, after what lies open; 0 where enough does; null where nobody knows
     * @param  ?int  $packs  that are bought
     * @param  ?float  $price  of those packs
     * @param  list<string>  $for  treats
     * @param  ?int  $pieces  that are bought, of what is bought by the piece
     */
    public function __construct(
        public string $ingredient, public string $name, public string $aisle, public ?Range $grams, public ?string $state, public float $haveGrams, public ?float $buyGrams,
        public ?float $packGrams, public ?int $packs, public ?float $price, public array $for, public ?int $pieces,
    ) {}

    /** Whether nothing of it has to be bought. */
    public function isAtHand(): bool
    {
        return $this->buyGrams === 0.0;
    }
}
