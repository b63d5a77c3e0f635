<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Bag;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Bag */
final class BagResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'version' => $this->version, 'number' => $this->number, 'title' => $this->title, 'content' => $this->content, 'batch' => $this->batch_id, 'lot' => $this->lot,
            'made' => $this->made->format('Y-m-d'), 'class' => $this->keeps['class'], 'because' => $this->because, 'dogs' => $this->for_dogs, 'note' => $this->note, 'ingredient' => $this->ingredient,
            'grams' => $this->grams, 'place' => $this->place_id, 'pieces' => $this->pieces, 'putPieces' => $this->put_pieces, 'bestBefore' => $this->best_before?->format('Y-m-d'),
            'bestBeforeAtMost' => $this->at_most?->format('Y-m-d'), 'frozen' => $this->frozen, 'thawedOn' => $this->thawed_on?->format('Y-m-d'), 'thawedDays' => $this->thawed_days, 'state' => $this->state,
            'endedAt' => $this->ended_at?->utc()->format('Y-m-d\TH:i:s.v\Z'),
        ];
    }
}
