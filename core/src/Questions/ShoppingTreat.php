<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Question;

/** A treat that is to be baked: so many batches of it, or as many as the dogs eat in so many days. */
final readonly class ShoppingTreat
{
    /** @param  ?int  $days  null: it is told by batches */
    public function __construct(public string $name, public float $times, public ?int $days, public Question $question) {}
}
