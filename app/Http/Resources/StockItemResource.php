<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\StockItem;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin StockItem */
final class StockItemResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'ingredient' => $this->ingredient, 'state' => $this->state];
    }
}
