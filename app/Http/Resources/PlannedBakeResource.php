<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\PlannedBake;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin PlannedBake */
final class PlannedBakeResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'recipeId' => $this->recipe_id, 'on' => $this->on->format('Y-m-d'), 'batchId' => $this->batch_id];
    }
}
