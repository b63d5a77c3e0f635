<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Turned in a pan or on an iron. */
final readonly class Griddle implements Process
{
    public function id(): string
    {
        return 'griddle';
    }

    public function label(): string
    {
        return 'on the griddle';
    }

    public function killsRaw(): bool
    {
        return true;
    }

    public function dries(): bool
    {
        return false;
    }

    public function texture(): string
    {
        return 'soft';
    }
}
