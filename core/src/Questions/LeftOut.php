<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** A dog that a rescue does not serve, and why. */
final readonly class LeftOut
{
    /** @param  ?string  $line  the line that stands against it; null where it is none */
    public function __construct(public Dog $dog, public ?string $line, public string $reason) {}
}
