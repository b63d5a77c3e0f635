<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BatchRequest;
use App\Http\Resources\BatchResource;
use App\Http\Resources\BatchSlipResource;
use App\Models\Batch;
use App\Models\Recipe;
use App\Support\Batches;
use App\Support\NewRow;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MildBowl\Core\Questions\RequestRefused;

/** Batches: begun from a sheet, made, finished. What they were begun with never changes. */
final class BatchController
{
    private const MOST = 500;

    /** The newest first; of one recipe where it is named. */
    public function index(Request $request): AnonymousResourceCollection
    {
        $recipe = $request->query('recipe');
        $batches = Batch::query()->select(['kitchen_id', 'id', 'version', 'recipe_id', 'title', 'oven', 'begun_at', 'begun_by', 'summary'])->orderByDesc('begun_at')->limit(self::MOST);
        if (is_string($recipe)) {
            $batches->where('recipe_id', (Str::isUuid($recipe) ? Recipe::query()->findOrFail($recipe) : throw (new ModelNotFoundException)->setModel(Recipe::class))->id);
        }

        return BatchSlipResource::collection($batches->get());
    }

    /** @throws RequestRefused with the place in what was asked */
    public function store(BatchRequest $request, Batches $batches, NewRow $new): JsonResponse
    {
        return (new BatchResource($batches->begin(
            $request->asked(), $request->title(), $request->at(), (string) $request->validated('startAt'), (string) $request->validated('by'), $request->oven(), $new->id() + $request->room(),
        )))->response()->setStatusCode(201);
    }

    public function show(Batch $batch): BatchResource
    {
        return new BatchResource($batch);
    }

    public function destroy(Batch $batch): Response
    {
        Gate::authorize('delete', $batch);
        $batch->delete();

        return response()->noContent();
    }
}
