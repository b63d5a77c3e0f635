<?php

declare(strict_types=1);

namespace App\Policies;

use App\Support\CurrentKitchen;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Database\Eloquent\Model;

/** Whoever works in a kitchen may change what belongs to it, and nothing else. Sign-in will narrow this. */
final readonly class OfThisKitchen
{
    public function __construct(private CurrentKitchen $current) {}

    public function update(?Authenticatable $person, Model $row): bool
    {
        return $row->getAttribute('kitchen_id') === $this->current->id();
    }

    public function view(?Authenticatable $person, Model $row): bool
    {
        return $this->update($person, $row);
    }

    public function delete(?Authenticatable $person, Model $row): bool
    {
        return $this->update($person, $row);
    }
}
