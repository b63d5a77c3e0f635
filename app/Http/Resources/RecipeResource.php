<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Dog;
use App\Models\Recipe;
use App\Support\KitchenState;
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
            'version' => $this->version,
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
            'tags' => $this->tags, 'favourite' => $this->favourite, 'photoId' => $this->photo_id, 'confirmed' => $this->confirmed, 'bound' => $this->bound,
            'judged' => $this->verdict($request),
            'updatedAt' => $this->updated_at->toIso8601String(),
        ];
    }

    /**
     * The verdict, as long as it is the true one: it goes when the dogs, the house rules, the foods or the labels it rested on change.
     *
     * @return array<string, mixed>|null
     */
    private function verdict(Request $request): ?array
    {
        $judged = $this->judged;
        if ($judged === null) {
            return null;
        }
        // worked out once for a whole shelf
        $mark = $request->attributes->get(KitchenState::class) ?? app(KitchenState::class)->mark();
        $request->attributes->set(KitchenState::class, $mark);

        if (($judged['of'] ?? null) !== $mark) {
            return null;
        }
        $atTable = Dog::query()->where('at_table', true)->pluck('id')->all();
        $for = is_array($judged['clearedFor'] ?? null) ? $judged['clearedFor'] : [];

        return ['cleared' => $atTable === [] ? $judged['clearedForAll'] === true : array_diff($atTable, $for) === []] + array_diff_key($judged, ['of' => 1, 'foods' => 1]);
    }
}
