<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\KitchenClock;
use App\Support\ThawPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MildBowl\Core\Questions\RequestRefused;

/** Which bag to take out of the freezer when, from today on. */
final class ThawPlanController
{
    private const DAYS = 21;

    private const MOST = 60;

    /** @throws RequestRefused */
    public function __invoke(Request $request, ThawPlans $plans, KitchenClock $clock): JsonResponse
    {
        $days = $request->query('days', (string) self::DAYS);
        if (! is_string($days) || preg_match('/^\d{1,3}$/', $days) !== 1 || (int) $days < 1 || (int) $days > self::MOST) {
            throw RequestRefused::outOfRange('/days', 'This must be from 1 to '.self::MOST.' days.');
        }

        return new JsonResponse($plans->from($clock->today()->format('Y-m-d'), (int) $days));
    }
}
