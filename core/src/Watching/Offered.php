<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Values\Day;

/** A treat that a dog was offered, and how it took it. */
final readonly class Offered
{
    /**
     * @param  list<string>  $foods  by id; what the catalogue does not know stands as it was written
     * @param  ?string  $texture  raw is one of them; null where nobody said
     */
    public function __construct(public Day $on, public How $how, public array $foods, public ?string $texture, public ?string $shape) {}
}
