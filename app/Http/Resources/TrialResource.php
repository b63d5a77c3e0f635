<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Trial;
use App\Support\KitchenClock;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Trial */
final class TrialResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return $this->resource->told(app(KitchenClock::class)->today()->format('Y-m-d'));
    }
}
