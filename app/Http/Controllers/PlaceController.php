<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlaceRequest;
use App\Http\Resources\PlaceResource;
use App\Models\Place;
use App\Support\Jars;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** The kitchen's own places: jars and tins, fridges, freezers. */
final class PlaceController
{
    public function index(): AnonymousResourceCollection
    {
        return PlaceResource::collection(Place::query()->orderBy('position')->orderBy('name')->get());
    }

    public function store(PlaceRequest $request, NewRow $new): JsonResponse
    {
        $place = Place::query()->create($new->id() + $request->validated() + ['position' => (int) Place::query()->max('position') + 1]);

        return (new PlaceResource($place->refresh()))->response()->setStatusCode(201);
    }

    /** A room that is warmer or colder than before keeps its jars for another time. */
    public function update(PlaceRequest $request, Place $place, Jars $jars): PlaceResource
    {
        Gate::authorize('update', $place);
        $jars->mayBecome($place, $request->validated('kind'));
        $place->update($request->validated());

        return new PlaceResource($place);
    }

    public function destroy(Place $place, Jars $jars): Response
    {
        Gate::authorize('delete', $place);
        $jars->mayGo($place);
        $place->delete();

        return response()->noContent();
    }
}
