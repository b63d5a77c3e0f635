<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Used as it is mixed. */
final readonly class NoHeat implements Process
{
    public function id(): string
    {
        return 'none';
    }

    public function label(): string
    {
        return 'not heated';
    }

    public function killsRaw(): bool
    {
        return false;
    }

    public function dries(): bool
    {
        return false;
    }

    public function texture(): string
    {
        return 'none';
    }
}
