<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\KitchenRequest;
use App\Http\Resources\DogResource;
use App\Http\Resources\KitchenResource;
use App\Http\Resources\OwnFoodResource;
use App\Http\Resources\OwnNameResource;
use App\Http\Resources\OwnSwapResource;
use App\Http\Resources\PriceResource;
use App\Http\Resources\ProductResource;
use App\Http\Resources\RecipeResource;
use App\Models\Dog;
use App\Models\OwnFood;
use App\Models\OwnName;
use App\Models\OwnSwap;
use App\Models\Price;
use App\Models\Product;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
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
            'recipes' => RecipeResource::collection(Recipe::query()->orderBy('title')->get()),
        ]);
    }

    public function update(KitchenRequest $request): KitchenResource
    {
        $kitchen = $this->current->get();
        $kitchen->update($request->columns());

        return new KitchenResource($kitchen);
    }
}
