<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What one of the days after an occasion gives up for it; 0 kcal where only its fat is spread over that day. */
final readonly class Borrowed
{
    public function __construct(public int $daysAfter, public float $kcal) {}
}
