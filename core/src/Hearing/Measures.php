<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/**
 * What a told amount does to what was told before: it adds, corrects, sums up or says the same again; and whether a number is an amount of
 * food at all.
 */
final class Measures
{
    private const CORRECTED = ['no', 'wait', 'lie', 'lied', 'scratch', 'strike', 'hang', 'mistake', 'wrong', 'corrected', 'sorry', 'actually', 'rather', 'correction', 'oops', 'mean', 'meant', 'make', 'checked'];

    /** The amount that stands is told once more, in other words. */
    private const SAID_AGAIN = '/\b(?:thats (?:about|around|roughly|a|an|what)|which is|thats|or about|about the same|comes to about|i weigh it)\s*$/u';

    /** What was put in so far is summed up. */
    private const SUMMED_UP = '/\b(?:so thats|thats|so were at|were at|were up to|so ill have|all told|altogether|in total|in all|makes|call it|came (?:out )?(?:at|to)|comes out at|came in at|weigh(?:s|ed)(?: in at)?|work(?:s|ed) out at|that was|which was|so its|its now|gives me|give you|comes to|ends up)(?: \w+){0,2}\s*$/u';

    /** Counted, and no food. */
    private const NO_FOOD = ['dog', 'dogs', 'pup', 'pups', 'puppy', 'puppies', 'percent', 'years', 'months', 'weeks', 'days', 'minutes', 'hours', 'times', 'thick', 'each', 'ingredient', 'ingredients', 'recipe', 'recipes', 'things', 'kinds', 'flavours', 'flavors', 'layers', 'batches', 'trays', 'people'];

    /** From so many on nobody counts pieces: of what comes in pieces, and of what does not. */
    private const TOO_MANY = 60;

    private const MANY = 20;

    /** A number behind one of these tells which, not how many: "ingredient two is cheddar". */
    private const ORDINAL = ['ingredient', 'number', 'step', 'mark', 'recipe', 'part', 'version', 'option', 'tip', 'batch', 'day', 'week', 'level', 'page'];

    private const MORE = ['another', 'extra', 'more', 'again', 'additional', 'further', 'back'];

    /**
     * Adds, replaces or repeats.
     *
     * @param  list<Amount>  $amounts
     */
    public static function settle(Serving $serving, array $amounts, string $prefix, Words $words, ?string $corrected, bool $isLater, bool $isOtherPart = false): void
    {
        $before = $serving->amounts;
        $first = $amounts[0];
        if ($corrected !== null) {
            $serving->earlier[] = $corrected;
            $serving->isSure = false;
        }
        if ($before === []) {
            foreach ($amounts as $one) {
                $serving->add($one);
            }
            $serving->isSure = $serving->isSure && ! ($isLater && ! str_contains($prefix, ' of'));

            return;
        }
        $opens = $words->tokens[$first->from - 1] ?? null;
        $isMore = in_array($words->tokens[$first->from]->text, self::MORE, true) || ($opens !== null && in_array($opens->text, self::MORE, true)) || preg_match('/\b(?:another|more|extra)\b/u', $prefix) === 1;
        if ($isMore || ($isOtherPart && $corrected === null && self::isMeasured($amounts))) {
            foreach ($amounts as $one) {
                $serving->add($one);
            }

            return;
        }
        if ($first->unit === 'tin' && $first->contents !== null && count($before) === 1 && $before[0]->unit === 'tin' && $before[0]->contents === null) {
            $serving->amounts = [new Amount(max($first->quantity->best, 1.0) > 1.0 ? $first->quantity : $before[0]->quantity, 'tin', null, 0, 0, $first->contents)];

            return;
        }
        if ($corrected === null && count($before) === 1 && $before[0]->unit === 'tin' && $before[0]->contents === null && Unit::isMass('metric', $first->unit) && preg_match(self::SUMMED_UP, $prefix) !== 1) {
            $serving->amounts = [new Amount($before[0]->quantity, 'tin', null, 0, 0, new Amount($first->quantity, $first->unit, null, 0, 0))];

            return;
        }
        if ($first->unit === 'each' && self::isMeasured($before) && ! $serving->isVague() && $corrected === null) {
            // "a cup of grated carrot, so that was about two medium carrots"
            return;
        }
        if (count($amounts) === 1 && ($serving->says($first) || (in_array($first->unit, Serving::VAGUE, true) && ! $serving->isVague()))) {
            // "roll that with some flour on the board" takes nothing from what was weighed
            return;
        }
        $isAbout = $words->tokens[$first->from]->is('about', 'around', 'roughly', 'nearly');
        $isSummed = preg_match('/\b(?:gives me|gives you|comes to|call it|all told|altogether)\b/u', $prefix) === 1 || (! $isAbout && preg_match(self::SUMMED_UP, $prefix) === 1);
        if (preg_match(self::SAID_AGAIN, $prefix) === 1 && ! $isSummed && ! Unit::isMass('metric', $first->unit)) {
            return;
        }
        if (! $isSummed && ! $serving->isVague() && ! $serving->isAsMuchAs($first)) {
            $serving->earlier[] = Written::amounts($before);
            $serving->isSure = false;
        }
        $serving->amounts = [];
        foreach ($amounts as $one) {
            $serving->add($one);
        }
    }

    /**
     * Of several amounts before one food the last holds, unless they are joined; what was taken back stands in `corrected`.
     *
     * @param  list<Amount>  $amounts
     * @return list<Amount>
     */
    public static function lastSaid(array $amounts, Words $words, ?string &$corrected = null): array
    {
        $corrected = null;
        $kept = [];
        foreach ($amounts as $n => $one) {
            $before = $amounts[$n - 1] ?? null;
            if ($before === null || $one->to === 0) {
                $kept[] = $one;

                continue;
            }
            $between = array_map(static fn (Token $token): string => $token->text, array_slice($words->tokens, $before->to, max(0, $one->from - $before->to)));
            if (array_diff($between, ['+', 'plus', 'and', '&']) === [] && $one->unit !== 'each') {
                $kept[] = $one;

                continue;
            }
            if (array_intersect($between, self::CORRECTED) !== []) {
                $corrected = Written::amounts($kept);
            } elseif (Unit::isMass('metric', $before->unit) && ! Unit::isMass('metric', $one->unit) || ($one->unit === 'each' && $before->unit !== 'each') || array_intersect($between, ['about', 'which']) !== []) {
                // "200 g, about two of them": the first is the better one
                continue;
            }
            $kept = [$one];
        }

        return $kept;
    }

    /**
     * "Two hundred of rice flour" in a talk that counts in grams: grams, and asked about.
     *
     * @param  list<Amount>  $amounts
     * @return array{list<Amount>, bool} the amounts, and whether one was taken for grams
     */
    public static function inGrams(array $amounts, Mention $food, bool $isInGrams, bool $isCountable): array
    {
        $isGuessed = false;
        foreach ($isInGrams ? $amounts : [] as $n => $one) {
            if ($one->unit === 'each' && $one->size === null && $one->to <= $food->from && $food->from <= $one->to + 2 && $one->quantity->best >= ($isCountable ? self::TOO_MANY : self::MANY)) {
                $amounts[$n] = new Amount($one->quantity, 'g', null, $one->from, $one->to);
                $isGuessed = true;
            }
        }

        return [array_values($amounts), $isGuessed];
    }

    /**
     * "Five hundred grams of liver, wait, no, four hundred": a bare number that corrects is in the unit of what it corrects.
     *
     * @param  list<Amount>  $amounts
     * @return list<Amount>
     */
    public static function inTheSameUnit(array $amounts, Words $words): array
    {
        foreach ($amounts as $n => $one) {
            $before = $amounts[$n - 1] ?? null;
            if ($before !== null && $one->unit === 'each' && $before->unit !== 'each' && ! $words->tokens[$one->from]->is('a', 'an', 'one')
                && array_intersect(explode(' ', Phrase::said($words, $before->to, $one->from)), self::CORRECTED) !== []) {
                $amounts[$n] = new Amount($one->quantity, $before->unit, $before->size, $one->from, $one->to);
            }
        }

        return $amounts;
    }

    /**
     * "Two boiled potatoes, about 250 grams": what was counted is weighed in the same breath.
     *
     * @param  list<Amount>  $before
     */
    public static function isWeighedToo(Amount $amount, array $before, Words $words): bool
    {
        return Unit::isMass('metric', $amount->unit) && count($before) === 1 && $before[0]->unit === 'each' && ($words->tokens[$amount->from]->is('about', 'around', 'roughly') || ($words->tokens[$amount->from - 1] ?? null)?->is('about', 'around', 'roughly', 'so') === true);
    }

    /** Whether an amount behind its food is the same once more: corrected, summed up, or the size of the tin. */
    public static function isToldAgain(Amount $amount, string $between): bool
    {
        return $amount->contents !== null || array_intersect(explode(' ', $between), self::CORRECTED) !== [] || preg_match(self::SUMMED_UP, $between) === 1;
    }

    /** @param  list<Amount>  $amounts */
    public static function isMeasured(array $amounts): bool
    {
        foreach ($amounts as $one) {
            if (Unit::in('metric', $one->unit) !== null || $one->contents !== null || ! in_array($one->unit, ['each', 'touch'], true)) {
                return true;
            }
        }

        return false;
    }

    /** Whether an amount is of a food at all: not of time, of the dog, of a place, or of the size of something. */
    public static function serves(Amount $amount, Words $words): bool
    {
        $next = $words->tokens[$amount->to] ?? null;
        $before = $words->tokens[$amount->from - 1] ?? null;
        if ($amount->unit === 'each' && $before?->is(...self::ORDINAL) === true) {
            return false;
        }
        if ($next?->is(...self::NO_FOOD) === true) {
            return false;
        }
        if (($words->tokens[$amount->to] ?? null)?->is('before') === true || ($before?->is('like') === true && $words->tokens[$amount->from]->is('a', 'an', 'the'))) {
            return false;
        }
        if ($before?->is('as', 'by', 'weighs', 'weigh', 'into', 'onto') === true || ($before?->is('of') === true && ($words->tokens[$amount->from - 2] ?? null)?->is('size', 'bit', 'shape') === true)) {
            return false;
        }
        if ($words->tokens[$amount->from]->is('one') && $amount->unit === 'each' && $before?->is('the', 'this', 'that', 'which', 'any', 'no', 'every', 'each') === true) {
            // "the one that is only peanuts" counts nothing
            return false;
        }
        $isArticle = $words->tokens[$amount->from]->is('a', 'an', 'the');
        if ($isArticle && $before?->is('in', 'on', 'use', 'with', 'off', 'through', 'to', 'from') === true && ! self::isFollowedByFood($amount, $words) && ($words->tokens[$amount->from - 2] ?? null)?->is('start', 'begin') !== true) {
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
}
