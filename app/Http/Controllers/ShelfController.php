<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\JudgeRequest;
use App\Models\Recipe;
use App\Support\Judging;
use App\Support\KitchenState;
use App\Support\Slips;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** The recipes as the shelf shows them, and what is said of them today. */
final readonly class ShelfController
{
    public function __construct(private Slips $slips) {}

    public function index(): Response
    {
        return new Response($this->slips->all(), headers: ['Content-Type' => 'application/json']);
    }

    /** Judges some anew whose verdict is out of date, for the dogs as they are today. */
    public function judge(JudgeRequest $request, Judging $judging, KitchenState $state): JsonResponse
    {
        $ids = $request->recipes();
        $mark = $state->mark();
        foreach (Recipe::query()->whereIn('id', $ids)->get() as $recipe) {
            /** @var Recipe $recipe */
            if (($recipe->judged['of'] ?? null) !== $mark) {
                $judging->judge($recipe);
            }
        }

        return new JsonResponse($this->slips->some($ids));
    }
}
