<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\BagResource;
use App\Models\LedgerEntry;
use App\Models\Loan;
use App\Support\BagShelf;
use App\Support\DayBook;
use App\Support\KitchenClock;
use App\Support\Ledger;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use MildBowl\Core\Contract\GiftReader;
use MildBowl\Core\Contract\JarActReader;
use MildBowl\Core\Contract\LogReader;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Values\Day;

/** The ledger of treats: what a day holds, what is given, what is taken back. */
final class LedgerController
{
    /** A day of the kitchen: today where none is named. */
    public function show(Request $request, DayBook $days, KitchenClock $clock): JsonResponse
    {
        $on = $request->query('on');
        if ($on !== null && (! is_string($on) || Day::read($on) === null)) {
            throw RequestRefused::outOfRange('/on', 'This must be a date such as 2026-05-14.');
        }

        return new JsonResponse($days->of($on ?? $clock->today()->format('Y-m-d')));
    }

    /** @throws RequestRefused when it cannot be */
    public function store(Request $request, Ledger $ledger, BagShelf $shelf): JsonResponse
    {
        $gift = GiftReader::gift(Node::decode($request->getContent()));

        return new JsonResponse($ledger->give($gift) + ['bags' => BagResource::collection($shelf->touchedBy($gift->id))->resolve()], 201);
    }

    /** @throws RequestRefused when nothing is to be borrowed */
    public function borrow(Request $request, Ledger $ledger): JsonResponse
    {
        $said = Node::decode($request->getContent())->object(['id', 'at', 'by', 'dog', 'on', 'ifOver']);

        return new JsonResponse($ledger->borrow(
            JarActReader::uuid($said->required('id', 'The id of what is done')), JarActReader::uuid($said->required('dog', 'The dog')), $said->required('on', 'The day')->day()->iso,
            new CarbonImmutable(LogReader::moment($said->required('at', 'When'))), trim($said->required('by', 'Who')->filled(60)), $said->get('ifOver')?->boolean() ?? false,
        ), 201);
    }

    /** @throws RequestRefused when there is nothing to take back */
    public function takeBack(Request $request, string $gift, Ledger $ledger, BagShelf $shelf): JsonResponse
    {
        if (! Str::isUuid($gift)) {
            throw (new ModelNotFoundException)->setModel(LedgerEntry::class);
        }
        $entry = Loan::query()->where('id', $gift)->first() ?? LedgerEntry::query()->where('gift', $gift)->firstOrFail();
        Gate::authorize('update', $entry);
        $said = Node::decode($request->getContent())->object(['id', 'at', 'by']);

        $day = $ledger->takeBack(
            $gift, JarActReader::uuid($said->required('id', 'The id of what is done')), new CarbonImmutable(LogReader::moment($said->required('at', 'When'))), trim($said->required('by', 'Who')->filled(60)),
        );

        return new JsonResponse($day + ['bags' => BagResource::collection($shelf->touchedBy($gift))->resolve()], 201);
    }
}
