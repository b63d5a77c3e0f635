<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PhotoRequest;
use App\Models\Photo;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** Photographs of what was baked. One is never changed: another takes its place. */
final class PhotoController
{
    public function store(PhotoRequest $request, NewRow $new): JsonResponse
    {
        $id = $new->id()['id'] ?? (new Photo)->newUniqueId();
        $photo = new Photo(['id' => $id, 'media_type' => $request->mediaType(), 'bytes' => DB::raw("decode('".base64_encode($request->bytes())."', 'base64')")]);
        $photo->save();

        return new JsonResponse(['id' => $id], 201);
    }

    public function show(Photo $photo): Response
    {
        $bytes = is_resource($photo->bytes) ? (string) stream_get_contents($photo->bytes) : $photo->bytes;

        return new Response($bytes, headers: ['Content-Type' => $photo->media_type, 'Content-Disposition' => 'inline', 'Content-Security-Policy' => "default-src 'none'"]);
    }
}
