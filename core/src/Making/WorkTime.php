<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Values\Range;

/** How long a piece of the work takes by hand or by waiting: a row of work.csv. */
final readonly class WorkTime
{
    private function __construct(public Range $minutes, public bool $byHand) {}

    /**
     * @param  float  $times  how many lines, pieces or sheets there are of it, where it is told for one
     *
     * @throws \OutOfBoundsException when there is no such job
     */
    public static function of(string $job, float $times = 1.0): self
    {
        $row = Compiled::tables()['work'][$job] ?? throw new \OutOfBoundsException("There is no job \"$job\".");
        $minutes = Range::of($row['minutesLow'], $row['minutes'], $row['minutesHigh']);

        return new self($row['per'] === '' ? $minutes : $minutes->times(max(1.0, $times)), $row['hands']);
    }
}
