<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\RecipeRequest;
use App\Http\Resources\DogResource;
use App\Http\Resources\RecipeResource;
use App\Models\Dog;
use App\Models\Recipe;
use Carbon\CarbonImmutable;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Questions\RequestRefused;

final class RecipeController
{
    public function index(): AnonymousResourceCollection
    {
        return RecipeResource::collection(Recipe::query()->orderBy('title')->get());
    }

    public function store(RecipeRequest $request): JsonResponse
    {
        $recipe = Recipe::query()->create($this->judged($request->columns()));

        return (new RecipeResource($recipe->refresh()))->response()->setStatusCode(201);
    }

    public function show(Recipe $recipe): RecipeResource
    {
        return new RecipeResource($recipe);
    }

    public function update(RecipeRequest $request, Recipe $recipe): RecipeResource
    {
        Gate::authorize('update', $recipe);
        $recipe->update($this->judged($request->columns(), $recipe));

        return new RecipeResource($recipe->refresh());
    }

    /**
     * Which version of rules and data judged what is kept, for the dogs at the table that day. What a change leaves as it was is judged
     * with it; a change of nothing that is judged leaves the verdict.
     *
     * @param  array<string, mixed>  $columns
     * @return array<string, mixed>
     */
    private function judged(array $columns, ?Recipe $kept = null): array
    {
        if ($kept !== null && array_intersect_key($columns, ['text' => 1, 'steps' => 1, 'texture' => 1]) === []) {
            return $columns;
        }
        $question = $columns + ['text' => $kept?->text, 'steps' => $kept?->steps, 'texture' => $kept?->texture];
        if (trim((string) $question['text']) === '') {
            return $columns + ['judged' => null];
        }
        $dogs = DogResource::collection(Dog::query()->where('at_table', true)->orderBy('position')->get())->resolve();
        $table = array_map(static fn (array $dog): array => array_diff_key($dog, ['id' => 1, 'bornOn' => 1, 'atTable' => 1, 'meals' => 1, 'weightSaid' => 1]), $dogs);
        try {
            $answer = app(Contract::class)->answer('formulate', json_encode(array_filter([
                'version' => 1, 'recipe' => ['text' => $question['text'], 'steps' => (string) $question['steps']], 'bake' => ['texture' => $question['texture']], 'dogs' => $table,
            ]), JSON_THROW_ON_ERROR));
        } catch (RequestRefused) {
            // what cannot be judged yet is kept all the same
            return $columns + ['judged' => null];
        }
        $verdict = $answer['verdict'];

        return $columns + ['judged' => ['dataVersion' => $answer['dataVersion'], 'cleared' => is_array($verdict) && $verdict['cleared'] === true, 'on' => CarbonImmutable::today()->format('Y-m-d')]];
    }

    public function destroy(Recipe $recipe): Response
    {
        Gate::authorize('delete', $recipe);
        $recipe->delete();

        return response()->noContent();
    }
}
