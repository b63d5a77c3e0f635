<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Values\Day;

/** One thing that happened to a bag. */
final readonly class BagEvent
{
    /**
     * @param  ?float  $pieces  that came, left, or were counted
     * @param  ?Place  $place  where it stands from then on
     * @param  ?float  $celsius  of the room of that place, where it is known
     * @param  ?Day  $bestBefore  that somebody set
     * @param  ?Bag  $from  the bag that the pieces come out of, as it stood then
     * @param  ?string  $why  for Warmed: `thawed` or `stood`
     */
    public function __construct(public BagEventKind $kind, public Day $on, public ?float $pieces = null, public ?Place $place = null, public ?float $celsius = null, public ?Day $bestBefore = null, public ?Bag $from = null, public ?string $why = null) {}
}
