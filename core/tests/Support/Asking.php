<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

use MildBowl\Core\Contract\Contract;
use MildBowl\Core\Contract\Node;
use MildBowl\Core\Contract\QuestionReader;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Pantry\Ingredient;

/** Asks the core as the console does, of one kitchen without anything of its own. */
final class Asking
{
    private static ?Contract $contract = null;

    private static ?Kitchen $kitchen = null;

    /** @return array<string, mixed> */
    public static function json(string $question, string $json): array
    {
        return (self::$contract ??= new Contract())->answer($question, $json);
    }

    /**
     * @param  array<string, mixed>  $request
     * @return array<string, mixed>
     */
    public static function of(string $question, array $request): array
    {
        return self::json($question, json_encode($request, JSON_THROW_ON_ERROR));
    }

    public static function question(string $json): Question
    {
        return QuestionReader::read(Node::decode($json), self::kitchen());
    }

    public static function kitchen(): Kitchen
    {
        return self::$kitchen ??= Kitchen::shipped();
    }

    public static function food(string $id): Ingredient
    {
        return self::kitchen()->catalogue->get($id);
    }
}
