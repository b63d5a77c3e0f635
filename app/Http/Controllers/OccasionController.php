<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OccasionRequest;
use App\Http\Resources\OccasionResource;
use App\Models\Occasion;
use App\Support\Invitation;
use App\Support\Merge;
use App\Support\NewRow;
use App\Support\OccasionGifts;
use App\Support\OccasionPlans;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Questions\RequestRefused;

/** Occasions: kept, planned while they are written, and invited to. */
final class OccasionController
{
    /** Days ahead that what is due for occasions is told at most. */
    private const AHEAD = 60;

    public function index(): AnonymousResourceCollection
    {
        return OccasionResource::collection(Occasion::query()->orderBy('on')->orderBy('name')->get());
    }

    public function store(OccasionRequest $request, NewRow $new): JsonResponse
    {
        $kept = Occasion::query()->create($new->id() + $request->columns());

        return (new OccasionResource($kept->refresh()))->response()->setStatusCode(201);
    }

    public function update(OccasionRequest $request, Occasion $occasion, Merge $merge): OccasionResource
    {
        Gate::authorize('update', $occasion);
        $occasion->update($merge->onto($occasion, $request->columns()));

        return new OccasionResource($occasion);
    }

    public function destroy(Occasion $occasion): Response
    {
        Gate::authorize('delete', $occasion);
        $occasion->delete();

        return response()->noContent();
    }

    /** @throws RequestRefused */
    public function plan(OccasionRequest $request, OccasionPlans $plans, OccasionGifts $gifts): JsonResponse
    {
        $occasion = self::written($request);
        $id = $request->of();
        if ($id !== null) {
            $occasion->id = $id;
        }

        return new JsonResponse(['plan' => $plans->of($occasion), 'written' => $gifts->of($occasion)]);
    }

    /** @throws RequestRefused */
    public function find(OccasionRequest $request, OccasionPlans $plans): JsonResponse
    {
        return new JsonResponse($plans->find(self::written($request)));
    }

    /** @throws RequestRefused when the days are none */
    public function due(Request $request, OccasionPlans $plans): JsonResponse
    {
        $days = $request->query('days', (string) self::AHEAD);
        if (! is_string($days) || preg_match('/^\d{1,3}$/', $days) !== 1 || (int) $days < 1 || (int) $days > self::AHEAD) {
            throw RequestRefused::outOfRange('/days', 'From 1 to '.self::AHEAD.' days ahead can be asked.');
        }

        return new JsonResponse($plans->due((int) $days));
    }

    /** @throws RequestRefused when the guest is not invited */
    public function invitation(Request $request, Occasion $occasion, Invitation $invitation): Response
    {
        Gate::authorize('view', $occasion);
        $guest = $request->query('guest');
        $as = $request->query('as');
        if ($guest !== null && ! is_string($guest)) {
            throw RequestRefused::outOfRange('/guest', 'Name one guest.');
        }

        return $as === 'txt'
            ? new Response($invitation->text($occasion, $guest), headers: ['Content-Type' => 'text/plain; charset=utf-8'])
            : new Response($invitation->calendar($occasion, $guest), headers: ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="invitation.ics"']);
    }

    /** What stands on the page, kept or not. */
    private static function written(OccasionRequest $request): Occasion
    {
        return new Occasion($request->columns() + ['at' => null, 'transport_minutes' => null, 'place' => '', 'words' => '', 'dogs' => [], 'guests' => [], 'treats' => [], 'shares' => [], 'boxes' => []]);
    }
}
