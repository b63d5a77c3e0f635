<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** A dog on the scale. */
final readonly class Weighing
{
    public function __construct(public ?float $ageMonths, public float $kg) {}
}
