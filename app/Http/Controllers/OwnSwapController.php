<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\OwnSwapResource;
use App\Models\OwnSwap;
use App\Support\KitchenParts;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\KitchenReader;
use MildBowl\Core\Contract\Node;

/** Swaps that this kitchen added, and what it thinks of known ones. Core decides what a swap can be. */
final class OwnSwapController
{
    public function index(): AnonymousResourceCollection
    {
        return OwnSwapResource::collection(OwnSwap::query()->orderBy('out')->orderBy('in')->get());
    }

    public function store(Request $request, KitchenParts $parts, NewRow $new): JsonResponse
    {
        $own = KitchenReader::swap(Node::decode($request->getContent()), $parts->catalogue());
        $kept = OwnSwap::query()->firstOrNew(['out' => $own->out, 'in' => $own->in], $new->id())->fill(['ratio' => $own->ratio, 'rating' => $own->rating, 'note' => $own->note]);
        $kept->save();

        return (new OwnSwapResource($kept->refresh()))->response()->setStatusCode(201);
    }

    public function destroy(OwnSwap $swap): Response
    {
        Gate::authorize('delete', $swap);
        $swap->delete();

        return response()->noContent();
    }
}
