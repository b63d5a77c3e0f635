<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;

/** Says that the application answers, and nothing else. */
final class UpController
{
    public function __invoke(): Response
    {
        return response()->noContent();
    }
}
