<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Illuminate\Contracts\Auth\Authenticatable;

/** Who works in a kitchen may back it up, put a backup in its place, and take things in from files. */
final readonly class KitchenPolicy
{
    public function __construct(private CurrentKitchen $current) {}

    public function backUp(?Authenticatable $person, Kitchen $kitchen): bool
    {
        return $kitchen->id === $this->current->id();
    }

    public function takeIn(?Authenticatable $person, Kitchen $kitchen): bool
    {
        return $this->backUp($person, $kitchen);
    }

    public function restore(?Authenticatable $person, Kitchen $kitchen): bool
    {
        return $this->backUp($person, $kitchen);
    }
}
