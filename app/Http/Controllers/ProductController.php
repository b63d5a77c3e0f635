<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ProductRequest;
use App\Http\Resources\ProductResource;
use App\Models\Product;
use App\Support\Merge;
use App\Support\NewRow;
use App\Support\ProductReadings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** The jars and tubs of this kitchen, each with every wording that was read on it. */
final class ProductController
{
    public function index(): AnonymousResourceCollection
    {
        return ProductResource::collection(Product::query()->with('readings')->orderBy('name')->get());
    }

    public function store(ProductRequest $request, NewRow $new, ProductReadings $readings): JsonResponse
    {
        $product = DB::transaction(function () use ($request, $new, $readings): Product {
            $product = Product::query()->create($request->safe()->only(['name', 'number']) + $new->id());
            if ($request->filled('ingredients')) {
                $readings->read($product, (string) $request->validated('ingredients'), $request->validated('photoId'));
            }

            return $product;
        });

        return (new ProductResource($product->load('readings')))->response()->setStatusCode(201);
    }

    public function show(Product $product): ProductResource
    {
        return new ProductResource($product->load('readings'));
    }

    public function update(ProductRequest $request, Product $product, Merge $merge, ProductReadings $readings): ProductResource
    {
        Gate::authorize('update', $product);
        DB::transaction(function () use ($request, $product, $merge, $readings): void {
            $product->update($merge->onto($product, $request->safe()->only(['name', 'number'])));
            if ($request->filled('ingredients')) {
                $readings->read($product, (string) $request->validated('ingredients'), $request->validated('photoId'));
            }
        });

        return new ProductResource($product->load('readings'));
    }

    public function destroy(Product $product): Response
    {
        Gate::authorize('delete', $product);
        $product->delete();

        return response()->noContent();
    }
}
