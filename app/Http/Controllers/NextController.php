<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\NextBakes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use MildBowl\Core\Questions\RequestRefused;

/** What to bake next. */
final class NextController
{
    private const MOST_DOGS = 500;

    /** @throws RequestRefused */
    public function __invoke(Request $request, NextBakes $next): JsonResponse
    {
        $said = $request->query('lacking') ?? '';
        $lacking = is_string($said) && $said !== '' ? explode(',', $said) : [];
        if (! is_string($said) || count($lacking) > self::MOST_DOGS || array_filter($lacking, static fn (string $id): bool => ! Str::isUuid($id)) !== []) {
            throw RequestRefused::outOfRange('/lacking', 'The dogs for whom nothing stands in the jars: their ids, with commas between.');
        }

        $bag = $request->query('bag');
        if ($bag !== null && (! is_string($bag) || ! Str::isUuid($bag))) {
            throw RequestRefused::outOfRange('/bag', 'The bag that is to be used up: its id.');
        }

        return new JsonResponse($next->all($lacking, $bag));
    }
}
