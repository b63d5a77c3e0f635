<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Backup\BackupRefused;
use App\Backup\BackupShelf;
use App\Backup\KitchenJson;
use App\Backup\Reason;
use App\Support\CurrentKitchen;
use App\Support\KitchenClock;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The backups of this kitchen: made, fetched, brought in, restored, taken away. And everything in it as one JSON file. */
final class BackupController
{
    public function index(BackupShelf $shelf, CurrentKitchen $current): JsonResponse
    {
        return new JsonResponse(['kept' => $current->get()->backups_kept, 'backups' => array_map(self::told(...), $shelf->all($current->get()))]);
    }

    /** @throws BackupRefused */
    public function store(BackupShelf $shelf, CurrentKitchen $current): JsonResponse
    {
        Gate::authorize('backUp', $current->get());

        return $this->made($shelf, $current, $shelf->make($current->get(), Reason::ByHand));
    }

    /** @throws BackupRefused */
    public function bringIn(Request $request, BackupShelf $shelf, CurrentKitchen $current): JsonResponse
    {
        Gate::authorize('backUp', $current->get());
        $path = (string) tempnam(sys_get_temp_dir(), 'mildbowl');
        try {
            if (@file_put_contents($path, $request->getContent(true)) === false) {
                throw BackupRefused::noRoom('what was sent could not be put down');
            }

            return $this->made($shelf, $current, $shelf->bringIn($current->get(), $path));
        } finally {
            File::delete($path);
        }
    }

    /** @throws BackupRefused */
    public function show(string $backup, BackupShelf $shelf, CurrentKitchen $current): BinaryFileResponse
    {
        $name = $current->get()->slug.'-'.$backup;

        return (new BinaryFileResponse($shelf->path($current->get(), $backup), headers: ['Content-Type' => 'application/zip']))->setContentDisposition('attachment', $name);
    }

    /** @throws BackupRefused */
    public function restore(string $backup, BackupShelf $shelf, CurrentKitchen $current): JsonResponse
    {
        Gate::authorize('restore', $current->get());

        return new JsonResponse(['before' => $shelf->restore($current->get(), $shelf->path($current->get(), $backup))]);
    }

    /** @throws BackupRefused */
    public function destroy(string $backup, BackupShelf $shelf, CurrentKitchen $current): Response
    {
        Gate::authorize('restore', $current->get());
        File::delete($shelf->path($current->get(), $backup));

        return response()->noContent();
    }

    public function export(CurrentKitchen $current, KitchenClock $clock): StreamedResponse
    {
        $kitchen = $current->get();
        $name = $kitchen->slug.'-'.$clock->today()->format('Y-m-d').'.json';

        return new StreamedResponse(static fn () => KitchenJson::write($kitchen, $clock->now(), static function (string $part): void {
            echo $part;
        }), headers: ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    private function made(BackupShelf $shelf, CurrentKitchen $current, string $id): JsonResponse
    {
        foreach ($shelf->all($current->get()) as $one) {
            if ($one['id'] === $id) {
                return new JsonResponse(self::told($one), 201);
            }
        }
        throw BackupRefused::unknown();
    }

    /**
     * @param  array{id: string, made: string, reason: string, kitchen: ?string, bytes: int, rows: array<string, int>, usable: bool}  $one
     * @return array<string, mixed>
     */
    private static function told(array $one): array
    {
        return ['rows' => (object) $one['rows']] + $one;
    }
}
