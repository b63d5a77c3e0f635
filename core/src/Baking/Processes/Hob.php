<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Simmered or boiled. */
final readonly class Hob implements Process
{
    public function id(): string
    {
        return 'hob';
    }

    public function label(): string
    {
        return 'on the hob';
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
        return 'none';
    }
}
