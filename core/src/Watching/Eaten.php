<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Values\Day;

/** What a dog ate on a day. */
final readonly class Eaten
{
    /** @param  list<string>  $foods  ingredients or groups by id; what the catalogue does not know stands as it was written */
    public function __construct(public Day $on, public array $foods) {}
}
