<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\Csv\Tables;
use App\Support\CurrentKitchen;
use App\Support\KitchenClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Questions\RequestRefused;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Tables of the kitchen as CSV, out and in. */
final class CsvController
{
    public function show(string $table, CurrentKitchen $current, KitchenClock $clock): StreamedResponse
    {
        $rows = Tables::text(Tables::named($table));
        $name = $current->get()->slug."-$table-".$clock->today()->format('Y-m-d').'.csv';

        return new StreamedResponse(static function () use ($rows): void {
            foreach ($rows as $row) {
                echo $row;
            }
        }, headers: ['Content-Type' => 'text/csv; charset=utf-8; header=present', 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    /**
     * What would become of each row; nothing is kept.
     *
     * @throws RequestRefused
     */
    public function look(Request $request, string $table, CurrentKitchen $current): JsonResponse
    {
        Gate::authorize('takeIn', $current->get());

        return new JsonResponse(Tables::take(Tables::named($table), self::content($request), true));
    }

    /** @throws RequestRefused */
    public function store(Request $request, string $table, CurrentKitchen $current): JsonResponse
    {
        Gate::authorize('takeIn', $current->get());

        return new JsonResponse(Tables::take(Tables::named($table), self::content($request), false));
    }

    private static function content(Request $request): string
    {
        $content = $request->json('content');

        return is_string($content) && trim($content) !== '' ? $content : throw RequestRefused::missing('/content', 'The content of the file');
    }
}
