<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\DiaryEntry;
use App\Support\Diary;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MildBowl\Core\Contract\DiaryReader;
use MildBowl\Core\Contract\JarActReader;
use MildBowl\Core\Contract\LogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;

/** What is seen of the dogs: written down, and taken back where it was a slip. */
final class DiaryController
{
    /** @throws RequestRefused in words, where it cannot be so */
    public function store(Request $request, Diary $diary): JsonResponse
    {
        return new JsonResponse($diary->write(DiaryReader::entry(Node::decode($request->getContent())))->told(false), 201);
    }

    /** @throws RequestRefused */
    public function takeBack(Request $request, string $entry, Diary $diary): JsonResponse
    {
        if (! Str::isUuid($entry)) {
            throw (new ModelNotFoundException)->setModel(DiaryEntry::class);
        }
        $kept = DiaryEntry::query()->where('id', $entry)->firstOrFail();
        Gate::authorize('update', $kept);
        $said = Node::decode($request->getContent())->object(['id', 'at', 'by']);
        $diary->takeBack($kept, JarActReader::uuid($said->required('id', 'The id of what is done')), new CarbonImmutable(LogReader::moment($said->required('at', 'When'))), trim($said->required('by', 'Who')->filled(60)));

        return new JsonResponse($kept->told(true), 201);
    }
}
