<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Question;
use MildBowl\Core\Values\Day;

/** One treat that may be served at an occasion. */
final readonly class PartyTreat
{
    /** @param  ?Day  $bakeOn  the day on which the baker wants to bake it; null: she has not said */
    public function __construct(public string $id, public string $name, public Question $question, public ?Day $bakeOn = null) {}
}
