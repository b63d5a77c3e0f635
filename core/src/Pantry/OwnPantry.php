<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data;
use MildBowl\Core\Kitchen\Tokenizer;

/**
 * What one kitchen adds to the catalogue for the length of one question: foods of its own with a label's figures,
 * and its own words for foods that are known. Neither may take the name of something poisonous.
 */
final class OwnPantry
{
    /** @var array<string, Ingredient> */
    private static array $foods = [];

    /** @var array<string, array{string, int}> */
    private static array $phrases = [];

    /** @var array<string, int> */
    private static array $first = [];

    /**
     * @template T
     *
     * @param  array<string, Ingredient>  $foods  by id
     * @param  array<string, string>  $names  ingredient id by the words for it
     * @param  callable(): T  $ask
     * @return T
     */
    public static function during(array $foods, array $names, callable $ask): mixed
    {
        if ($foods === [] && $names === []) {
            return $ask();
        }
        [$outerFoods, $outerPhrases, $outerFirst] = [self::$foods, self::$phrases, self::$first];
        self::$foods = $foods;
        foreach ($names as $words => $id) {
            $key = Tokenizer::key((string) $words);
            self::$phrases[$key] = [$id, 0];
            $parts = explode(' ', $key);
            self::$first[$parts[0]] = max(self::$first[$parts[0]] ?? 0, count($parts));
        }
        try {
            return $ask();
        } finally {
            // a question asked within another leaves the outer one's pantry as it was
            [self::$foods, self::$phrases, self::$first] = [$outerFoods, $outerPhrases, $outerFirst];
        }
    }

    public static function isEmpty(): bool
    {
        return self::$phrases === [] && self::$foods === [];
    }

    public static function food(string $id): ?Ingredient
    {
        return self::$foods[$id] ?? null;
    }

    /** Most words of an own name that begins with this one. */
    public static function longest(string $stem): int
    {
        return self::$first[$stem] ?? 0;
    }

    /** @return array{string, int}|null */
    public static function phrase(string $key): ?array
    {
        return self::$phrases[$key] ?? null;
    }

    /** Whether these words already name something that is never allowed: no kitchen may rename that. */
    public static function isTaken(string $words): bool
    {
        $known = Data::tables()['lexicon']['phrases'][Tokenizer::key($words)][0] ?? '';
        if ($known === '') {
            return false;
        }
        $groups = Data::tables()['entries'][$known]['groups'] ?? [];
        foreach (Data::tables()['rules'] as $rule) {
            if ($rule['level'] === 'never' && array_filter($rule['groups'], static fn (string $group): bool => isset($groups[$group])) !== []) {
                return true;
            }
        }

        return false;
    }
}
