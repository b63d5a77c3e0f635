<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\BatchSlipResource;
use App\Models\Batch;
use App\Models\BatchEntry;
use App\Support\Batches;
use App\Support\LeftOvers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\LogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;

/** The log of a batch: entries are added, by whoever stands at the oven, and never changed. */
final class BatchEntryController
{
    /** @throws RequestRefused when it cannot be so; then the log stays as it was */
    public function store(Request $request, Batch $batch, Batches $batches): JsonResponse
    {
        Gate::authorize('update', $batch);
        $entry = LogReader::entry(Node::decode($request->getContent()));
        $kept = $batches->add($batch, $entry);

        return new JsonResponse(['entry' => $kept->told(), 'batch' => new BatchSlipResource($batch)], 201);
    }

    /** The figures of what was made, weighed and counted so far. */
    public function figures(Request $request, Batch $batch, Batches $batches): JsonResponse
    {
        return new JsonResponse($batches->figures($batch, $request->boolean('explain')));
    }

    /** What it leaves over, and what was said of it. */
    public function leftOver(Batch $batch, LeftOvers $leftOvers): JsonResponse
    {
        return new JsonResponse($leftOvers->of($batch));
    }

    /** @return list<array<string, mixed>> */
    public function index(Batch $batch): array
    {
        return array_values(array_map(static fn (BatchEntry $one): array => $one->told(), $batch->entries()->get()->all()));
    }
}
