<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KitchenRequest;
use App\Http\Resources\ConfirmationResource;
use App\Http\Resources\DogResource;
use App\Http\Resources\KitchenResource;
use App\Http\Resources\OwnFoodResource;
use App\Http\Resources\OwnNameResource;
use App\Http\Resources\OwnSwapResource;
use App\Http\Resources\PriceResource;
use App\Http\Resources\ProductResource;
use App\Models\Confirmation;
use App\Models\Dog;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Price;
use App\Models\Product;
use App\Support\CurrentKitchen;
use App\Support\Journal;
use App\Support\Merge;
use Illuminate\Http\JsonResponse;

final readonly class KitchenController
{
    public function __construct(private CurrentKitchen $current) {}

    public function show(): JsonResponse
    {
        return new JsonResponse([
            'kitchen' => new KitchenResource($this->current->get()),
            'dogs' => DogResource::collection(Dog::query()->orderBy('position')->orderBy('name')->get()),
            'products' => ProductResource::collection(Product::query()->with('readings')->orderBy('name')->get()),
            'names' => OwnNameResource::collection(OwnName::query()->orderBy('words')->get()),
            'foods' => OwnFoodResource::collection(OwnFood::query()->orderBy('name')->get()),
            'swaps' => OwnSwapResource::collection(OwnSwap::query()->orderBy('out')->orderBy('in')->get()),
            'prices' => PriceResource::collection(Price::query()->orderBy('ingredient')->get()),
            'words' => ConfirmationResource::collection(Confirmation::query()->whereNull('taken_back_at')->where(fn ($query) => $query->whereNotNull('dog_id')->orWhereNotNull('product_id'))->orderBy('said_at')->get()),
            'number' => $this->current->get()->changed,
        ]);
    }

    public function update(KitchenRequest $request, Merge $merge, Journal $journal): KitchenResource
    {
        $kitchen = $this->current->get();
        $before = $kitchen->attributesToArray();
        $kitchen->fill($merge->onto($kitchen, $request->columns()));
        if ($kitchen->isDirty()) {
            $before = array_intersect_key($before, $kitchen->getDirty());
            $kitchen->version++;
            $kitchen->save();
            $journal->wrote($kitchen, $before);
        }

        return new KitchenResource($kitchen);
    }
}
