<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use MildBowl\Core\Clipping\ReadQuestion;
use MildBowl\Core\Dogs\ProfileQuestion;
use MildBowl\Core\Emergency\RaidQuestion;
use MildBowl\Core\Feeding\GiveAwayQuestion;
use MildBowl\Core\Feeding\OccasionQuestion;
use MildBowl\Core\Feeding\WeekQuestion;
use MildBowl\Core\Formulate\Formulate;
use MildBowl\Core\Formulate\Node;
use MildBowl\Core\Formulate\Request as Question;
use MildBowl\Core\Pantry\Nearest;
use MildBowl\Core\Screening\LabelQuestion;
use MildBowl\Core\Screening\RuleBook;
use MildBowl\Core\Sizes\ScaleQuestion;
use MildBowl\Core\Sizes\SizeQuestion;
use MildBowl\Core\Swaps\DoughQuestion;
use MildBowl\Core\Swaps\RescueQuestion;
use MildBowl\Core\Swaps\SwapsQuestion;

/** The questions that core answers by itself: no database is asked and nothing is kept. */
final class CoreController
{
    public function formulate(Request $request): JsonResponse
    {
        return self::json(Formulate::answer(Question::fromJson($request->getContent())));
    }

    public function read(Request $request): JsonResponse
    {
        return self::json(ReadQuestion::answer(Node::decode($request->getContent())));
    }

    public function label(Request $request): JsonResponse
    {
        return self::json(LabelQuestion::answer(Node::decode($request->getContent())));
    }

    public function raid(Request $request): JsonResponse
    {
        return self::json(RaidQuestion::answer(Node::decode($request->getContent())));
    }

    public function rescue(Request $request): JsonResponse
    {
        return self::json(RescueQuestion::answer(Node::decode($request->getContent())));
    }

    public function swaps(Request $request): JsonResponse
    {
        return self::json(SwapsQuestion::answer(Node::decode($request->getContent())));
    }

    public function dough(Request $request): JsonResponse
    {
        return self::json(DoughQuestion::answer(Node::decode($request->getContent())));
    }

    public function size(Request $request): JsonResponse
    {
        return self::json(SizeQuestion::answer(Node::decode($request->getContent())));
    }

    public function scale(Request $request): JsonResponse
    {
        return self::json(ScaleQuestion::answer(Node::decode($request->getContent())));
    }

    public function occasion(Request $request): JsonResponse
    {
        return self::json(OccasionQuestion::answer(Node::decode($request->getContent())));
    }

    public function week(Request $request): JsonResponse
    {
        return self::json(WeekQuestion::answer(Node::decode($request->getContent())));
    }

    public function giveAway(Request $request): JsonResponse
    {
        return self::json(GiveAwayQuestion::answer(Node::decode($request->getContent())));
    }

    public function profile(Request $request): JsonResponse
    {
        return self::json(ProfileQuestion::answer(Node::decode($request->getContent())));
    }

    public function rules(): JsonResponse
    {
        return self::json(RuleBook::all());
    }

    /** The three foods whose names come nearest to some words. */
    public function search(Request $request): JsonResponse
    {
        return self::json(Nearest::to(mb_substr((string) $request->query('words', ''), 0, 200)));
    }

    private static function json(mixed $answer): JsonResponse
    {
        return (new JsonResponse)->setEncodingOptions(JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE)->setData($answer);
    }
}
