<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Support\Kinds;
use App\Support\Trash;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MildBowl\Core\Questions\RequestRefused;

/** What was taken away in the last thirty days, and bringing it back. */
final class TrashController
{
    public function index(Trash $trash): JsonResponse
    {
        return new JsonResponse($trash->all());
    }

    /** @throws RequestRefused when a newer one stands in its place */
    public function restore(string $kind, string $id, Trash $trash): JsonResponse
    {
        abort_unless(isset(Kinds::ROWS[$kind]) && Str::isUuid($id), 404);
        $row = (Kinds::ROWS[$kind])::withTrashed()->findOrFail($id);
        Gate::authorize('update', $row);
        if ($row->trashed()) {
            $trash->restore($kind, $row);
        }

        return new JsonResponse(Kinds::told($kind, [$id])[0] ?? null);
    }
}
