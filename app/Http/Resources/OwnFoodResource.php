<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\OwnFood;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MildBowl\Core\Pantry\OwnFood as CoreOwnFood;

/** @mixin OwnFood */
final class OwnFoodResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'ingredient' => CoreOwnFood::idOf($this->name), 'food' => ['name' => $this->name] + $this->fields];
    }
}
