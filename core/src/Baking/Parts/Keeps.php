<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

/** What of a part goes on: everything, a weighed mass, what runs through a sieve, what is left when the fat is poured off. */
final readonly class Keeps
{
    public function __construct(public ?float $grams = null, public bool $strained = false, public bool $drained = false) {}
}
