<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** Pieces put away in a place. */
final readonly class KeepBag
{
    /**
     * @param  float  $pieces  in all its bags together
     * @param  ?string  $bestBefore  null where it does not keep there
     */
    public function __construct(public string $place, public float $pieces, public int $bags, public ?string $bestBefore) {}
}
