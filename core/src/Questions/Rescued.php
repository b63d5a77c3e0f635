<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Swaps\Composed;

/** One rescue: the recipe as it would be written, and whom it serves. */
final readonly class Rescued
{
    /**
     * @param  list<Dog>  $served
     * @param  list<LeftOut>  $leftOut
     * @param  array{before: ?float, after: ?float}  $wetness
     * @param  bool  $optimal  whether it is proved that nothing costs less
     */
    public function __construct(public Composed $composed, public string $says, public array $served, public array $leftOut, public array $wetness, public float $cost, public bool $optimal) {}
}
