<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ConfirmationRequest;
use App\Http\Resources\ConfirmationResource;
use App\Models\Confirmation;
use App\Models\Dog;
use App\Support\CurrentKitchen;
use App\Support\KitchenClock;
use App\Support\NewRow;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Support\Facades\Gate;
use MildBowl\Core\Data\Compiled;

/** Who said when that a label was read or a vet was asked, and what they were shown. Nothing here is ever deleted. */
final class ConfirmationController
{
    public function index(): AnonymousResourceCollection
    {
        return ConfirmationResource::collection(Confirmation::query()->latest('said_at')->limit(500)->get());
    }

    public function store(ConfirmationRequest $request, CurrentKitchen $kitchen, KitchenClock $clock, NewRow $new): JsonResponse
    {
        $said = $request->validated();
        $dog = isset($said['dogId']) ? Dog::query()->find($said['dogId']) : null;
        $isVets = $said['level'] === 'ask-vet' && $dog !== null;
        $kept = Confirmation::query()->create($new->id() + [
            'code' => $said['code'], 'level' => $said['level'], 'line' => $said['line'] ?? null, 'dog' => $said['dog'] ?? null, 'dog_id' => $said['dogId'] ?? null, 'recipe_title' => $said['recipeTitle'] ?? null,
            'words' => $said['words'], 'said_by' => $said['saidBy'] ?? $kitchen->get()->baker, 'data_version' => Compiled::version(), 'said_at' => $clock->now(),
            'holds_until' => $isVets ? $said['holdsUntil'] ?? $clock->today()->addYear()->format('Y-m-d') : null, 'known' => $isVets ? array_values(array_unique([...$dog->conditions, ...$dog->medicines])) : [],
            'product_id' => $said['productId'] ?? null,
        ]);

        return (new ConfirmationResource($kept->refresh()))->response()->setStatusCode(201);
    }

    /** Takes it back: the record stays, with the time. */
    public function destroy(Confirmation $confirmation): ConfirmationResource
    {
        Gate::authorize('delete', $confirmation);
        $confirmation->update(['taken_back_at' => $confirmation->taken_back_at ?? app(KitchenClock::class)->now()]);

        return new ConfirmationResource($confirmation->refresh());
    }
}
