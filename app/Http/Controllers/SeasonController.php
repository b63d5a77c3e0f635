<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Dog;
use App\Support\KitchenClock;
use App\Support\Seasons;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;

/** A dog's days beside each other, and all it was given on some of them. */
final readonly class SeasonController
{
    /** Ten weeks. */
    private const USUAL_DAYS = 70;

    private const MOST_DAYS = 1100;

    private const MOST_DAYS_OF_GIFTS = 93;

    public function __construct(private KitchenClock $clock) {}

    /** @throws RequestRefused */
    public function show(Request $request, Dog $dog, Seasons $seasons): JsonResponse
    {
        return new JsonResponse($seasons->of($dog, ...$this->days($request, self::MOST_DAYS)));
    }

    /** @throws RequestRefused */
    public function given(Request $request, Dog $dog, Seasons $seasons): JsonResponse
    {
        return new JsonResponse($seasons->given($dog, ...$this->days($request, self::MOST_DAYS_OF_GIFTS)));
    }

    /**
     * @return array{string, string} the first day and the last
     *
     * @throws RequestRefused
     */
    private function days(Request $request, int $most): array
    {
        $today = $this->clock->today();
        $read = static function (string $key, string $usual) use ($request): Day {
            $said = $request->query($key) ?? $usual;

            return (is_string($said) ? Day::read($said) : null) ?? throw RequestRefused::outOfRange("/$key", 'This must be a date such as 2026-05-14.');
        };
        $to = $read('to', $today->format('Y-m-d'));
        $from = $read('from', $to->after(1 - min($most, self::USUAL_DAYS))->iso);
        $days = $from->until($to) + 1;

        return match (true) {
            $days < 1 => throw RequestRefused::outOfRange('/to', 'This must be no earlier than the first day.'),
            $days > $most => throw RequestRefused::outOfRange('/from', "At most $most days at once."),
            default => [$from->iso, $to->iso],
        };
    }
}
