<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** An occasion as it can be. */
final readonly class PartyAnswer
{
    /**
     * @param  list<PartyServed>  $treats
     * @param  list<string>  $fewest  ids of the fewest treats that serve everybody who can be served
     * @param  list<PartyDog>  $guests
     * @param  list<PartyBoxed>  $boxes
     */
    public function __construct(public array $treats, public array $fewest, public bool $allServed, public array $guests, public array $boxes) {}
}
