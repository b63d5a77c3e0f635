<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Contract\Json;
use MildBowl\Core\Contract\Presenter;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Telling\RuleBook;

/** The questions that core answers by itself: no database is asked and nothing is kept. */
final class CoreController
{
    /** A question by its whole request; its name is the route's. */
    public function ask(Request $request, Contract $contract): JsonResponse
    {
        return self::json($contract->answer((string) $request->route()?->getName(), $request->getContent()));
    }

    public function rules(): JsonResponse
    {
        return self::json(Presenter::object(RuleBook::shipped()));
    }

    /** The three foods whose names come nearest to some words. */
    public function search(Request $request): JsonResponse
    {
        return self::json(Nearest::to(mb_substr((string) $request->query('words', ''), 0, 200)));
    }

    public static function json(mixed $answer): JsonResponse
    {
        return JsonResponse::fromJsonString(Json::of($answer));
    }
}
