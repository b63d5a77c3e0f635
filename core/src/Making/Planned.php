<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

/** What was planned of a batch, as far as its log is held against it. */
final readonly class Planned
{
    /**
     * @param  array<string, array{kind: Kind, lot: ?string}>  $steps  by their ids
     * @param  array<string, array{count: float, doughGrams: float, bakedGrams: float}>  $lots  by their names; '' where there is one
     */
    public function __construct(public array $steps, public array $lots) {}

    /** @return array{count: float, doughGrams: float, bakedGrams: float} of a lot; of all where none is named */
    public function of(?string $lot): array
    {
        if ($lot !== null && isset($this->lots[$lot])) {
            return $this->lots[$lot];
        }

        return ['count' => array_sum(array_column($this->lots, 'count')), 'doughGrams' => array_sum(array_column($this->lots, 'doughGrams')), 'bakedGrams' => array_sum(array_column($this->lots, 'bakedGrams'))];
    }
}
