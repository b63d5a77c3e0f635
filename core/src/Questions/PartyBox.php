<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** A box or a tin that is filled for somebody: for a dog that is known, or for people whose dogs are not. */
final readonly class PartyBox
{
    public function __construct(public string $for, public ?Dog $dog, public string $treat, public float $pieces) {}
}
