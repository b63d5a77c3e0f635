<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request as HttpRequest;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Request;

/** POST /api/formulate: the contract's question, answered by core; keeps nothing. */
final class FormulateController
{
    public function __invoke(HttpRequest $request): JsonResponse
    {
        return (new JsonResponse)->setEncodingOptions(JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE)
            ->setData(Formulate::answer(Request::fromJson($request->getContent())));
    }
}
