<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Printing\Sheet;
use Illuminate\Http\JsonResponse;
use MildBowl\Core\Contract\Choices;

/** What a person can choose from when describing a dog or a cut, and on what she can print. */
final class ChoicesController
{
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(Choices::all() + ['sheets' => Sheet::choices()]);
    }
}
