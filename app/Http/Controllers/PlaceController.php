<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlaceRequest;
use App\Http\Resources\PlaceResource;
use App\Models\Place;
use App\Support\NewRow;
use App\Support\Rooms;
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
    public function update(PlaceRequest $request, Place $place, Rooms $rooms): PlaceResource
    {
        Gate::authorize('update', $place);
        $rooms->mayBecome($place, $request->validated('kind'));
        $place->fill($request->validated());
        if ($place->isDirty('kind') && ! $request->has('celsius')) {
            $place->celsius = null;
        }
        $isOther = $place->isDirty('celsius');
        $place->save();
        if ($isOther) {
            $rooms->roomIs($place);
        }

        return new PlaceResource($place);
    }

    public function destroy(Place $place, Rooms $rooms): Response
    {
        Gate::authorize('delete', $place);
        $rooms->mayGo($place);
        $place->delete();

        return response()->noContent();
    }
}
