<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OwnNameRequest;
use App\Http\Resources\OwnNameResource;
use App\Models\OwnName;
use App\Support\KitchenParts;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\KitchenReader;
use MildBowl\Core\Contract\Node;

/** What this kitchen calls its foods: a correction that is remembered. */
final class OwnNameController
{
    public function index(): AnonymousResourceCollection
    {
        return OwnNameResource::collection(OwnName::query()->orderBy('words')->get());
    }

    public function store(OwnNameRequest $request, KitchenParts $parts, NewRow $new): JsonResponse
    {
        $name = ['words' => mb_strtolower(trim((string) $request->validated('words'))), 'ingredient' => (string) $request->validated('ingredient')];
        KitchenReader::names(new Node([(object) $name], ''), $parts->catalogue());
        $kept = OwnName::query()->firstOrNew(['words' => $name['words']], $new->id())->fill($name);
        $kept->save();

        return (new OwnNameResource($kept->refresh()))->response()->setStatusCode(201);
    }

    public function destroy(OwnName $name): Response
    {
        Gate::authorize('delete', $name);
        $name->delete();

        return response()->noContent();
    }
}
