<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\DogRequest;
use App\Http\Resources\DogResource;
use App\Models\Dog;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

final class DogController
{
    public function index(): AnonymousResourceCollection
    {
        return DogResource::collection(Dog::query()->orderBy('position')->orderBy('name')->get());
    }

    public function store(DogRequest $request): JsonResponse
    {
        $dog = Dog::query()->create($request->columns() + ['position' => (int) Dog::query()->max('position') + 1]);

        return (new DogResource($dog->refresh()))->response()->setStatusCode(201);
    }

    public function show(string $dog): DogResource
    {
        return new DogResource(Dog::query()->findOrFail($dog));
    }

    public function update(DogRequest $request, string $dog): DogResource
    {
        $found = Dog::query()->findOrFail($dog);
        Gate::authorize('update', $found);
        $found->update($request->columns());

        return new DogResource($found->refresh());
    }

    public function destroy(string $dog): Response
    {
        $found = Dog::query()->findOrFail($dog);
        Gate::authorize('delete', $found);
        $found->delete();

        return response()->noContent();
    }
}
