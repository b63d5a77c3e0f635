<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

/** What this kitchen paid for its foods, in its own money. */
final readonly class Prices
{
    /** @param  array<string, float>  $perGram  by ingredient */
    public function __construct(private array $perGram) {}

    /**
     * What a bowl costs, of the foods whose price is known, and the share of its mass they are; null when no price is known. Water is free.
     *
     * @param  array<string, float>  $grams  by ingredient
     * @return array{known: float, share: float}|null
     */
    public function of(array $grams): ?array
    {
        $known = $covered = $mass = 0.0;
        foreach ($grams as $id => $one) {
            $mass += $one;
            $perGram = $id === 'water' ? 0.0 : $this->perGram[$id] ?? null;
            if ($perGram !== null) {
                $known += $one * $perGram;
                $covered += $one;
            }
        }

        return $this->perGram === [] || $mass <= 0.0 ? null : ['known' => $known, 'share' => $covered / $mass];
    }
}
