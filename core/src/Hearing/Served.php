<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;
use MildBowl\Core\Values\Range;

/** Whether a number of a talk is an amount of food at all: not of time, of the dog, of a tray, of money, or of the size of something. */
final class Served
{
    /** Counted, and no food. */
    private const NO_FOOD = ['dog', 'dogs', 'pup', 'pups', 'puppy', 'puppies', 'percent', 'years', 'months', 'weeks', 'days', 'minutes', 'hours', 'times', 'thick', 'each', 'ingredient', 'ingredients', 'recipe', 'recipes', 'things', 'kinds', 'flavours', 'flavors', 'layers', 'batches', 'trays', 'people', 'mixture', 'dough', 'batter', 'mix', 'nothing'];

    /** A number behind one of these tells which, not how many: "ingredient two is cheddar". */
    private const ORDINAL = ['ingredient', 'number', 'step', 'mark', 'recipe', 'part', 'version', 'option', 'tip', 'batch', 'day', 'week', 'level', 'page', 'type'];

    /** Whether an amount is of a food at all: not of time, of the dog, of a place, or of the size of something. */
    public static function serves(Amount $amount, Words $words): bool
    {
        $next = $words->tokens[$amount->to] ?? null;
        $before = $words->tokens[$amount->from - 1] ?? null;
        if ($amount->unit === 'each' && $before?->is(...self::ORDINAL) === true) {
            return false;
        }
        $opens = $words->tokens[$amount->from];
        if ($opens->kind === Token::WORD && $amount->to === $amount->from + 1 && $amount->unit !== 'each' && str_ends_with($opens->text, 's') && $opens->stem !== $opens->text) {
            // "six spoons of milk, big spoons"
            return false;
        }
        $behind = $next?->is('the', 'this', 'that', 'your', 'my') === true ? ($words->tokens[$amount->to + 1] ?? null) : $next;
        if ($next?->is('loaf', 'cake', 'bread', 'sandwich', 'roasting', 'baking', 'pie', 'flan', 'tart') === true && ($words->tokens[$amount->to + 1] ?? null)?->is('tin', 'tins', 'pan', 'tray', 'dish', 'mould', 'mold') === true) {
            // "press it in a two pound loaf tin"
            return false;
        }
        if ($behind?->is(...self::NO_FOOD) === true) {
            return false;
        }
        if ($before?->is('p', 'pence', '£', '\$', 'cents') === true || ($before !== null && preg_match('/^\d+p$/u', $before->text) === 1)) {
            // "90p a kilo"
            return false;
        }
        if ($amount->unit === 'ml' && $amount->quantity->best <= 15.0 && array_filter(array_slice($words->tokens, $amount->from, $amount->to - $amount->from), static fn (Token $token): bool => $token->is('mil', 'mils')) !== []
            && (array_filter(array_slice($words->tokens, max(0, $amount->from - 5), min(5, $amount->from)), static fn (Token $token): bool => $token->is('roll', 'rolled', 'slice', 'sliced', 'spread', 'press', 'pressed', 'cut', 'sheet')) !== [] || $next?->is('slices', 'cubes', 'thick', 'squares', 'rounds') === true)) {
            // "roll five mil"
            return false;
        }
        if ($next?->is('is', 'was') === true && ($words->tokens[$amount->to + 1] ?? null)?->is('too', 'about', 'right', 'enough', 'plenty', 'fine', 'big', 'small', 'better') === true) {
            // "ten grams is about right": of a piece
            return false;
        }
        if ($next?->is('per') === true || ($next?->is('a') === true && ($words->tokens[$amount->to + 1] ?? null)?->is('piece', 'ball', 'biscuit', 'treat', 'day', 'week', 'bag', 'hole') === true)) {
            return false;
        }
        if ($next?->is('at') === true && ($words->tokens[$amount->to + 1] ?? null)?->is('a') === true && ($words->tokens[$amount->to + 2] ?? null)?->is('time') === true) {
            // "a cup at a time"
            return false;
        }
        if (($words->tokens[$amount->to] ?? null)?->is('before') === true || ($before?->is('like') === true && $amount->unit === 'each' && $words->tokens[$amount->from]->is('a', 'an', 'the'))) {
            return false;
        }
        if ($before?->is('at') === true && ($words->tokens[$amount->from - 2] ?? null)?->is('out', 'in', 'came', 'comes', 'weighed', 'weighs', 'begin', 'start') !== true && Unit::isMass('metric', $amount->unit) && $next?->is('of') !== true && ! $words->tokens[$amount->to - 1]->is('of')) {
            // "we deposit at one gram"
            return false;
        }
        if ($before?->is('as', 'by', 'weighs', 'weigh', 'into', 'onto') === true || ($before?->is('of') === true && ($words->tokens[$amount->from - 2] ?? null)?->is('size', 'bit', 'shape', 'dog', 'puppy', 'weight') === true)) {
            return false;
        }
        if ($words->tokens[$amount->from]->is('one') && $amount->unit === 'each' && $before?->is('the', 'this', 'that', 'which', 'any', 'no', 'every', 'each', 'first', 'second', 'last', 'other', 'next', 'mild', 'big', 'small', 'plain', 'good', 'nice', 'only') === true) {
            // "the one that is only peanuts" counts nothing
            return false;
        }
        $isArticle = $words->tokens[$amount->from]->is('a', 'an', 'the');
        if ($isArticle && ! Unit::isMass('metric', $amount->unit) && $before?->is('in', 'on', 'use', 'with', 'off', 'through', 'to', 'from') === true && ! self::isFollowedByFood($amount, $words) && ($words->tokens[$amount->from - 2] ?? null)?->is('start', 'begin') !== true) {
            return false;
        }

        return ! ($isArticle && $before?->is('a', 'the') === true);
    }

    public static function isFollowedByFood(Amount $amount, Words $words): bool
    {
        foreach ($words->mentions as $mention) {
            if ($mention->from >= $amount->to && $mention->from <= $amount->to + 3) {
                return true;
            }
        }

        return false;
    }

    /**
     * Without what is a thickness: "six mil" of something that has its amount is no millilitre.
     *
     * @param  list<Amount>  $amounts
     * @return list<Amount>
     */
    public static function notThick(Serving $topic, array $amounts, Words $words): array
    {
        return array_values(array_filter($amounts, static fn (Amount $one): bool => $topic->amounts === [] || $one->unit !== 'ml' || $one->quantity->best > 12.0 || array_filter(array_slice($words->tokens, $one->from, $one->to - $one->from), static fn (Token $token): bool => $token->is('mil', 'mils')) === []));
    }

    /** "Half a cup of boiled lauki": an amount of a word is of no food that was told before, but "180 grams of flesh", "a spoon of it" are. */
    public static function isOfSomethingElse(Amount $amount, Words $words): bool
    {
        $next = $words->tokens[$amount->to] ?? null;

        return $next !== null && $amount->to > 0 && $words->tokens[$amount->to - 1]->is('of') && $next->kind === Token::WORD
            && ! $next->is('it', 'that', 'those', 'them', 'this', 'these', 'flesh', 'meat', 'mash', 'pulp', 'puree', 'each', 'the', 'mine', 'fish');
    }

    /** A weight of many kilos or pounds behind a food that has its amount is a dog's. */
    public static function isOfADog(Amount $amount): bool
    {
        return in_array($amount->unit, ['kg', 'lb', 'stone'], true) && $amount->quantity->best >= 3.0;
    }

    /** "Your tin of mackerel": one of it, unless it was spoken of before. */
    public static function vesselOf(Words $words, Mention $food, bool $isKnown): ?Amount
    {
        $is = static fn (int $back, string ...$texts): bool => ($words->tokens[$food->from - $back] ?? null)?->is(...$texts) === true;
        $isLed = $food->from === 2 || $is(3, 'your', 'my', 'the', 'that', 'this', 'our', 'whole', 'small', ',', 'and', 'then', ':');

        return ! $isKnown && $is(1, 'of') && $is(2, 'tin', 'can', 'jar', 'pouch') && $isLed ? new Amount(Range::exact(1), 'tin', null, max(0, $food->from - 3), $food->from) : null;
    }
}
