<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Dried in moving air: never safe for raw meat by that alone. */
final readonly class Dried implements Process
{
    public function id(): string
    {
        return 'dried';
    }

    public function label(): string
    {
        return 'in the drier';
    }

    public function killsRaw(): bool
    {
        return false;
    }

    public function dries(): bool
    {
        return true;
    }

    public function texture(): string
    {
        return 'jerky';
    }
}
