<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Sums;

/** So many percent fewer kcal in a gram than before. */
final readonly class FewerCalories implements Goal
{
    public const PREFIX = 'fewer-calories';

    public function __construct(private float $percent) {}

    public function id(): string
    {
        return self::PREFIX.':'.$this->percent;
    }

    public function forbids(Ingredient $food, Policy $policy): bool
    {
        return false;
    }

    public function forbidsFor(Dog $dog, Ingredient $food): bool
    {
        return false;
    }

    public function wants(Dog $dog): bool
    {
        return false;
    }

    /** Twice, as a bowl that is too wet and as one that is too dry will be mended: one of the two must hold. */
    public function over(array $sums, Target $target): array
    {
        $allowed = $this->allowed($target);
        $over = $sums[Sums::KCAL] - $allowed * $sums[Sums::MASS];
        $excess = $sums[Sums::FREE] - $target->wetness * $sums[Sums::UPTAKE];

        return [
            $over + $target->leastByDrying($allowed) * ($excess - $target->small * $sums[Sums::UPTAKE]),
            $over + $allowed * $excess,
        ];
    }

    public function isMet(Chosen $chosen): bool
    {
        return $chosen->kcalPerGram() <= $this->allowed($chosen->before);
    }

    public function narrowings(array $options): null
    {
        return null;
    }

    private function allowed(Target $target): float
    {
        return (1 - $this->percent / 100) * $target->kcalPerGram;
    }
}
