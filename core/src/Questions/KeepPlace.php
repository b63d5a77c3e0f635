<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** How long a batch keeps in one place; not at all where the days are 0. */
final readonly class KeepPlace
{
    /** @param  int  $atMost  days that people may lengthen it to */
    public function __construct(public string $place, public int $days, public int $atMost, public ?string $bestBefore) {}
}
