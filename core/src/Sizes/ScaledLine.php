<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

/** A line before and after scaling, and what is to be said of it. */
final readonly class ScaledLine
{
    public function __construct(public string $line, public string $to, public ?string $note) {}
}
