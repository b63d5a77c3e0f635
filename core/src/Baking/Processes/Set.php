<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Set by gelatin, agar or the fridge. */
final readonly class Set implements Process
{
    public function id(): string
    {
        return 'set';
    }

    public function label(): string
    {
        return 'set by gelatin or cold';
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
