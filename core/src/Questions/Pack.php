<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** A food as it is sold: so many grams for so much, in the kitchen's own money. */
final readonly class Pack
{
    public function __construct(public string $ingredient, public float $grams, public float $price) {}
}
