<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Feel;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Values\Day;

/** What the log says of one bake beside what was computed; null where nobody measured or nothing was computed. */
final readonly class Bake
{
    /**
     * @param  string  $class  of treat: what turns out alike in one kitchen
     * @param  ?float  $wetness  computed
     * @param  ?Feel  $felt  under the hand
     */
    public function __construct(
        public Day $on,
        public string $class,
        public ?float $plannedMinutes = null,
        public ?float $actualMinutes = null,
        public ?float $computedBakedGrams = null,
        public ?float $bakedGrams = null,
        public ?float $computedCount = null,
        public ?float $count = null,
        public ?float $wetness = null,
        public ?Feel $felt = null,
    ) {}

    /** What was ÷ what was computed; null where either is not known or nothing was computed. */
    public function factor(string $of): ?float
    {
        [$was, $computed] = match ($of) {
            Learned::MINUTES => [$this->actualMinutes, $this->plannedMinutes],
            Learned::MASS => [$this->bakedGrams, $this->computedBakedGrams],
            Learned::COUNT => [$this->count, $this->computedCount],
            Learned::WETNESS => [$this->felt?->middle(), $this->wetness],
            default => throw new \OutOfBoundsException("Nothing is learned of \"$of\"."),
        };

        return $was === null || $computed === null || $computed === 0.0 ? null : $was / $computed;
    }
}
