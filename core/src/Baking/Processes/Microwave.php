<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Processes;

/** Heated through by microwaves. */
final readonly class Microwave implements Process
{
    public function id(): string
    {
        return 'microwave';
    }

    public function label(): string
    {
        return 'in the microwave';
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
