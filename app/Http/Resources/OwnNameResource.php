<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\OwnName;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin OwnName */
final class OwnNameResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'words' => $this->words, 'ingredient' => $this->ingredient];
    }
}
