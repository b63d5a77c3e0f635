<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Batch;
use App\Models\BatchEntry;
use App\Support\CurrentKitchen;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use MildBowl\Core\Contract\InUnits;

/**
 * A whole batch: what it was begun with, what was planned, and its log.
 *
 * @mixin Batch
 */
final class BatchResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $units = new InUnits(app(CurrentKitchen::class)->get()->houseUnits());

        return (new BatchSlipResource($this->resource))->toArray($request) + [
            'dataVersion' => $this->data_version, 'question' => json_decode($this->question), 'answer' => $units->answer((array) json_decode($this->answer, true)),
            'plan' => $units->answer((array) json_decode($this->plan, true)), 'corrected' => $this->log()->corrected(), 'entries' => array_map(static fn (BatchEntry $one): array => $one->told(), $this->entries()->get()->all()),
        ];
    }
}
