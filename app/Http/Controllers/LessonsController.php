<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\Batches;
use Illuminate\Http\JsonResponse;

/** What the finished batches say of each oven, class by class, with the bakes it is told from. */
final class LessonsController
{
    public function __invoke(Batches $batches): JsonResponse
    {
        return new JsonResponse($batches->lessons());
    }
}
