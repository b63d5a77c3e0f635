<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\OwnSwapResource;
use App\Models\OwnSwap;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Swaps\OwnSwap as Own;

/** Swaps that this kitchen added, and what it thinks of known ones. Core decides what a swap can be. */
final class OwnSwapController
{
    public function index(): AnonymousResourceCollection
    {
        return OwnSwapResource::collection(OwnSwap::query()->orderBy('out')->orderBy('in')->get());
    }

    public function store(Request $request): JsonResponse
    {
        $own = Own::one(Node::decode($request->getContent()));
        $kept = OwnSwap::query()->updateOrCreate(['out' => $own->out, 'in' => $own->in], ['ratio' => $own->ratio, 'rating' => $own->rating, 'note' => $own->note]);

        return (new OwnSwapResource($kept->refresh()))->response()->setStatusCode(201);
    }

    public function destroy(OwnSwap $swap): Response
    {
        Gate::authorize('delete', $swap);
        $swap->delete();

        return response()->noContent();
    }
}
