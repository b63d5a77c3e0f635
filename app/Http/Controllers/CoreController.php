<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Request;
use Illuminate\Http\Response;
use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Contract\Json;
use MildBowl\Core\Contract\Presenter;
use MildBowl\Core\Contract\Vocabulary;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Questions\RequestRefused;
use MildBowl\Core\Telling\RuleBook;

/** The questions that core answers by itself: no database is asked and nothing is kept. */
final class CoreController
{
    /** A question by its whole request; its name is the route's. */
    public function ask(Request $request, Contract $contract): Response
    {
        return self::json($contract->answer((string) $request->route()?->getName(), $request->getContent()));
    }

    public function rules(): Response
    {
        return self::json(Presenter::object(RuleBook::shipped()));
    }

    public function vocabulary(): Response
    {
        return self::json(Vocabulary::all());
    }

    /**
     * The three foods whose names come nearest to some words.
     *
     * @throws RequestRefused when they are no text
     */
    public function search(Request $request): Response
    {
        $words = $request->query('words', '');
        if (! is_string($words)) {
            throw RequestRefused::wrongType('/words', 'text');
        }

        return self::json(Nearest::to(mb_substr($words, 0, 200)));
    }

    public static function json(mixed $answer): Response
    {
        return new Response(Json::of($answer), headers: ['Content-Type' => 'application/json']);
    }
}
