<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;

/** What is said of a food itself keeps it out, without a negation before it: "raisins are toxic", "keep raisins well away", "swap the sugar for honey". */
final class KeptOut
{
    private const BAD = ['toxic', 'poisonous', 'poison', 'poisons', 'dangerous', 'deadly', 'harmful', 'harm', 'harms', 'unsafe', 'bad', 'fatal', 'off', 'forbidden', 'kill', 'kills', 'hurt', 'hurts'];

    private const GOOD = ['topping', 'toppings', 'treat', 'treats', 'food', 'snack', 'option', 'either', 'included', 'invited', 'welcome', 'needed', 'necessary', 'safe', 'allowed', 'good', 'for', 'ok', 'okay', 'fine', 'suitable', 'healthy', 'recommended'];

    /** @param  list<Token>  $tokens */
    public static function isWarnedOf(array $tokens, Mention $mention): bool
    {
        return self::isToldBad($tokens, $mention) || self::isKeptOut($tokens, $mention) || self::isSwapped($tokens, $mention);
    }

    /**
     * "seeds removed", "bones taken out", "all the stones off".
     *
     * @param  list<Token>  $tokens
     */
    public static function isRemoved(array $tokens, Mention $mention): bool
    {
        if (! in_array($mention->ingredient, Mention::PARTS, true)) {
            return false;
        }
        $i = $mention->to;
        while (($tokens[$i] ?? null)?->is('all', 'and', 'is', 'are', 'carefully', 'well', 'taken', 'picked', 'core', 'skin', 'scooped', 'scraped', 'cut') === true) {
            $i++;
        }

        return ($tokens[$i] ?? null)?->is('removed', 'out', 'off', 'discarded', 'away', 'trimmed', 'gone') === true || ($tokens[$i - 1] ?? null)?->is('picked', 'scooped', 'scraped') === true;
    }

    /**
     * "Keep raisins well away", "leave the onion out"; but "leave the butter out to soften" leaves it in.
     *
     * @param  list<Token>  $tokens
     */
    private static function isKeptOut(array $tokens, Mention $mention): bool
    {
        $k = $mention->from - 1;
        while ($k >= 0 && $tokens[$k]->is('the', 'any', 'all', 'your', 'those')) {
            $k--;
        }
        if ($k < 0 || ! $tokens[$k]->is('keep', 'keeping', 'kept', 'leave', 'leaving', 'left')) {
            return false;
        }
        $i = $mention->to;
        while (($tokens[$i] ?? null)?->is('well', 'far', 'safely', 'right') === true) {
            $i++;
        }

        return ($tokens[$i] ?? null)?->is('out', 'away', 'off') === true && ($tokens[$i + 1] ?? null)?->is('to', 'for', 'overnight', 'on', 'at', 'until') !== true && ! Negation::isTakenBack($tokens, $k, $k + 1);
    }

    /**
     * "Swap the raisins for blueberries", "replace the sugar with honey".
     *
     * @param  list<Token>  $tokens
     */
    private static function isSwapped(array $tokens, Mention $mention): bool
    {
        $k = $mention->from - 1;
        while ($k >= 0 && $tokens[$k]->is('the', 'any', 'all', 'your', 'those')) {
            $k--;
        }

        return $k >= 0 && $tokens[$k]->is('swap', 'swapping', 'swapped', 'replace', 'exchange', 'trade') && ($tokens[$mention->to] ?? null)?->is('for', 'with', 'by') === true && ! Negation::isNegative($tokens[$k - 1] ?? null);
    }

    /**
     * "raisins are toxic", "chocolate can be poisonous to dogs", "nutmeg isn't safe", "cloves and mace poison a dog".
     *
     * @param  list<Token>  $tokens
     */
    private static function isToldBad(array $tokens, Mention $mention): bool
    {
        $i = $mention->to;
        $first = $tokens[$i] ?? null;
        if ($first === null || $first->kind !== Token::WORD) {
            return false;
        }
        if ($first->is('poison', 'poisons', 'kill', 'kills', 'harm', 'harms', 'hurt', 'hurts')) {
            return true;
        }
        if (self::mustNotGoIn($tokens, $i)) {
            return true;
        }
        $named = $tokens[$mention->to - 1];
        if (preg_match('/[\'’]s$/u', $named->raw) === 1 && in_array($first->text, self::BAD, true)) {
            // "rhubarb's poisonous"
            return true;
        }
        if (! $first->is('is', 'are', 'can', 'will', 'isnt', 'arent', 'may', 'could')) {
            return false;
        }
        $not = $first->is('isnt', 'arent');
        for ($k = $i + 1; $k <= $i + 5 && isset($tokens[$k]) && $tokens[$k]->kind === Token::WORD; $k++) {
            if ($tokens[$k]->is('not', 'never')) {
                $not = true;
            } elseif (in_array($tokens[$k]->text, self::BAD, true)) {
                return ! $not;
            } elseif ($not && $tokens[$k]->is('problem', 'issue', 'worry', 'trouble', 'bother')) {
                return false;
            } elseif ($not && in_array($tokens[$k]->text, self::GOOD, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * "Onions must not go in", "chocolate should never be given".
     *
     * @param  list<Token>  $tokens
     */
    private static function mustNotGoIn(array $tokens, int $i): bool
    {
        $isNot = $tokens[$i]->is('mustnt', 'shouldnt', 'cannot', 'cant', 'never', 'dont', 'doesnt');
        if (! $isNot && ! ($tokens[$i]->is('must', 'should', 'shall', 'may', 'can', 'do', 'does', 'will') && ($tokens[$i + 1] ?? null)?->is('not', 'never') === true)) {
            return false;
        }
        $k = $i + ($isNot ? 1 : 2);
        $k += ($tokens[$k] ?? null)?->is('ever') === true ? 1 : 0;

        return ($tokens[$k] ?? null)?->is('belong') === true
            || (($tokens[$k] ?? null)?->is('go', 'get', 'come') === true && ($tokens[$k + 1] ?? null)?->is('in', 'into', 'near', 'anywhere') === true)
            || (($tokens[$k] ?? null)?->is('be') === true && ($tokens[$k + 1] ?? null)?->is('added', 'used', 'given', 'fed', 'included', 'in', 'eaten', 'near') === true);
    }
}
