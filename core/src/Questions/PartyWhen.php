<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Values\Day;
use MildBowl\Core\Values\Minute;

/** When and how far away an occasion is, by the kitchen's own clock. */
final readonly class PartyWhen
{
    /**
     * @param  ?Minute  $at  the minute they eat; null: nobody said
     * @param  ?int  $transportMinutes  on the way there; null: nobody said
     * @param  float  $roomCelsius  of the kitchen
     */
    public function __construct(public Day $on, public ?Minute $at, public ?int $transportMinutes, public float $roomCelsius) {}

    public function leaves(): ?Minute
    {
        return $this->at?->after(-($this->transportMinutes ?? 0));
    }

    /** Whether work of so many minutes fits into the day before they leave. */
    public function fitsBefore(int $minutes): bool
    {
        $leaves = $this->leaves();

        return $leaves === null || substr($leaves->after(-$minutes)->iso, 0, 10) === $this->on->iso;
    }
}
