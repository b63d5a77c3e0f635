<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Core;
use MildBowl\Core\Values\Range;

/** One step of the work while it is being planned; the schedule says when it begins. */
final class Task
{
    /** Minutes after the work began; null until it has its place. */
    public ?float $start = null;

    public ?string $hazard = null;

    /** Whether the oven does not wait for hands: whatever else they do is put down. */
    public bool $isUrgent = false;

    public ?string $tip = null;

    /** @var list<array{self, float}> the last of each softer lot that is to leave an oven before it, and how long it is in the heat itself */
    public array $outAfter = [];

    /** What it must reach inside. */
    public ?Core $core = null;

    /** °C of an oven without a fan; null where no oven is needed. */
    public ?int $celsius = null;

    /** What stands in the oven from its beginning on; null where it needs none, or goes in with another. */
    public ?Load $load = null;

    /**
     * @param  list<self>  $needs  what must be done before
     * @param  ?float  $within  minutes after the first of them began, for what happens while it goes on; null: after all of them
     */
    public function __construct(
        public readonly Kind $kind,
        public readonly string $text,
        public readonly Range $minutes,
        public readonly bool $byHand,
        public readonly ?string $part,
        public readonly ?string $lot = null,
        public array $needs = [],
        public readonly ?float $within = null,
    ) {}

    /** Whether it waits until the hands are free. */
    public function waitsForHands(): bool
    {
        return $this->byHand && $this->within === null && ! $this->isUrgent;
    }

    public function end(): float
    {
        return (float) $this->start + $this->minutes->best;
    }

    /** When it may begin; null while something it needs has no place yet. */
    public function mayBegin(): ?float
    {
        $from = 0.0;
        foreach ($this->needs as $need) {
            if ($need->start === null) {
                return null;
            }
            $from = max($from, $need->end());
        }
        foreach ($this->outAfter as [$softer, $minutes]) {
            if ($softer->start === null) {
                return null;
            }
            $from = max($from, $softer->end() + 1 - $minutes);
        }

        return $this->within === null ? $from : (float) $this->needs[0]->start + $this->within;
    }
}
