<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** The baker's own oven: whether a fan runs in it, and what the dial is set to. */
final readonly class Oven
{
    /** @param  ?float  $celsius  null where the recipe's own heat is to be taken */
    public function __construct(public ?float $celsius = null, public bool $fan = false) {}
}
