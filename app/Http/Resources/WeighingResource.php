<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Weighing;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Weighing */
final class WeighingResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'dogId' => $this->dog_id, 'on' => $this->weighed_on->format('Y-m-d'), 'ageMonths' => $this->dog->ageMonths($this->weighed_on), 'kg' => $this->kg, 'bodyCondition' => $this->body_condition];
    }
}
