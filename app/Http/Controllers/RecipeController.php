<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RecipeRequest;
use App\Http\Resources\RecipeResource;
use App\Models\Recipe;
use App\Support\Judging;
use App\Support\Merge;
use App\Support\NewRow;
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

    public function store(RecipeRequest $request, Judging $judging, NewRow $new): JsonResponse
    {
        $recipe = Recipe::query()->create($request->columns() + $new->id());

        return (new RecipeResource($judging->judge($recipe)))->response()->setStatusCode(201);
    }

    public function show(Recipe $recipe): RecipeResource
    {
        return new RecipeResource($recipe);
    }

    public function update(RecipeRequest $request, Recipe $recipe, Judging $judging, Merge $merge): RecipeResource
    {
        Gate::authorize('update', $recipe);
        $recipe->update($merge->onto($recipe, $request->columns()));
        // a change of nothing that is judged leaves the verdict
        $isAsked = $recipe->wasChanged(['text', 'steps', 'texture', 'cut', 'portions', 'parts', 'without', 'confirmed', 'bound']);

        return new RecipeResource($isAsked ? $judging->judge($recipe) : $recipe->refresh());
    }

    public function destroy(Recipe $recipe): Response
    {
        Gate::authorize('delete', $recipe);
        $recipe->delete();

        return response()->noContent();
    }
}
