<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What one swap would save in a batch. */
final readonly class ShoppingSaving
{
    public function __construct(public string $line, public string $to, public float $saves, public string $recipeText, public string $steps) {}
}
