<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Judging\Question;

/** One of the treats that share a week. */
final readonly class WeekTreat
{
    /** @param  float  $share  parts of each dog's day, against the shares of the others */
    public function __construct(public string $name, public float $share, public Question $question) {}
}
