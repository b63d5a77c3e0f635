<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** One dog's day within a week. */
final readonly class WeekDog
{
    /**
     * @param  ?string  $heldBy  in words; null where nothing is given
     * @param  list<string>  $cares  what its body asks of every treat
     * @param  list<WeekShare>  $treats  in the order of the treats
     */
    public function __construct(public Dog $dog, public ?float $budgetKcal, public float $kcal, public ?float $holdBackGrams, public ?string $heldBy, public array $treats, public array $cares) {}
}
