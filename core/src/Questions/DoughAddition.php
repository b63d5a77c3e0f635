<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** So much of one food. */
final readonly class DoughAddition
{
    public function __construct(public string $ingredient, public float $grams, public string $text) {}
}
