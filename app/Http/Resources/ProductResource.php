<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Product;
use App\Models\ProductReading;
use App\Support\KitchenParts;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MildBowl\Core\Screening\LabelDifference;

/** @mixin Product */
final class ProductResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $readings = $this->readings->values();
        $newest = $readings[0] ?? null;
        $before = $readings[1] ?? null;

        return [
            'id' => $this->id,
            'version' => $this->version,
            'name' => $this->name,
            'number' => $this->number,
            'ingredients' => $newest->ingredients ?? '',
            'readOn' => $newest?->read_on->format('Y-m-d'),
            'worst' => $newest->worst ?? 'unknown',
            'photoId' => $newest?->photo_id,
            'dataVersion' => $newest->data_version ?? '',
            'readings' => $readings->map(static fn (ProductReading $one): array => ['ingredients' => $one->ingredients, 'readOn' => $one->read_on->format('Y-m-d'), 'worst' => $one->worst, 'photoId' => $one->photo_id])->all(),
            'difference' => $newest === null || $before === null ? null : get_object_vars(LabelDifference::between($before->ingredients, $newest->ingredients, app(KitchenParts::class)->lines())),
        ];
    }
}
