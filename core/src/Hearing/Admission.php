<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Measuring\PieceWeight;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Mention;

/** Whether a food that a clause names goes into the bowl. */
final readonly class Admission
{
    public function __construct(private Catalogue $catalogue, private Warnings $warnings) {}

    /** Whether the words before say that it is somebody else's, of another day, or what came out of the oven. */
    public function isOfNoBowl(Piece $piece, Bowl $bowl): bool
    {
        if (Turns::isNotNow($piece->prefix) && ! Turns::isUsedNow($piece)) {
            return true;
        }
        $food = $piece->foods[0] ?? null;

        return Turns::isYield(Phrase::said($piece->words, $piece->end, $food->from ?? $piece->amounts[0]->to), $food !== null) && ($food === null || Product::isProduct($food, $piece->words));
    }

    /** "My rolling pin has gone, so it's a bottle of wine": for the baker, not for the bowl. */
    public function isDrunk(Piece $piece): bool
    {
        $food = $piece->foods[0] ?? null;

        return $food !== null && $this->catalogue->get($food->ingredient)->inAny(['caffeine-source', 'alcohol-drink'])
            && preg_match('/\b(?:rolling pin|drink|drinking|sip|pour (?:me|my|your)self|poured (?:me|my)self|cuppa|grab|having|sitting|while i have)\b/u', Phrase::said($piece->words, 0, count($piece->words->tokens))) === 1;
    }

    /**
     * Whether a food with an amount goes in; $topicAt is the piece in which the food in hand was named.
     *
     * @param  list<Amount>  $amounts
     * @param  list<Amount>  $after
     */
    public function counted(Piece $piece, Mention $food, array $amounts, array $after, Bowl $bowl, int $topicAt): bool
    {
        $words = $piece->words;
        $isCategory = Catalogue::isInGroup($food->ingredient, ['category-word']);
        $isThere = Turns::isThere($words, $food);
        if (! Measures::isMeasured($amounts)) {
            $isPlaced = $piece->any || ($piece->n - $topicAt <= 1 && Turns::isJoined($words, (int) $piece->first)) || Turns::isPlaced($words, (int) $piece->first, $piece->prefix);
            if ($amounts[0]->unit !== 'touch' && ! Measures::isMeasured($after) && ($isCategory || ! $this->isCountable($food) || ! $isPlaced)) {
                return false;
            }
            $isBehind = ($amounts[0]->from ?? 0) >= $food->to && $bowl->known($food) === null;
            if ($isThere && ! $isBehind && ! Measures::isMeasured($after)) {
                return false;
            }
        } elseif ($isCategory && $isThere) {
            return false;
        }
        $known = $bowl->known($food, mb_strtolower(Phrase::said($words, $food->from, $food->to)));

        // "another quarter cup if you need it" is not in the bowl yet
        return $known === null || preg_match('/^(?:if|in case|unless|when) (?:you|it|its|the|that|youre|needed)\b/u', $piece->behind($food, 4)) !== 1;
    }

    /** Whether a food without an amount goes in; one that was told before is spoken of again. */
    public function uncounted(Piece $piece, Mention $food, Bowl $bowl): bool
    {
        if ($this->warnings->isOf($food->ingredient)) {
            return false;
        }
        $words = $piece->words;
        if ($food->ingredient === 'water' && Turns::isCookedIn(Phrase::said($words, max(0, $food->from - 9), $food->from))) {
            return false;
        }
        $isObject = $piece->isObject($food);
        $isCategory = Catalogue::isInGroup($food->ingredient, ['category-word']);
        $isThere = Turns::isThere($words, $food);
        if (preg_match('/\b(?:as (?:much|many|little)|enough)(?: of)?(?: the| your)?(?: \w+)?$/u', Phrase::said($words, max($piece->end, $piece->clause->from), $food->from)) === 1) {
            // "and as much skimmed milk as will make a paste"
            return $bowl->known($food) === null;
        }
        if (! $isThere && preg_match('/\b(?:need|needs)(?: some| a bit of)?$/u', $piece->prefix) === 1) {
            return true;
        }
        $isPutIn = $isObject || ($piece->goesOn && Turns::isBare($words, $food, $piece->end)) || preg_match('/(?:^|\s)some$/u', $piece->prefix) === 1
            || preg_match('/^(?:as (?:needed|required)|enough|to bind|if needed)\b/u', $piece->behind($food, 3)) === 1;
        // "stir in the milk": what goes in and was never spoken of before was forgotten, not counted
        $isNew = $isObject && ! $isCategory && $bowl->known($food) === null;

        return $isPutIn && (! $isThere || $isNew) && (! $isCategory || $isObject);
    }

    /** The serving that a food without an amount speaks of again: "so the tin of sardines", "and then the milk". */
    public function spokenOf(Piece $piece, Mention $food, Bowl $bowl): ?Serving
    {
        $words = $piece->words;
        $isListed = preg_match('/^(?:and |then |so )*(?:the|your|my|our)$/u', $piece->prefix) === 1;

        return Turns::isThere($words, $food) && ($piece->isObject($food) || $isListed || Turns::isAtHead($words, $food->from)) ? $bowl->known($food) : null;
    }

    /** Whether a food comes in pieces that somebody weighed. */
    public function isCountable(Mention $food): bool
    {
        $one = $this->catalogue->get($food->ingredient);

        return ! $one->inGroup('composite-head') && PieceWeight::of($one, 'each', null) !== null;
    }
}
