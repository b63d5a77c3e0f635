<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

/** A food that a dog is brought to just now. */
final readonly class BroughtIn
{
    /** @param  int  $day  of its trial; 1 is the first */
    public function __construct(public string $name, public int $day) {}
}
