<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\Dog;
use MildBowl\Core\Questions\RequestRefused;

/** The table that a batch is worked out for: core takes so many dogs at once, and no more can be seated. */
final readonly class Table
{
    public const SEATS = 50;

    public function hasRoom(): bool
    {
        return Dog::query()->where('at_table', true)->count() < self::SEATS;
    }

    /** @throws RequestRefused when every seat is taken */
    public function ask(): void
    {
        if (! $this->hasRoom()) {
            throw RequestRefused::outOfRange('/atTable', 'There are '.self::SEATS.' dogs at the table, and no more can be worked out for at once: let one go first.');
        }
    }
}
