<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Dose;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Swaps\Sums;

/** At most so much of something for 100 kcal: the limit that a dog who must be careful of it has. */
final readonly class Lean implements Goal
{
    /** @param  int  $column  of Sums */
    private function __construct(private string $id, private int $column, private float $per100kcal) {}

    public static function fat(): self
    {
        return new self('low-fat', Sums::FAT, Dose::limitOf('fat', 'pancreatitis'));
    }

    public static function sodium(): self
    {
        return new self('low-sodium', Sums::SODIUM, Dose::limitOf('sodium', 'heart'));
    }

    public function id(): string
    {
        return $this->id;
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

    public function over(array $sums, Target $target): array
    {
        return [$sums[$this->column] - $this->per100kcal / 100 * $sums[Sums::KCAL]];
    }

    public function isMet(Chosen $chosen): bool
    {
        return 100 * $chosen->sums[$this->column] / max(1.0, $chosen->sums[Sums::KCAL]) <= $this->per100kcal;
    }

    public function narrowings(array $options): null
    {
        return null;
    }
}
