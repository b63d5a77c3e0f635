<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\StockItemResource;
use App\Models\StockItem;
use App\Support\KitchenParts;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Contract\KitchenReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;

/** What is at hand: one word for each food, the latest. */
final class StockController
{
    public function index(): AnonymousResourceCollection
    {
        return StockItemResource::collection(StockItem::query()->orderBy('ingredient')->get());
    }

    /** @throws RequestRefused */
    public function store(Request $request, KitchenParts $parts, NewRow $new): JsonResponse
    {
        $said = Node::decode($request->getContent())->object(['ingredient', 'state']);
        $food = KitchenReader::food($said->required('ingredient', 'The food'), $parts->catalogue());
        $kept = StockItem::query()->firstOrNew(['ingredient' => $food], $new->id())->fill(['state' => $said->required('state', 'How it stands')->choice(StockItem::STATES)]);
        $kept->save();

        return (new StockItemResource($kept->refresh()))->response()->setStatusCode(201);
    }

    /** @throws RequestRefused */
    public function update(Request $request, StockItem $stock): StockItemResource
    {
        Gate::authorize('update', $stock);
        $stock->update(['state' => Node::decode($request->getContent())->object(['state'])->required('state', 'How it stands')->choice(StockItem::STATES)]);

        return new StockItemResource($stock);
    }

    public function destroy(StockItem $stock): Response
    {
        Gate::authorize('delete', $stock);
        $stock->delete();

        return response()->noContent();
    }
}
