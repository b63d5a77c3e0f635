<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Words;

/** What the rest of a sentence, or the next one, says of what was named: "I leave it out", "I'm kidding", "drain it", "big ones". */
final class Aftermath
{
    private const TAKEN_BACK = '/\b(?:i|we) (?:(?:always |usually )?(?:leave|left|skip|skipped) (?:it|that|them)(?: out)?|dont (?:use|put|add|like) (?:it|that|them)|wouldnt$|dont$|never do$|wouldnt do (?:it|that))'
        .'|\b(?:just )?(?:kidding|joking)\b|\bi never (?:need|use|bother with|add|put) (?:it|them|any)\b|\b(?:i|we|ill|well) (?:cross|strike|cut|take) (?:that|it|this|them) out\b|\bcrossed (?:that|it|this) out\b|\bthat was the old (?:one|recipe|way)\b|\bdont (?:do|use|put) \w+ any ?more\b|\bno you know what\b|\bthats too (?:salty|rich|fatty|sweet)\b|\bthats (?:my|for my) (?:\w+ )?(?:granola|breakfast|lunch|tea|dinner|bread)\b|\bthats for the (?:\w+ )?(?:shortbread|humans?|people|kids|children|other|neighbours?)\b/u';

    private const UNDRAINED = '/\b(?:dont|do not|no need to|without) drain(?:ing)?\b|\bundrained\b|\b(?:water|liquid|juice|brine|oil) and all\b|(?<!dont )(?<!not )(?<!never )\b(?:use|with|tip in|pour in) (?:all )?(?:the|its|their) (?:water|liquid|juice)(?: in| too| as well)?\b(?! from)/u';

    private const POURED_OFF = '/\b(?:taken|poured|tipped|pour|tip|took) (?:away|off|out) the (?:water|oil|liquid|brine)\b/u';

    private const DONE = '/\b(?:thats|theyre|its|they are|that is|ive|already|have)(?: already)?(?: been)? (cooked|boiled|steamed|poached|roasted|mashed|unsalted|unsweetened|dried|frozen|smoked|tinned|canned|skinless|boneless)\b|\b(?:i|ive|we|weve|she|shes|he|hes)(?: have| had)?(?: just| already)? (cooked|browned|boiled|steamed|poached|roasted|baked|mashed|toasted) (?:it|them|these|this|that|mine)\b|\b(?:and|then) (boiled|steamed|poached|roasted|baked|mashed|toasted) (?:it|them)\b|\b(?:i|we) (bake|boil|roast|steam|poach) (?:mine|ours)\b/u';

    private const PAST = ['bake' => 'baked', 'boil' => 'boiled', 'roast' => 'roasted', 'steam' => 'steamed', 'poach' => 'poached', 'cook' => 'cooked', 'browned' => 'cooked'];

    /** Words of a sentence that only tells of a form. */
    private const SMALL = ['thats', 'theyre', 'its', 'it', 'is', 'are', 'and', 'nice', 'very', 'so', 'all', 'well', 'really', 'quite', 'as', 'that', 'they', 'just', 'of', 'course', 'the', 'kind', 'ones', 'one', 'right', 'okay'];

    /** "I've poached two chicken breasts": said before the food it is of. */
    private const DONE_BEFORE = '/\b(?:ive|i have|weve|we have|i)(?: just| already)? (cooked|boiled|steamed|poached|roasted|baked|mashed)$/u';

    private const SIZES = ['big' => 'large', 'little' => 'small'];

    /** What the words just before a food say was done to it. */
    public static function before(string $prefix, Serving $serving): void
    {
        if (preg_match(self::DONE_BEFORE, $prefix, $found) === 1) {
            self::append($serving, $found[1]);
        }
    }

    /** "I'm joking, put it down": said first, it is of the sentence before. */
    public static function isJokeBefore(string $said): bool
    {
        return preg_match('/^(?:\w+ ){0,2}(?:kidding|joking)\b/u', $said) === 1;
    }

    /** "I've steamed it already": what was done to it before it goes in. */
    public static function done(string $said, Serving $serving): void
    {
        if (preg_match(self::DONE, $said, $found) === 1) {
            self::append($serving, self::PAST[end($found)] ?? end($found));
        }
    }

    public static function isTakenBack(string $said): bool
    {
        return preg_match(self::TAKEN_BACK, $said) === 1;
    }

    /** A sentence that only tells of a form: "That's cooked and mashed.", "Boneless, skinless." */
    public static function forms(Words $words, Serving $serving): void
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        $verbs = Compiled::tables()['verbs'];
        $found = [];
        foreach ($words->tokens as $token) {
            if ($token->kind !== Token::WORD || $token->is(...self::SMALL)) {
                continue;
            }
            if (! isset($forms[$token->stem]) || isset($verbs[$token->text])) {
                return;
            }
            $found[] = $token->text;
        }
        foreach (count($found) > 4 ? [] : $found as $form) {
            self::append($serving, $form);
        }
    }

    /**
     * @param  string  $said  the words of the sentence
     * @param  ?Ingredient  $food  null for what nobody knows
     * @param  bool  $isSame  whether the serving was named in that sentence
     * @return bool false when it does not go in after all
     */
    public static function of(string $said, Serving $serving, ?Ingredient $food, bool $isSame): bool
    {
        $said = $isSame ? (string) preg_replace(self::DONE_BEFORE, '', $said) : $said;
        if (self::isTakenBack($said)) {
            return ! $isSame && count($serving->spans) > 1;
        }
        if ($food === null) {
            return true;
        }
        $tinned = preg_match('/\b(?:canned|tinned)\b/u', $serving->words) === 1 ? Ingredient::shipped(Catalogue::inForm($food->id, 'tinned')) : $food;
        if ($tinned->inGroup('check-pie-filling') && preg_match('/\b(?:plain|pure|hundred percent|100|pie filling|(?:just|only|nothing but) (?:the )?pumpkin)\b/u', $said) === 1) {
            self::prepend($serving, 'plain');
        } elseif ($food->inGroup('check-sweetened') && preg_match('/\b(?:unsweetened|no sugar|without sugar)\b/u', $said) === 1) {
            self::prepend($serving, 'unsweetened');
        }
        if ($food->inGroup('broth-bought') && preg_match('/\b(?:i make mine|make my own|made (?:it |them )?myself|(?:that )?one is mine|home ?made|boiled up)\b/u', $said) === 1) {
            self::prepend($serving, preg_match('/home ?-?made/iu', $serving->words) === 1 ? '' : 'homemade');
        }
        if (preg_match('/\b(tablespoon|teaspoon|soup spoon|big spoon|coffee spoon|tea spoon)s?\b/u', $said, $found) === 1 && count($serving->amounts) === 1 && $serving->amounts[0]->unit === 'dollop') {
            // "six spoons, tablespoons you say"
            $serving->amounts = [new Amount($serving->amounts[0]->quantity, in_array($found[1], ['tablespoon', 'soup spoon', 'big spoon'], true) ? 'tbsp' : 'tsp', null, 0, 0)];
        }
        if (preg_match('/\b(?:been through|gone through|went through|put through|ran through|run through|been in) (?:the|a|my) (?:grinder|blender|mill|processor|food processor)\b|\b(?:those|which|that|them) you grind\b|\b(?:pulsed|blitzed|whizzed|ground) (?:it|them|those|these|that)\b/u', $said) === 1) {
            self::append($serving, 'ground');
        }
        if (preg_match('/\b(?:leftover|left over|from (?:dinner|lunch|supper|last night|yesterday))\b/u', $said) === 1 && Catalogue::inForm($food->id, 'cooked') !== $food->id) {
            self::append($serving, 'cooked');
        }
        if (preg_match(self::UNDRAINED, $said) === 1) {
            self::append($serving, 'undrained');
        } elseif (preg_match(self::POURED_OFF, $said) === 1 || preg_match($isSame ? '/\bdrain(?:ed)? (?:it|them|that|the)\b/u' : '/\bdrain(?:ed)?\b/u', $said) === 1) {
            self::append($serving, 'drained');
        }
        self::done($said, $serving);
        if (preg_match($isSame ? '/\b(?:a|nice|good|very) (big|large|small|little|medium) (?:ones?|sized?)\b|^(big|large|small|medium)\b/u' : '/^(?:a |nice |good |very )*(big|large|small|little|medium) (?:ones?|sized?)\b/u', $said, $found) === 1 && ($serving->amounts[0]->size ?? null) === null && count($serving->amounts) === 1 && $serving->amounts[0]->unit === 'each') {
            $serving->amounts = [new Amount($serving->amounts[0]->quantity, 'each', self::SIZES[end($found)] ?? end($found), 0, 0)];
        }

        return true;
    }

    private static function prepend(Serving $serving, string $word): void
    {
        $serving->words = $word === '' || str_contains($serving->words, $word) ? $serving->words : "$word $serving->words";
    }

    private static function append(Serving $serving, string $word): void
    {
        $serving->words = str_contains($serving->words, $word) ? $serving->words : "$serving->words, $word";
    }
}
