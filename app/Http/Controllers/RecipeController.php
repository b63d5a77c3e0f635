<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RecipeRequest;
use App\Http\Resources\RecipeResource;
use App\Models\Recipe;
use App\Support\KitchenClock;
use App\Support\KitchenQuestion;
use App\Support\KitchenState;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Questions\RequestRefused;

final class RecipeController
{
    public function index(): AnonymousResourceCollection
    {
        return RecipeResource::collection(Recipe::query()->orderBy('title')->get());
    }

    public function store(RecipeRequest $request, KitchenQuestion $kitchen): JsonResponse
    {
        $recipe = Recipe::query()->create($request->columns());

        return (new RecipeResource(self::judge($recipe, $kitchen)))->response()->setStatusCode(201);
    }

    public function show(Recipe $recipe): RecipeResource
    {
        return new RecipeResource($recipe);
    }

    public function update(RecipeRequest $request, Recipe $recipe, KitchenQuestion $kitchen): RecipeResource
    {
        Gate::authorize('update', $recipe);
        $recipe->update($request->columns());

        return new RecipeResource(self::judge($recipe, $kitchen));
    }

    /**
     * Which version of rules and data judged what is kept, and what it said, for the dogs at the table that day in this kitchen: the same
     * question as the bench asks. A change of nothing that is judged leaves the verdict.
     */
    private static function judge(Recipe $recipe, KitchenQuestion $kitchen): Recipe
    {
        $asked = ['text', 'steps', 'texture', 'cut', 'portions', 'parts', 'without'];
        if ($recipe->wasRecentlyCreated || $recipe->wasChanged($asked)) {
            try {
                $answer = $kitchen->about($recipe);
                $verdict = $answer['verdict'];
                $judged = ['dataVersion' => $answer['dataVersion'], 'cleared' => is_array($verdict) && $verdict['cleared'] === true, 'on' => app(KitchenClock::class)->today()->format('Y-m-d'), 'of' => app(KitchenState::class)->mark()];
            } catch (RequestRefused) {
                // what cannot be judged yet is kept all the same
                $judged = null;
            }
            $recipe->update(['judged' => $judged]);
        }

        return $recipe->refresh();
    }

    public function destroy(Recipe $recipe): Response
    {
        Gate::authorize('delete', $recipe);
        $recipe->delete();

        return response()->noContent();
    }
}
