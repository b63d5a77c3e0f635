<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\PriceResource;
use App\Models\Price;
use App\Support\KitchenParts;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\KitchenReader;
use MildBowl\Core\Contract\Node;

/** What this kitchen paid for its foods: one price a food, the latest. */
final class PriceController
{
    public function index(): AnonymousResourceCollection
    {
        return PriceResource::collection(Price::query()->orderBy('ingredient')->get());
    }

    public function store(Request $request, KitchenParts $parts, NewRow $new): JsonResponse
    {
        [$ingredient, $grams, $price] = KitchenReader::price(Node::decode($request->getContent()), $parts->catalogue());
        $kept = Price::query()->firstOrNew(['ingredient' => $ingredient], $new->id())->fill(['grams' => $grams, 'price' => $price]);
        $kept->save();

        return (new PriceResource($kept->refresh()))->response()->setStatusCode(201);
    }

    public function destroy(Price $price): Response
    {
        Gate::authorize('delete', $price);
        $price->delete();

        return response()->noContent();
    }
}
