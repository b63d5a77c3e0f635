<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Recipe;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Recipe */
final class RecipeResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'text' => $this->text,
            'steps' => $this->steps,
            'cut' => $this->cut,
            'texture' => $this->texture,
            'portions' => $this->portions, 'parts' => $this->parts, 'without' => $this->without,
            'parentId' => $this->parent_id,
            'notes' => $this->notes,
            'promoted' => $this->promoted,
            'source' => $this->source,
            'yield' => $this->yield,
            'prepMinutes' => $this->prep_minutes,
            'bakeMinutes' => $this->bake_minutes,
            'judged' => $this->judged,
            'updatedAt' => $this->updated_at->toIso8601String(),
        ];
    }
}
