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

    public function show(Recipe $recipe): RecipeResource
    {
        return new RecipeResource($recipe);
    }

    public function update(RecipeRequest $request, Recipe $recipe): RecipeResource
    {
        Gate::authorize('update', $recipe);
        $recipe->update($request->columns());

        return new RecipeResource($recipe->refresh());
    }

    public function destroy(Recipe $recipe): Response
    {
        Gate::authorize('delete', $recipe);
        $recipe->delete();

        return response()->noContent();
    }
}
