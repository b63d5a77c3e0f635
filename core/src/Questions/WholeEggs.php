<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** The same recipe scaled to the next whole egg. */
final readonly class WholeEggs
{
    public function __construct(public float $factor, public string $recipeText, public string $says) {}
}
