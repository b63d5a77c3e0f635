<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\TrialResource;
use App\Models\Dog;
use App\Models\Trial;
use App\Support\KitchenParts;
use App\Support\NewRow;
use App\Support\Trying;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MildBowl\Core\Contract\JarActReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\TrialReader;
use MildBowl\Core\Questions\RequestRefused;

/** Trials: a new food, one left out, only a few, one given again. */
final class TrialController
{
    public function index(): AnonymousResourceCollection
    {
        return TrialResource::collection(Trial::query()->orderBy('from')->orderBy('id')->get());
    }

    /** @throws RequestRefused in words, where it may not begin so */
    public function store(Request $request, NewRow $new, KitchenParts $parts, Trying $trying): JsonResponse
    {
        $said = Node::decode($request->getContent())->object(['dogId', 'kind', 'foods', 'from', 'days', 'vetSaid']);
        $dog = Dog::query()->find(JarActReader::uuid($said->required('dogId', 'The dog'))) ?? throw RequestRefused::outOfRange('/dogId', 'No dog of this kitchen has this id.');
        $id = $new->id()['id'] ?? (string) Str::uuid();
        $told = TrialReader::trial($said, $id, $parts->catalogue());
        $trying->begins($told, $dog);
        $kept = Trial::query()->create(['id' => $id, 'dog_id' => $dog->id, 'kind' => $told->kind->value, 'foods' => $told->foods, 'from' => $told->from->iso, 'days' => $told->days, 'vet_said' => $told->vetSaid]);

        return (new TrialResource($kept->refresh()))->response()->setStatusCode(201);
    }

    /** @throws RequestRefused in words, where it cannot have ended so, or cannot go on */
    public function update(Request $request, Trial $trial, Trying $trying): TrialResource
    {
        Gate::authorize('update', $trial);
        $said = Node::decode($request->getContent())->object(['outcome', 'endedOn', 'saw']);
        if (! property_exists($said->objectValue(), 'outcome')) {
            throw RequestRefused::missing('/outcome', 'How it went (null goes on with it)');
        }
        if ($said->get('outcome') === null) {
            $again = $trial->replicate()->fill(['id' => $trial->id, 'ended_on' => null, 'outcome' => null, 'saw' => null]);
            $trying->check($again);
            $trial->update(['ended_on' => null, 'outcome' => null, 'saw' => null]);
        } else {
            $trying->ends($trial, TrialReader::end($said));
        }

        return new TrialResource($trial->refresh());
    }

    public function destroy(Trial $trial): Response
    {
        Gate::authorize('delete', $trial);
        $trial->delete();

        return response()->noContent();
    }
}
