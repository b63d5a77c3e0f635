<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** A box as it can be filled. */
final readonly class PartyBoxed
{
    /**
     * @param  ?string  $stops  why it must not be given; then it holds nothing
     * @param  ?float  $piecesPerDay  of the dog it is for; null where no dog is known
     * @param  ?string  $from  the day from which the dog may have of it
     * @param  ?int  $days  that it lasts the dog
     * @param  list<string>  $ask  what nobody asked the people of the dog yet
     * @param  ?string  $says  what is to be thought of: it lasts longer than it keeps
     */
    public function __construct(public string $for, public ?Dog $dog, public string $treat, public float $pieces, public ?string $stops, public ?float $piecesPerDay, public ?string $from, public ?int $days, public ?string $keepsUntil, public ?string $says, public array $ask = []) {}
}
