<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AcceptedFactorRequest;
use App\Http\Resources\AcceptedFactorResource;
use App\Models\AcceptedFactor;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What was learned and accepted, by oven and class; taken back it holds no more. */
final class AcceptedFactorController
{
    public function index(): AnonymousResourceCollection
    {
        return AcceptedFactorResource::collection(AcceptedFactor::query()->orderBy('oven')->orderBy('class')->orderBy('of')->get());
    }

    public function store(AcceptedFactorRequest $request, NewRow $new): JsonResponse
    {
        $said = $request->validated();
        $one = AcceptedFactor::query()->firstOrNew(['oven' => $said['oven'], 'class' => $said['class'], 'of' => $said['of']], $new->id())->fill($said);
        $one->save();

        return (new AcceptedFactorResource($one->refresh()))->response()->setStatusCode(201);
    }

    public function destroy(AcceptedFactor $accepted): Response
    {
        Gate::authorize('delete', $accepted);
        $accepted->delete();

        return response()->noContent();
    }
}
