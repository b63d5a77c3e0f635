<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Dog;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Dog */
final class DogResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return $this->told() + [
            'bornOn' => $this->born_on?->format('Y-m-d'),
            'meals' => $this->meals,
            'weightSaid' => $this->weight_said,
            'atTable' => $this->at_table,
            'version' => $this->version,
        ];
    }
}
