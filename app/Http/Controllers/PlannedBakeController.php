<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\PlannedBakeResource;
use App\Models\PlannedBake;
use App\Models\Recipe;
use App\Support\KitchenClock;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\JarActReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;

/** Bakes that are planned: of each recipe one at a time, the latest word holds. */
final class PlannedBakeController
{
    /** Days ahead that a bake can be planned. */
    private const AHEAD = 366;

    public function index(): AnonymousResourceCollection
    {
        return PlannedBakeResource::collection(PlannedBake::open()->orderBy('on')->get());
    }

    /** @throws RequestRefused */
    public function store(Request $request, KitchenClock $clock, NewRow $new): JsonResponse
    {
        $said = Node::decode($request->getContent())->object(['recipeId', 'on']);
        $id = JarActReader::uuid($said->required('recipeId', 'The recipe'));
        $recipe = Recipe::query()->find($id) ?? throw RequestRefused::outOfRange('/recipeId', 'No recipe of this kitchen has this id.');
        $on = $this->on($said, $clock);
        $kept = PlannedBake::open()->where('recipe_id', $recipe->id)->first() ?? new PlannedBake($new->id() + ['recipe_id' => $recipe->id]);
        $kept->fill(['on' => $on]);
        $kept->save();

        return (new PlannedBakeResource($kept->refresh()))->response()->setStatusCode(201);
    }

    /** @throws RequestRefused */
    public function update(Request $request, PlannedBake $planned, KitchenClock $clock): PlannedBakeResource
    {
        Gate::authorize('update', $planned);
        $planned->update(['on' => $this->on(Node::decode($request->getContent())->object(['on']), $clock)]);

        return new PlannedBakeResource($planned);
    }

    /** @throws RequestRefused */
    private function on(Node $said, KitchenClock $clock): string
    {
        $on = $said->required('on', 'The day')->day()->iso;
        $today = $clock->today();

        return match (true) {
            $on < $today->format('Y-m-d') => throw RequestRefused::outOfRange('/on', 'That day is over: plan it for today or later.'),
            $on > $today->addDays(self::AHEAD)->format('Y-m-d') => throw RequestRefused::outOfRange('/on', 'That is more than a year away.'),
            default => $on,
        };
    }

    public function destroy(PlannedBake $planned): Response
    {
        Gate::authorize('delete', $planned);
        $planned->delete();

        return response()->noContent();
    }
}
