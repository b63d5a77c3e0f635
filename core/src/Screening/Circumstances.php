<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Dogs\Dog;

/** What a rule may ask about besides the food: heat, texture, policies and the dogs at the table. */
final readonly class Circumstances
{
    /** @param  list<Dog>  $dogs */
    public function __construct(
        public array $dogs,
        public string $texture,
        public bool $heated,
        public string $garlic,
        public bool $pseudoGrainsAreGrain,
    ) {}
}
