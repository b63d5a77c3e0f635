<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Keeping\Place;

/** What of a batch is to be put where. */
final readonly class PutAway
{
    /**
     * @param  float  $pieces  in all its bags together
     * @param  string  $path  of the request
     */
    public function __construct(public Place $place, public float $pieces, public int $bags, public string $path) {}
}
