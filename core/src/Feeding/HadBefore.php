<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Values\Day;

/** What a dog had on an earlier day, as far as the rules of a week need it. */
final readonly class HadBefore
{
    public function __construct(public Dog $dog, public Day $on, private float $garlicG, private bool $predatorFish) {}

    /** @param  string  $of  a substance or a trait of weekly.csv */
    public function had(string $of): bool
    {
        return match ($of) {
            'garlicG' => $this->garlicG > 0.0,
            'predator-fish' => $this->predatorFish,
            default => throw new \LogicException("weekly.csv: nobody knows \"$of\"."),
        };
    }
}
