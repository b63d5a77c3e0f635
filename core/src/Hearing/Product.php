<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/** What is being made, as a talk calls it: "beef and barley biscuits". The foods of such a name do not go in by it. */
final class Product
{
    /** What a treat is called by, last. */
    private const CALLED = 'bites|biscuits?|cookies|crackers|cakes?|pupcakes?|cupcakes|muffins|pops|lollies|rounds|balls|sticks|strips|hearts|bones|squares|drops|chips|jerky|treats|loaf|bars|dumplings|patties|fingers|jelly|slices|chews'
        .'|buttons|stars|coins|men|meatballs|rings|twists|discs|cubes|gummies|crisps|scones|bread|brittle|kisses|nuggets|fudge|crunch|crunchies|dust|straws|dots|nibbles|snaps|rolls|wafers|bakes?|bits|bombs';

    /** Of those, what nobody buys to put in a dough. */
    private const MADE = 'bite|biscuit|cookie|cake|pupcake|cupcake|muffin|pop|lolly|round|ball|treat|loaf|bar|dumpling|patty|patties|finger|square|button|star|coin|meatball|twist|nugget|gummy|gummies|crisp|scone|crunchy|crunchies|chew|bake|dot|nibble|crunch|snap|wafer|kiss';

    /** A food word before one of these is a shape. */
    private const SHAPES = ['cutter', 'shape', 'shaped', 'mould', 'mold', 'tin', 'tray', 'stamp', 'ones', 'one'];

    private const SHAPED = ['raw-bone', 'heart-beef', 'chicken-heart', 'fish-unnamed', 'duck', 'rabbit'];

    private const NOT_CALLED = 'the|my|some|a|an|these|those|our|her|his|their|your|ye|you|we|i|it|is|are|was|be|of|in|for|on|so|to|do|doing|making|make|made|bake|baking|today|easiest|best|famous|want|wanted|this|that|anything|them|got|getting|show|called'
        .'|it’s|it\'s|we\'re|we’re|i\'m|and so|little|few|people|everybody|just|with|thats|that\'s|that’s|code|there|there\'s|there’s|really|easy|simple|super|quick|proper|delicious|about|talking|yummy|healthy|favou?rite|perfect|special|batch|lovely|some more|bought|you|your|kind of|i call|called|named|they\'re|they’re|theyre|these are|use|call';

    /** Whether a food is a treat that is made: jerky, biscuits. */
    public static function isProduct(Mention $mention, Words $words): bool
    {
        return preg_match('/\b(?:'.self::CALLED.')$/u', Phrase::said($words, $mention->from, $mention->to)) === 1;
    }

    /** "The brownie tin": a name of something to bake in. */
    public static function isVessel(Mention $mention, Words $words): bool
    {
        return ($words->tokens[$mention->to] ?? null)?->is('tin', 'tins', 'tray', 'pan', 'mould', 'mold', 'cutter', 'dish', 'case', 'cases') === true;
    }

    /** Whether a mention is only what is being made, or part of its name, or a shape to cut out. */
    public static function isNamedBy(Mention $mention, Words $words): bool
    {
        if ($mention->ambiguous && Catalogue::isInGroup($mention->ingredient, ['composite-head'])) {
            return true;
        }
        $next = $words->tokens[$mention->to] ?? null;
        if ($next?->is('size', 'sized') === true && array_filter($words->amounts, static fn (Amount $one): bool => $one->to === $mention->from) === []) {
            // "roll them walnut size"
            return true;
        }
        if ($words->tokens[$mention->to - 1]->is('squash', 'mince') && $next?->is('it', 'them', 'each', 'down', 'flat', 'these', 'those') === true) {
            // "squash it flat"
            return true;
        }
        if ($mention->ingredient === 'water' && $next?->is('and') === true && ($words->tokens[$mention->to + 1] ?? null)?->is('all') === true) {
            return true;
        }
        if (in_array($mention->ingredient, self::SHAPED, true) && ($next?->is(...self::SHAPES) === true || ($next?->is('and') === true && ($words->tokens[$mention->to + 1] ?? null)?->is('all') === true))) {
            return true;
        }
        if ($next?->is('one', 'ones', 'kind', 'sort', 'version', 'flavour', 'flavor') === true && ($words->tokens[$mention->from - 1] ?? null)?->is('the', 'a', 'an') === true && $mention->from >= 2) {
            // "two jars of baby food, the beef one"
            return true;
        }
        foreach ($words->amounts as $amount) {
            if ($amount->to <= $mention->from && $mention->from <= $amount->to + 2 && ($amount->unit !== 'each' || $amount->quantity->best > 1.0)) {
                return false;
            }
        }
        $starts = [];
        foreach ($words->mentions as $one) {
            $starts[$one->from] = $one->to;
        }
        $forms = Compiled::tables()['formWords']['phrases'];
        for ($k = $mention->to; isset($words->tokens[$k]) && $k <= $mention->to + 5; $k++) {
            $token = $words->tokens[$k];
            if (preg_match('/^(?:'.self::MADE.')$/u', $token->stem) === 1) {
                return Unit::in('metric', $token->stem) === null;
            }
            if (isset($starts[$k])) {
                $k = $starts[$k] - 1;
            } elseif (! $token->is('and', '&', '-') && ! isset($forms[$token->stem])) {
                return false;
            }
        }

        return false;
    }

    /** What leads to the name of what is made now. */
    private const NOW = '/\b(?:today|tonight|this is|these are|theyre|they are|its|were (?:making|doing)|we are (?:making|doing)|im (?:making|doing)|making|going to make|how i make|recipe)\b/u';

    /** Words that no name of a treat holds: what it is not, and how much of it. */
    private const NO_NAME = '/\b(?:no|not|never|nor|without|isn[\'’]?t|aren[\'’]?t|don[\'’]?t|won[\'’]?t|hundred|grams?|kilos?|cups?|tablespoons?|teaspoons?|minutes?|hours?|degrees)\b/iu';

    /** @param  list<Sentence>  $sentences */
    public static function title(array $sentences, Heard $heard): string
    {
        $names = [];
        foreach (array_slice($sentences, 0, 14) as $n => $one) {
            $said = Phrase::said($one->words, 0, count($one->words->tokens));
            if (Turns::isOfBefore($said) || preg_match_all('/(?:[\p{L}’\'-]+\s+|&\s+){1,5}(?:'.self::CALLED.')\b/iu', $one->text, $found) === 0) {
                continue;
            }
            foreach ($found[0] as $called) {
                $title = (string) preg_replace('/^.*\b(?:'.self::NOT_CALLED.')\s+(?=\S)/iu', '', trim($called));
                if (str_word_count($title) > 1 && preg_match(self::NO_NAME, $title) !== 1 && self::namesFood($title, $one->words)) {
                    $names[] = [preg_match(self::NOW, $said) === 1 ? 0 : 1, $n, $title];
                }
            }
        }
        sort($names);
        if ($names !== []) {
            return self::tidied($names[0][2]);
        }
        $foods = array_slice(array_map(static fn (Serving $serving): string => $serving->plain, $heard->servings), 0, 2);

        return ucfirst(mb_strtolower(implode(' and ', $foods)));
    }

    /** Whether a food, or a beast, is among the words of a name. */
    private static function namesFood(string $title, Words $words): bool
    {
        foreach ($words->mentions as $mention) {
            if (! $mention->ambiguous && str_ends_with(mb_strtolower($title), Phrase::said($words, $mention->from, $mention->to)) && Catalogue::isInGroup($mention->ingredient, ['composite', 'composite-head'])) {
                // a fruit cake is a food of its own
                return false;
            }
        }
        foreach ($words->mentions as $mention) {
            if (str_contains(mb_strtolower($title), Phrase::said($words, $mention->from, $mention->to))) {
                return true;
            }
        }

        return preg_match('/\b(?:birthday|dog|puppy|training|christmas|party|liver|fish|fishy|frozen)\b/iu', $title) === 1;
    }

    public static function tidied(string $text): string
    {
        $text = trim((string) preg_replace('/\s+/u', ' ', $text));

        return mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }
}
