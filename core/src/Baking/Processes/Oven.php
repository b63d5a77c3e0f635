<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Baked. */
final readonly class Oven implements Process
{
    public function id(): string
    {
        return 'oven';
    }

    public function label(): string
    {
        return 'in the oven';
    }

    public function killsRaw(): bool
    {
        return true;
    }

    public function dries(): bool
    {
        return true;
    }

    public function texture(): string
    {
        return 'biscuit';
    }
}
