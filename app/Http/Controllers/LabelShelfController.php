<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Devices\LabelShelf;
use App\Devices\ShelfProduct;
use App\Support\Problem;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Looks a product up by its barcode number or its name. */
final class LabelShelfController
{
    public function __invoke(Request $request, LabelShelf $shelf): JsonResponse
    {
        $number = $request->query('number');
        $name = $request->query('name');
        if (is_string($number) && $number !== '') {
            $product = $shelf->byNumber($number);
            if ($product === null) {
                return Problem::response(404, 'not-found', 'No product on the label shelf has that number. Copy its list by hand.', '/number');
            }

            return new JsonResponse(['standIn' => $shelf->isStandIn(), 'products' => [$product->toArray()]]);
        }

        return new JsonResponse(['standIn' => $shelf->isStandIn(), 'products' => array_map(static fn (ShelfProduct $one): array => $one->toArray(), $shelf->byName(is_string($name) ? $name : ''))]);
    }
}
