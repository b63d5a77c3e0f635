<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** What somebody said a dog is to get at an occasion. */
final readonly class PartyShare
{
    /**
     * @param  ?string  $treat  its id; null: the first that it may have
     * @param  ?string  $pieces  how many, in words or figures; null: one, or as much of one as it may have
     */
    public function __construct(public Dog $dog, public ?string $treat, public ?string $pieces, public string $path) {}
}
