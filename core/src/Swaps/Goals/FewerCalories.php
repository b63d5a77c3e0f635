<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Sums;

/** So many percent fewer kcal in a piece than before: at the same cut, so in a gram of dough; where pieces are only counted, in the whole batch. */
final readonly class FewerCalories implements Goal
{
    public const PREFIX = 'fewer-calories';

    /** kcal that a gram of free liquid held back takes with it at most: egg. */
    private const MOST_HELD_BACK = 2.0;

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
        if ($target->isCounted) {
            // the whole batch, a share of it on every line; what is held back to dry it takes at most so much with it
            $over = $sums[Sums::KCAL] - (1 - $this->percent / 100) * $target->kcal / $target->lines;

            return [$over, $over - self::MOST_HELD_BACK * ($sums[Sums::FREE] - 0.5 * $target->wetness * $sums[Sums::UPTAKE])];
        }
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
        return $chosen->before->isCounted ? $chosen->kcal() <= (1 - $this->percent / 100) * $chosen->before->kcal : $chosen->kcalPerGram() <= $this->allowed($chosen->before);
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
