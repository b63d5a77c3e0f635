<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps\Goals;

use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Policy;
use MildBowl\Core\Pantry\Ingredient;

/** What is not in the bowl but in the making: softer or harder out of the oven, or cut smaller. */
final readonly class Making implements Goal
{
    public const SOFTER = 'softer';

    public const HARDER = 'harder';

    public const SMALLER = 'smaller';

    /** From the hardest to the softest. */
    private const LADDER = ['hard', 'biscuit', 'chewy', 'soft'];

    public function __construct(private string $id) {}

    /** The texture that is asked for; null where the present one has no softer or harder neighbour. */
    public function texture(Texture $from): ?Texture
    {
        $at = array_search($from->id, self::LADDER, true);
        if ($at === false || $this->id === self::SMALLER) {
            return null;
        }
        $to = self::LADDER[$at + ($this->id === self::SOFTER ? 1 : -1)] ?? null;

        return $to === null ? null : Texture::of($to);
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
        return [];
    }

    public function isMet(Chosen $chosen): bool
    {
        return true;
    }

    public function narrowings(array $options): null
    {
        return null;
    }
}
