<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;

/**
 * "Oil 1 tbsp (rapeseed)", "milk 100 ml (oat)": what stands in brackets behind a food, or behind its amount, tells which one it is; so does
 * what stands behind a comma and a word for many foods: "flour, plain", "oil, sunflower".
 */
final class Bracketed
{
    /** Words in brackets that name a sort. */
    private const MOST_WORDS = 2;

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<string, array{string, int}>  $phrases
     * @param  array<int, bool>  $taken  tokens that belong to names; those in the brackets come to it
     * @return list<Mention>
     */
    public static function join(array $tokens, array $mentions, array $phrases, array &$taken): array
    {
        if (array_filter($tokens, static fn (Token $token): bool => in_array($token->text, ['(', '[', ','], true)) === []) {
            return $mentions;
        }
        foreach ($mentions as $m => $mention) {
            $isComma = ($tokens[$mention->to] ?? null)?->is(',') === true && Catalogue::isInGroup($mention->ingredient, ['category-word']);
            $open = $isComma ? $mention->to : self::opening($tokens, $mention->to);
            if ($open === null || $mention->within) {
                continue;
            }
            $inner = [];
            for ($k = $open + 1; isset($tokens[$k]) && ! ($isComma ? $tokens[$k]->kind === Token::MARK && ! $tokens[$k]->is('-') : $tokens[$k]->is(')', ']')); $k++) {
                if (! $isComma || ! $tokens[$k]->is('-')) {
                    $inner[] = $tokens[$k];
                }
            }
            if ($inner === [] || count($inner) > self::MOST_WORDS || (! $isComma && $k >= count($tokens)) || array_filter($inner, static fn (Token $token): bool => $token->kind !== Token::WORD) !== []) {
                continue;
            }
            $stems = array_map(static fn (Token $token): string => $token->stem, [...$inner, ...array_slice($tokens, $mention->from, $mention->to - $mention->from)]);
            $named = $phrases[implode(' ', $stems)][0] ?? '';
            if ($named === '') {
                continue;
            }
            $mentions[$m] = $isComma ? new Mention($named, $mention->from, $k, $mention->alternative) : $mention->as($named);
            for ($i = $open + 1; $i < $k; $i++) {
                $taken[$i] = true;
            }
            $mentions = array_filter($mentions, static fn (Mention $one): bool => $one->from <= $open || $one->to > $k);
        }

        return array_values($mentions);
    }

    /**
     * The bracket behind a food, with nothing but its amount between.
     *
     * @param  list<Token>  $tokens
     */
    private static function opening(array $tokens, int $from): ?int
    {
        for ($k = $from; $k < $from + 4 && isset($tokens[$k]); $k++) {
            if ($tokens[$k]->is('(', '[')) {
                return $k;
            }
            if ($tokens[$k]->kind !== Token::NUMBER && ! ($tokens[$k]->kind === Token::WORD && Unit::isNamed($tokens[$k]->stem))) {
                return null;
            }
        }

        return null;
    }
}
