<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Confirmation;
use App\Models\Dog;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Price;
use App\Models\Product;
use App\Models\Recipe;
use App\Models\Weighing;
use App\Support\CurrentKitchen;
use Illuminate\Contracts\Auth\Authenticatable;

/** Whoever works in a kitchen may change what belongs to it, and nothing else. Sign-in will narrow this. */
final readonly class OfThisKitchen
{
    public function __construct(private CurrentKitchen $current) {}

    public function update(?Authenticatable $person, Dog|Recipe|Product|OwnName|OwnFood|OwnSwap|Confirmation|Weighing|Price $row): bool
    {
        return $row->kitchen_id === $this->current->id();
    }

    public function delete(?Authenticatable $person, Dog|Recipe|Product|OwnName|OwnFood|OwnSwap|Confirmation|Weighing|Price $row): bool
    {
        return $this->update($person, $row);
    }
}
