<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** What one dog of a party gets, and what that takes. */
final readonly class PartyGuest
{
    /** @param  float  $pieces  it gets; nothing where it may have none */
    public function __construct(public Dog $dog, public float $pieces, public OccasionAnswer $answer) {}
}
