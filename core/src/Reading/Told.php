<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;

/** Sentences among the rows: what tells of the work, what is only remarked, and what of a told sentence goes into the bowl. */
final class Told
{
    /** Words a sentence of the method may open with before its verb. */
    private const BEFORE = [
        'simply' => true, 'just' => true, 'now' => true, 'then' => true, 'next' => true, 'so' => true, 'okay' => true, 'ok' => true, 'first' => true, 'finally' => true, 'well' => true, 'and' => true,
        'gently' => true, 'carefully' => true, 'lightly' => true, 'quickly' => true, 'slowly' => true, 'also' => true, 'you' => true, 'we' => true, 'i' => true, 'lets' => true, 'ill' => true, 'im' => true,
        'well,' => true, 'please' => true, 'to' => true, 'can' => true, 'could' => true, 'should' => true, 'will' => true, 'want' => true, 'may' => true, 'might' => true, 'going' => true, 'gonna' => true,
        'youll' => true, 'youre' => true, 'were' => true, 'have' => true, 'like' => true, 'always' => true, 'again' => true, 'alright' => true, 'right' => true, 'must' => true, 'need' => true,
    ];

    /** Verbs that always tell of the work, however short the sentence. */
    private const PLAIN = ['mix', 'stir', 'bake', 'preheat', 'roll', 'combine', 'add', 'use', 'dust', 'knead', 'sprinkle', 'fold', 'beat', 'whisk', 'freeze', 'serve', 'chill', 'cool', 'blend', 'enjoy', 'top', 'dip', 'tip', 'pour'];

    /** Foods whose name is a verb too: "flour the board", "mince up the spinach", "butter the dish". */
    private const VERB_NOUNS = ['flour' => true, 'butter' => true, 'oil' => true, 'salt' => true, 'mince' => true, 'ice' => true, 'sugar' => true, 'pepper' => true, 'cream' => true, 'water' => true, 'juice' => true, 'spice' => true];

    private const CONDITIONAL = ['if' => true, 'when' => true, 'unless' => true, 'once' => true, 'should' => true, 'while' => true];

    /** What makes a row a sentence. */
    private const FUNCTION_WORDS = ['the', 'is', 'it', 'its', 'they', 'theyre', 'we', 'my', 'our', 'this', 'these', 'that', 'thats', 'are', 'was', 'you', 'your', 'i', 'im', 'be', 'to', 'so', 'he', 'she', 'has', 'have', 'will', 'them', 'there', 'as', 'because', 'do', 'does'];

    /** A step opens with a cooking verb that is not part of a food's name ("cream cheese", "ground oats"). */
    public static function isOfMethod(Words $words): bool
    {
        $verbs = Compiled::tables()['verbs'];
        $tokens = $words->tokens;
        $count = count($tokens);
        $first = 0;
        $opens = false;
        while ($first < $count && ($tokens[$first]->kind === Token::MARK || isset(self::BEFORE[$tokens[$first]->text])) && ! isset($words->taken[$first])) {
            $opens = $opens || isset($verbs[$tokens[$first]->text]);
            $first++;
        }
        $token = $tokens[$first] ?? null;
        $next = $tokens[$first + 1] ?? null;
        if ($token === null || $token->kind !== Token::WORD || $next === null) {
            return false;
        }
        if (isset(self::VERB_NOUNS[$token->text]) && $next->is('the', 'your', 'up', 'it', 'them', 'both', 'each', 'lightly', 'well', 'a')) {
            return true;
        }
        foreach ($words->mentions as $mention) {
            if ($mention->from === $first && ! $mention->ambiguous) {
                return false;
            }
        }
        if (! isset($verbs[$token->text])) {
            // "it is done when the egg is set"
            return $opens && $words->amounts === [] && $count > 3;
        }

        // "dry oats" or "whole mix" would be a line; an imperative takes an article, a preposition, an amount or a food
        return $count - $first > 3 || $next->is('the', 'it', 'all', 'well', 'in', 'with', 'out', 'up', 'until', 'for', 'to', 'together', 'them')
            || in_array($token->text, self::PLAIN, true);
    }

    /** Whether a row without a food and without an amount says nothing of one: "Makes 24", "Happy baking", "My dog loves these!". */
    public static function isRemark(Words $words): bool
    {
        $known = $function = $count = 0;
        foreach ($words->tokens as $i => $token) {
            if ($token->kind === Token::ODD) {
                return false;
            }
            if ($token->kind === Token::WORD) {
                $count++;
                $known += LineReader::isHarmless($token) || isset($words->taken[$i]) ? 1 : 0;
                $function += in_array($token->text, self::FUNCTION_WORDS, true) ? 1 : 0;
            }
        }
        if ($count === $known) {
            return true;
        }
        $end = $words->tokens[count($words->tokens) - 1] ?? null;

        return $count >= 4 && $function >= 1 && $end?->is('.', '!', '?') === true && $known >= $count / 2;
    }

    /**
     * What of a sentence of the method goes into the bowl: each amount of food, and each food of their list without one. A part of what is
     * there already ("a little of the flour") is none.
     *
     * @return list<Clause>
     */
    public static function servings(Words $words, Catalogue $catalogue): array
    {
        $first = $words->tokens[0] ?? null;
        $kept = array_values(array_filter($words->kept(), static fn (Mention $one): bool => ! ($one->ambiguous && Catalogue::isInGroup($one->ingredient, ['composite-head']))));
        if ($kept === [] || $words->amounts === [] || ($first !== null && isset(self::CONDITIONAL[$first->text]))) {
            return [];
        }
        $clauses = [];
        $any = false;
        foreach (Clauses::of($words, $catalogue) as $clause) {
            $within = static fn (Amount|Mention $one): bool => $one->from >= $clause->from && $one->to <= $clause->to;
            $foods = array_values(array_filter($kept, static fn (Mention $one): bool => $within($one) && ! $one->within));
            $amounts = array_values(array_filter($words->amounts, static fn (Amount $one): bool => $within($one) && self::servesFood($one, $kept, $words->tokens)));
            if ($foods === [] || ($amounts === [] && $clause->shared === [] && (! $any || self::isThere($words->tokens, $foods[0])))) {
                continue;
            }
            $any = true;
            $clauses[] = self::trimmed($words, $foods, $amounts, $clause);
        }

        return $any ? $clauses : [];
    }

    /**
     * @param  list<Mention>  $mentions
     * @param  list<Token>  $tokens
     */
    private static function servesFood(Amount $amount, array $mentions, array $tokens): bool
    {
        $before = $tokens[$amount->from - 1] ?? null;
        $isPlace = $before?->is('into', 'on', 'onto', 'over', 'to') === true || ($before?->is('in') === true && ! isset(Compiled::tables()['verbs'][$tokens[$amount->from - 2]->text ?? '']));
        if ($isPlace) {
            return $amount->unit !== 'tin' && $amount->unit !== 'packet' && $amount->unit !== 'each' && self::isFollowed($amount, $mentions);
        }
        foreach ($mentions as $mention) {
            if ($mention->from >= $amount->from && $mention->from <= $amount->to + 4 && ! self::isThere($tokens, $mention)) {
                return true;
            }
            // "some oats, two cups of them"
            if ($mention->to <= $amount->from && $amount->from <= $mention->to + 4 && $amount->unit !== 'each') {
                return true;
            }
        }

        return false;
    }

    /** @param  list<Mention>  $mentions */
    private static function isFollowed(Amount $amount, array $mentions): bool
    {
        foreach ($mentions as $mention) {
            if ($mention->from >= $amount->from && $mention->from <= $amount->to + 3) {
                return true;
            }
        }

        return false;
    }

    /** Whether a row tells what comes out: "Makes 24", "Yield: 30 biscuits", "Serves 4 dogs". */
    public static function isYield(Words $words): bool
    {
        $first = $words->tokens[0] ?? null;

        return $first?->is('makes', 'make', 'yield', 'yields', 'serves', 'servings', 'portions', 'feeds') === true
            && array_filter($words->kept(), static fn (Mention $one): bool => ! ($one->ambiguous && Catalogue::isInGroup($one->ingredient, ['composite-head']))) === [];
    }

    /**
     * Whether a food is spoken of as one that is there: "the oats", "your flour", "the rest of the egg".
     *
     * @param  list<Token>  $tokens
     */
    private static function isThere(array $tokens, Mention $mention): bool
    {
        $before = $tokens[$mention->from - 1] ?? null;

        return $before !== null && $before->is('the', 'your', 'that', 'this', 'those', 'these', 'remaining', 'reserved', 'rest', 'same', 'more');
    }

    /**
     * Without what the telling says around it: from its amount or food on, and what tells of its form behind it.
     *
     * @param  non-empty-list<Mention>  $foods
     * @param  list<Amount>  $amounts
     */
    private static function trimmed(Words $words, array $foods, array $amounts, Clause $clause): Clause
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        $from = min([$foods[0]->from, ...array_map(static fn (Amount $one): int => $one->from, $amounts)]);
        $to = max([$foods[count($foods) - 1]->to, ...array_map(static fn (Amount $one): int => $one->to, $amounts)]);
        while ($from > $clause->from && isset($forms[$words->tokens[$from - 1]->stem])) {
            $from--;
        }
        for ($open = false; $to < $clause->to; $to++) {
            $token = $words->tokens[$to];
            $open = $token->is('(') || ($open && ! $token->is(')'));
            $leads = $token->is(',') && isset($forms[$words->tokens[$to + 1]->stem ?? '']) && $to + 1 < $clause->to;
            if (! $open && ! $leads && ! $token->is(')') && ! isset($forms[$token->stem])) {
                break;
            }
        }

        return new Clause($from, $to, $clause->shared);
    }
}
