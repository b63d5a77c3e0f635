<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\DogRequest;
use App\Http\Resources\DogResource;
use App\Models\Dog;
use App\Models\Weighing;
use App\Support\KitchenClock;
use App\Support\Merge;
use App\Support\NewRow;
use App\Support\Table;
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

    public function store(DogRequest $request, NewRow $new, Table $table): JsonResponse
    {
        $dog = Dog::query()->create($request->columns() + $new->id() + ['at_table' => $table->hasRoom(), 'position' => (int) Dog::query()->max('position') + 1]);

        $this->weighed($dog);

        return (new DogResource($dog->refresh()))->response()->setStatusCode(201);
    }

    public function show(Dog $dog): DogResource
    {
        return new DogResource($dog);
    }

    public function update(DogRequest $request, Dog $dog, Merge $merge, Table $table): DogResource
    {
        Gate::authorize('update', $dog);
        $columns = $merge->onto($dog, $request->columns());
        if (($columns['at_table'] ?? false) === true && ! $dog->at_table) {
            $table->ask();
        }
        $dog->update($columns);
        if ($dog->wasChanged('weight_kg')) {
            $this->weighed($dog);
        }

        return new DogResource($dog->refresh());
    }

    /** A weight that was entered is a weighing of today. */
    private function weighed(Dog $dog): void
    {
        if ($dog->weight_kg !== null) {
            Weighing::query()->updateOrCreate(['dog_id' => $dog->id, 'weighed_on' => app(KitchenClock::class)->today()->format('Y-m-d')], ['kg' => $dog->weight_kg]);
        }
    }

    public function destroy(Dog $dog): Response
    {
        Gate::authorize('delete', $dog);
        $dog->delete();

        return response()->noContent();
    }
}
