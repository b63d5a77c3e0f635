<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\WeighingRequest;
use App\Http\Resources\WeighingResource;
use App\Models\Dog;
use App\Models\Weighing;
use App\Support\NewRow;
use App\Support\WeighBook;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** A dog's weight over time. The latest one is the weight its rations are worked out with. */
final class WeighingController
{
    public function index(Dog $dog): AnonymousResourceCollection
    {
        return WeighingResource::collection(Weighing::query()->with('dog')->where('dog_id', $dog->id)->orderBy('weighed_on')->get());
    }

    public function store(WeighingRequest $request, Dog $dog, NewRow $new): JsonResponse
    {
        Gate::authorize('update', $dog);
        $kept = WeighBook::write($dog, (string) $request->validated('on'), $request->kg(), $request->has('bodyCondition') ? ['body_condition' => $request->bodyCondition()] : [], $new->id());

        return (new WeighingResource($kept->refresh()->load('dog')))->response()->setStatusCode(201);
    }

    public function destroy(Dog $dog, Weighing $weighing): Response
    {
        Gate::authorize('delete', $weighing);
        abort_unless($weighing->dog_id === $dog->id, 404);
        $weighing->delete();

        return response()->noContent();
    }
}
