<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Batch;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A batch in short: as it stands in lists and strips.
 *
 * @mixin Batch
 */
final class BatchSlipResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'version' => $this->version, 'recipeId' => $this->recipe_id, 'title' => $this->title, 'oven' => $this->oven,
            'begunAt' => $this->begun_at->utc()->format('Y-m-d\TH:i:s.v\Z'), 'begunBy' => $this->begun_by,
            'lots' => array_map(static fn (array $lot): array => $lot + ['put' => 0.0], is_array($this->summary['lots'] ?? null) ? $this->summary['lots'] : []),
        ] + $this->summary;
    }
}
