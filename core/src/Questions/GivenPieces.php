<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** Pieces of a batch. */
final readonly class GivenPieces
{
    public function __construct(public Dog $dog, public string $batch, public float $pieces) {}
}
