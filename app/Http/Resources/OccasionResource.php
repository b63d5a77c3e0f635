<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Occasion;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Occasion */
final class OccasionResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'version' => $this->version, 'name' => $this->name, 'on' => $this->on->format('Y-m-d'), 'at' => $this->at, 'place' => $this->place, 'transportMinutes' => $this->transport_minutes,
            'words' => $this->words, 'dogs' => $this->dogs, 'guests' => $this->guests, 'treats' => $this->treats, 'shares' => $this->shares, 'boxes' => $this->boxes,
        ];
    }
}
