<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Values\Range;

/** One dog's day as it stands. */
final readonly class DayDog
{
    /**
     * @param  ?float  $budgetKcal  null where there is no reckoning
     * @param  array<string, Range>  $given  kcal, and every substance that is counted
     * @param  ?float  $leftKcal  negative when over
     * @param  list<DayMay>  $may  by batch, in the order of the request
     * @param  list<Finding>  $findings
     * @param  bool  $hadPredatorFish  for the rules of the days after
     * @param  list<string>  $ate  every food of what it was given, by id; what nobody knows as it was written
     */
    public function __construct(public Dog $dog, public ?float $budgetKcal, public array $given, public ?float $leftKcal, public array $may, public ?float $holdBackGrams, public bool $over, public array $findings, public bool $hadPredatorFish, public array $ate) {}
}
