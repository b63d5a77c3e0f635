<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RecipeRequest;
use App\Http\Resources\RecipeResource;
use App\Models\Recipe;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

final class RecipeController
{
    public function index(): AnonymousResourceCollection
    {
        return RecipeResource::collection(Recipe::query()->orderBy('title')->get());
    }

    public function store(RecipeRequest $request): JsonResponse
    {
        $recipe = Recipe::query()->create($request->columns());

        return (new RecipeResource($recipe->refresh()))->response()->setStatusCode(201);
    }

    public function show(string $recipe): RecipeResource
    {
        return new RecipeResource(Recipe::query()->findOrFail($recipe));
    }

    public function update(RecipeRequest $request, string $recipe): RecipeResource
    {
        $found = Recipe::query()->findOrFail($recipe);
        Gate::authorize('update', $found);
        $found->update($request->columns());

        return new RecipeResource($found->refresh());
    }

    public function destroy(string $recipe): Response
    {
        $found = Recipe::query()->findOrFail($recipe);
        Gate::authorize('delete', $found);
        $found->delete();

        return response()->noContent();
    }
}
