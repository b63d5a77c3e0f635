<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Place;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Place */
final class PlaceResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'name' => $this->name, 'kind' => $this->kind, 'celsius' => $this->celsius, 'position' => $this->position];
    }
}
