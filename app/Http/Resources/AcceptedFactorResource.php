<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\AcceptedFactor;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin AcceptedFactor */
final class AcceptedFactorResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return ['id' => $this->id, 'version' => $this->version, 'oven' => $this->oven, 'class' => $this->class, 'of' => $this->of, 'factor' => $this->factor, 'says' => $this->says, 'by' => $this->by];
    }
}
