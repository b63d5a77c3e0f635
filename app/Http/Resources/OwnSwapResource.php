<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\OwnSwap;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin OwnSwap */
final class OwnSwapResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'swap' => ['out' => $this->out, 'in' => $this->in, 'ratio' => $this->ratio, 'rating' => $this->rating, 'note' => $this->note]];
    }
}
