<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\OwnFoodResource;
use App\Models\OwnFood;
use App\Support\Merge;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request as HttpRequest;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\OwnFoodReader;
use MildBowl\Core\Kitchen\Kitchen;

/** Foods that this kitchen added from a label. Core reads them, and refuses what no food can be. */
final class OwnFoodController
{
    public function index(): AnonymousResourceCollection
    {
        return OwnFoodResource::collection(OwnFood::query()->orderBy('name')->get());
    }

    public function store(HttpRequest $request, NewRow $new): JsonResponse
    {
        $kept = OwnFood::query()->create($this->columns($request) + $new->id());

        return (new OwnFoodResource($kept->refresh()))->response()->setStatusCode(201);
    }

    public function update(HttpRequest $request, OwnFood $food, Merge $merge): OwnFoodResource
    {
        Gate::authorize('update', $food);
        $food->update($merge->onto($food, $this->columns($request)));

        return new OwnFoodResource($food->refresh());
    }

    public function destroy(OwnFood $food): Response
    {
        Gate::authorize('delete', $food);
        $food->delete();

        return response()->noContent();
    }

    /** @return array{name: string, fields: array<string, mixed>} */
    private function columns(HttpRequest $request): array
    {
        $node = Node::decode($request->getContent());
        $own = OwnFoodReader::one($node, Kitchen::shipped()->catalogue);
        /** @var array<string, mixed> $fields */
        $fields = json_decode($request->getContent(), true, 16, JSON_THROW_ON_ERROR);
        unset($fields['name']);

        return ['name' => trim($own->ingredient->name), 'fields' => $fields];
    }
}
