<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** Pieces of a bought treat, by its label. */
final readonly class GivenLabel
{
    /**
     * @param  ?float  $kcal  in a piece; null where the label does not say
     * @param  ?float  $grams  that a piece weighs
     * @param  array<string, float>  $substances  in a piece, as far as the label says
     * @param  ?string  $ingredients  its list
     */
    public function __construct(public Dog $dog, public string $name, public ?float $kcal, public ?float $grams, public array $substances, public ?string $ingredients, public float $pieces) {}
}
