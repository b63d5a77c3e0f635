<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Confirmation;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Confirmation */
final class ConfirmationResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'version' => $this->version, 'code' => $this->code, 'level' => $this->level, 'line' => $this->line, 'dog' => $this->dog, 'dogId' => $this->dog_id, 'productId' => $this->product_id, 'holdsUntil' => $this->holds_until?->format('Y-m-d'), 'known' => $this->known, 'recipeTitle' => $this->recipe_title, 'words' => $this->words,
            'saidBy' => $this->said_by, 'dataVersion' => $this->data_version, 'saidAt' => $this->said_at->toIso8601String(), 'takenBackAt' => $this->taken_back_at?->toIso8601String(),
        ];
    }
}
