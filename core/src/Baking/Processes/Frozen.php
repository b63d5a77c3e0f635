<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Frozen: nothing raw dies of it. */
final readonly class Frozen implements Process
{
    public function id(): string
    {
        return 'frozen';
    }

    public function label(): string
    {
        return 'frozen';
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
        return 'frozen';
    }
}
