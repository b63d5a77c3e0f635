<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Values\Day;

/** A bag as the plan of thawing sees it. */
final readonly class StoredBag
{
    /**
     * @param  float  $pieces  left in it
     * @param  bool  $isFrozen  else it is open: in a jar, in the fridge, thawed
     * @param  Day  $bestBefore  the last day that it is good on, as it lies now
     * @param  int  $thawedDays  it is good for once it is taken out, that day not counted
     */
    public function __construct(public string $id, public float $pieces, public bool $isFrozen, public Day $bestBefore, public int $thawedDays) {}
}
