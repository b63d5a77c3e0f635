<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Dogs\Dog;

/** So many pieces a day for one dog. */
final readonly class Wish
{
    public function __construct(public Dog $dog, public float $piecesPerDay) {}

    /** Pieces for so many days. */
    public function pieces(int $days): int
    {
        return (int) ceil($this->piecesPerDay * $days - 1e-9);
    }
}
