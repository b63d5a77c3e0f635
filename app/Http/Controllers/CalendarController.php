<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use App\Support\KitchenCalendar;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Str;

/** The kitchen's calendar: a file to save, and a private address that a calendar can subscribe to. */
final readonly class CalendarController
{
    private const LENGTH = 40;

    public function __construct(private CurrentKitchen $current) {}

    public function show(KitchenCalendar $calendar): Response
    {
        return self::file($calendar->text());
    }

    /** Where it can be subscribed to; null until somebody asks for an address. */
    public function address(): JsonResponse
    {
        return new JsonResponse(['address' => self::addressOf($this->current->get())]);
    }

    /** A new address: the one before is of no use any more. */
    public function renew(): JsonResponse
    {
        $kitchen = $this->current->get();
        $kitchen->forceFill(['calendar_token' => Str::random(self::LENGTH)])->saveQuietly();

        return new JsonResponse(['address' => self::addressOf($kitchen)], 201);
    }

    /** Whoever knows the address reads the calendar, and nothing else. */
    public function subscribed(string $token, KitchenCalendar $calendar): Response
    {
        $kitchen = strlen($token) === self::LENGTH ? Kitchen::query()->where('calendar_token', $token)->first() : null;
        abort_if($kitchen === null, 404);
        $this->current->open($kitchen);

        return self::file($calendar->text());
    }

    private static function addressOf(Kitchen $kitchen): ?string
    {
        return $kitchen->calendar_token === null ? null : url("/calendar/{$kitchen->calendar_token}.ics");
    }

    private static function file(string $text): Response
    {
        return new Response($text, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="mild-bowl.ics"', 'Cache-Control' => 'private, no-store']);
    }
}
