<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\Clause;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/** The turns of speech that tell whether a food goes into this bowl now: or is somebody else's, of another day, or only perhaps. */
final class Turns
{
    /** What is told of others, of another day, or only perhaps. */
    private const NOT_NOW = '/\b(?:'
        .'(?:she|he|they) (?:always |also |often |then |usually )?(?:puts?|used|uses|added|adds|makes|made|wrote|likes|liked)'
        .'|some (?:people|folks?)|people|somebody|someone'
        .'|(?:my|our|the|your|his|her) (?:neighbou?rs?|sister|brother|mother|mum|mom|mama|dad|husband|wife|cousin|boss|friend|gran|nan|nana|vet)\b(?!\W)(?: \w+){0,2}'
        .'|(?:was|were) going to|(?:id|i would|we would|wed|youd|you would) (?:normally|usually|have)|youd put|normally|usually|used to (?:use|put|add)'
        .'|could|can (?:also |always )?(?:use|swap|put|take)|might|maybe you want|if|unless|in case'
        .'|you(?:ll)? (?:only |just )?end up with|makes about|yields?'
        .'|(?:last|next) (?:time|video|week|year|month|sunday|saturday)|i said|you said|instead|comments?|ate|eaten|(?:the )?original(?:ly)? (?:has|had|used|called|calls)|had(?! to)|stole|stolen|kidding|joking'
        .'|(?:gone|went|going|moved) from|weigh(?:ed|t)? (?:it|them|that) down with|imagine|once upon|for example|filled with|percent off|discount|sponsor(?:s|ed)?|promo|costs?|bucks|dollars|pounds? a (?:bag|box|kilo)'
        .')\b/u';

    /** The turn to what is: the last of these is where the telling of this bowl begins again. */
    private const TURNED = '/^.*\b(?<!normally )(?<!usually )(?<!sometimes )(?<!if )(?<!when )(?<!time )(?<!that )(?:and |but )?'
        .'(?=there is|theres|there are|i add|we add|you add|i also|we also|you also|you need|i use|we use|i take|im using|were using|i make it|i make that|i weighed|that was|that came|that comes|so its)/u';

    /** A seller's word: nothing in such a sentence goes into a bowl. */
    private const SELLING = '/\b(?:sponsor(?:s|ed|ing)?|percent off|promo code|discount code|use (?:the )?code|with the code|affiliate|free trial|link (?:is )?(?:down )?below)\b/u';

    /** What is promised for another day: nothing behind it is of this recipe. */
    private const GOODBYE = '/\b(?:see you (?:next|in the|soon|on|again)|next (?:week|video|time|month|episode) (?:we|i|ill|well|its))\b/u';

    /** What goods hold that are only spoken of: "because the cubes have onion in them", "made from bones and water". */
    private const HOLDING = '/\b(?:(?:that|it|they|which|those|these|some|most|many|cubes?|brands?|tins?|jars?|ones?|stuff|pips?|seeds?|stones?) (?:\w+ ){0,2}(?:has|have|had|contains?|hides?|holds?|comes? with)|(?:made|is made|are made) (?:from|of|with|out of)|nothing in (?:the |it |there )?(?:\w+ )?but|full of|packed with|loaded with|nothing but|just has|only has)(?: \w+){0,3}$/u';

    /** What follows goes into every bowl again, after what was only for others. */
    private const ON_AGAIN = ['then', 'next', 'now', 'after'];

    /** The turn from what was to what is. */
    private const BUT_NOW = '/\b(?:but|and) (?:now|today|this time|these days)\b|\b(?:now|today|this time|these days) (?:(?:i|we) (?:use|take|put|add|have|make)|its|im)\b/u';

    /** What opens a sentence that only holds when something else does. */
    private const CONDITIONAL = ['if', 'unless', 'should', 'whenever'];

    private const ASKING = ['who', 'what', 'how', 'when', 'where', 'why', 'is', 'isnt', 'are', 'arent', 'do', 'does', 'did', 'didnt', 'dont', 'doesnt', 'can', 'cant', 'could', 'should', 'would', 'wont', 'right', 'ok', 'okay', 'yes', 'no', 'yeah', 'see', 'hey', 'eh', 'correct'];

    /** Words before the first word that counts. */
    private const OPENINGS = [
        'and', 'so', 'now', 'then', 'next', 'okay', 'ok', 'right', 'alright', 'well', 'but', 'or', 'first', 'second', 'third', 'last', 'lastly', 'finally', 'oh', 'plus', 'also', 'just', 'only', 'um', 'uh', 'of', 'course',
        'to', 'start', 'with', 'another', 'optional', 'optionally', 'number', 'there', 'theres', 'heres', 'here', 'ive', 'got', 'weve', 'yes', 'no', 'aye', 'in', 'goes', 'go', 'ingredient', 'ingredients', 'its', 'thats', 'this', 'is', 'anyway', 'anyhow', 'today', 'tonight',
    ];

    /** Behind one of these, and at most six words more, a number of pieces goes in. */
    private const PLACING = '/\bwith$|\b(?:bring|brings|bringing|doing|buy|bought|bind|binds|bound|says|calls for|do|does|add|adding|added|take|taking|takes|need|needs|want|use|using|put|putting|goes|go|get|got|gets|have|has|crack|beat|mash|grate|mashed|grated|chopped|cracked|peeled|sliced|melted|stir|mix|tip|throw|start with|begin with|going with|poached|boiled|cooked'
        .'|its|thats|theres|heres|there|is|are|was|were|chuck|drop|blend|blitz|whisk|in)\b(?: \w+){0,6}\s*$/u';

    /** Whether the words before a food say that it does not go in now. */
    public static function isNotNow(string $prefix): bool
    {
        return preg_match(self::NOT_NOW, preg_replace(self::TURNED, '', $prefix) ?? $prefix) === 1 && ! self::isBackNow($prefix);
    }

    /** "I used to use wheat but now I use buckwheat". */
    public static function isBackNow(string $prefix): bool
    {
        return preg_match(self::BUT_NOW, $prefix) === 1;
    }

    /** Whether the words before a food without an amount say what something holds, not what is put in. */
    public static function isHolding(string $prefix): bool
    {
        return preg_match(self::HOLDING, $prefix) === 1;
    }

    /**
     * "So that gets me around nine ounces of jerky": what came out of the oven.
     *
     * @param  string  $prefix  the words up to the food, or behind the amount where no food is named
     */
    public static function isYield(string $prefix, bool $hasFood): bool
    {
        return preg_match($hasFood ? '/\b(?:you(?:ll)? (?:only |just )?get|(?:gets|gives|makes|leaves|yields) (?:me|you|us)) (?:about|around|roughly)\b/u' : '/\byou(?:ll)? (?:only |just )?get (?:about|around|roughly)\b/u', $prefix) === 1;
    }

    /** "Now for the frosting": another part of the same treat begins. */
    public static function isOtherPart(string $said): bool
    {
        return preg_match('/\b(?:for|now|onto|make|do|doing|making|to|next|then|is|and) (?:the |a |our |your |my )?(?:\w+ )?(?:frosting|icing|topping|filling|glaze|coating|drizzle|sauce|decoration)\b/u', $said) === 1;
    }

    /** "You could use coconut oil, or …", "or a flax egg if yours can't have eggs": a whole sentence for others. */
    public static function isOfOthers(string $said): bool
    {
        if (preg_match('/^(?:\w+ ){0,2}(?:i would|id|we would|wed) (?:normally |usually |have )?(?:use|used|put)\b.* but (?:i|we) (?:ran out|ran short|havent|had none|dont have|didnt have)\b/u', $said) === 1) {
            // "I would use oat but I ran out"
            return true;
        }

        if (preg_match('/^(?:and |so |but )?i (?:thought about|considered|was tempted to|nearly|almost) (?:put|add|us|throw|chuck|stir)\w*\b/u', $said) === 1 && preg_match('/\b(?:but|and) i (?:used|put|went|did|added)\b/u', $said) !== 1) {
            // "I thought about putting a spoon of yeast extract in but that's solid salt"
            return true;
        }

        return (preg_match('/^(?:or|and|but|so|now)? ?(?:you (?:could|can also|might|may)|some (?:people|folks|do)|others)\b/u', $said) === 1 || preg_match('/^or\b.*\bif\b/u', $said) === 1)
            && preg_match('/\b(?:but|and) i (?:use|used|take|put)\b/u', $said) !== 1 && ! self::isBackNow($said);
    }

    public static function isWaterKept(string $said): bool
    {
        return preg_match('/\b(?:keep|kept|save|saved|reserve|reserved|hang on to) (?:all |some )?(?:of )?(?:the|its|their|that) (?:cooking |poaching |boiling )?(?:water|liquid)\b/u', $said) === 1;
    }

    /** "Poach them, five minutes, in water": water that is poured away again. */
    public static function isCookedIn(string $before): bool
    {
        return preg_match('/\b(?:poach|poached|boil|boiled|simmer|simmered|cook|cooked|steam|steamed|rinse|rinsed|wash|washed|soak|soaked|cover|covered)\b/u', $before) === 1;
    }

    /** "No, let's say", "no, make it": what was named is another food. */
    public static function isInstead(string $between): bool
    {
        return preg_match('/^no (?:no )?(?:lets (?:say|use|do|make it)|make it|make that|ill (?:use|do|take)|its|i mean|i meant)$/u', $between) === 1;
    }

    /** "Size of a hazelnut", "like a walnut": what a thing is likened to. */
    public static function isLikened(string $before): bool
    {
        return preg_match('/\b(?:sized? (?:of|like)|big as|large as|thick as|shape of|shaped like|(?:smaller|bigger|larger|thicker|thinner|less) than|looks? like|tastes? like|smells? like)(?: an?| the| your)?$/u', $before) === 1;
    }

    /**
     * "We needed two tablespoons of water, didn't we?": the token at which a telling sentence turns into a question.
     *
     * @return int 0 where it asks from its beginning
     */
    public static function asksFrom(Words $words): int
    {
        for ($k = count($words->tokens) - 1; $k > 0; $k--) {
            if ($words->tokens[$k]->is(',', '-', ';')) {
                $next = $words->tokens[$k + 1] ?? null;
                $next = $next?->is('and', 'but', 'so') === true ? ($words->tokens[$k + 2] ?? null) : $next;
                if ($next?->is(...self::ASKING) === true) {
                    return $k;
                }
            }
        }

        return 0;
    }

    /** "Last week we made the duck strips". */
    public static function isOfBefore(string $said): bool
    {
        return preg_match('/\b(?:last (?:time|video|week|year|month|sunday|saturday)|store bought|shop bought|next (?:time|video|week|friday|sunday))\b/u', $said) === 1;
    }

    /** "I had some coconut water open, so I'm using a quarter cup of that": told of another day, and used now. */
    public static function isUsedNow(Piece $piece): bool
    {
        $food = $piece->foods[0] ?? null;
        $amount = $piece->amounts === [] ? null : $piece->amounts[array_key_last($piece->amounts)];

        return $food !== null && $amount !== null && $amount->from >= $food->to
            && preg_match('/\bmake (?:that|it)\b|\b(?:i|we|you) (?:only |just )?need\b|\b(?:im|i am|were|we are|i|we) (?:using|use|used|put|putting|add|adding|take|taking|going with)\b/u', Phrase::said($piece->words, $food->to, $amount->from)) === 1;
    }

    /** "I'll begin again": what was told so far is told anew. */
    public static function isFromTheTop(string $said): bool
    {
        return preg_match('/^(?:\w+ ){0,4}(?:(?:start|begin) (?:again|over|from the (?:top|beginning))|from the top|scrap all (?:that|of that))\b/u', $said) === 1;
    }

    /** "Actually skip the turmeric", "there is no treacle in these": takes out what was told before. */
    public static function isTakenOut(string $before): bool
    {
        return preg_match('/\b(?:sorry|no|wait|oops|actually)(?: no)? not(?: the)?$/u', $before) === 1 || preg_match('/\b(?:skip|leave out|leaving out|ditch|forget|ignore|scrap|omit|not using|wouldnt use|dont use|stopped using|there is no|theres no|isnt any)(?: the| any| that| your)?$/u', $before) === 1 && ! self::isNotNow($before);
    }

    /** "Actually, forget the stock": no negation of a line, but what was told before goes out; "don't forget the egg" is none. */
    public static function isForgotten(string $before): bool
    {
        return preg_match('/(?<!dont )(?<!not )(?<!never )(?<!cant )\b(?:forget|scrap|scratch|strike)(?: about)?(?: the| that)?$/u', $before) === 1;
    }

    /** "My husband says, put chilli", "you'll see some recipes with a clove of garlic": what others put in, until it is denied. */
    public static function isReported(string $said): bool
    {
        return preg_match('/\b(?:says?|said|saying|wanted|wants|asked|asks|asking|suggests?|suggested|reckons|some recipes|other recipes|people|some folks?|others|somebody|someone|everybody)\b/u', $said) === 1;
    }

    /** "No.", "Don't.", "I said absolutely not, …". */
    public static function isDenial(string $said): bool
    {
        return preg_match('/^(?:(?:no|nope|never|dont|please dont|no way|absolutely not|definitely not|not a chance|i dont|i wouldnt|i wont|i never do|just no)(?: (?:no|thank you|thanks|please|ever|ever ever))*$|(?:and |but |so |well )?i (?:said|say|told (?:him|her|them)) (?:absolutely |definitely )?(?:no|not|never)\b)/u', $said) === 1;
    }

    /** "Hmm, no, hang on.": what was told last may be wrong, and the next sentence says it better. */
    public static function isDoubt(string $said): bool
    {
        return preg_match('/^(?:(?:hmm|um|uh|oh|no|wait|hang on|hold on|sorry|oops|actually|a|minute|second|sec|let me check|thats not right|thats wrong|scratch that)\s*)+$/u', $said) === 1
            && preg_match('/\b(?:no|wait|hang on|hold on|sorry|oops|wrong|scratch)\b/u', $said) === 1;
    }

    public static function isSelling(string $said): bool
    {
        return preg_match(self::SELLING, $said) === 1;
    }

    public static function isConditional(Words $words): bool
    {
        return in_array(self::firstWord($words), self::CONDITIONAL, true);
    }

    /** Whether a clause stands behind "or if your dog cannot have egg", and nothing has led back since, or behind a good-bye. */
    public static function isForOthers(Words $words, Clause $clause): bool
    {
        if (preg_match(self::GOODBYE, Phrase::said($words, 0, $clause->from)) === 1) {
            return true;
        }
        for ($n = $clause->from; $n > 0; $n--) {
            $token = $words->tokens[$n - 1];
            if ($token->is(...self::ON_AGAIN)) {
                return false;
            }
            if ($token->is('if', 'when') && ($words->tokens[$n - 2] ?? null)?->is('or') === true) {
                return true;
            }
        }

        return false;
    }

    /** Whether a number of pieces is put in: at the head of the sentence, or behind a word that takes it. */
    public static function isPlaced(Words $words, int $first, string $prefix): bool
    {
        $from = 0;
        foreach (array_slice($words->tokens, 0, $first) as $n => $token) {
            $from = $token->is(':') ? $n + 1 : $from;
        }

        return self::isAtHead($words, $first, $from) || preg_match(self::PLACING, $prefix) === 1;
    }

    /** Whether an "and" or a comma leads to it: the list goes on. */
    public static function isJoined(Words $words, int $first): bool
    {
        return ($words->tokens[$first - 1] ?? null)?->is('and', '&', 'plus', '+', ',', 'then') === true;
    }

    /** Whether nothing but openings, articles, vessels and forms stands before a food: "so, the tin of sardines". */
    public static function isAtHead(Words $words, int $first, int $from = 0): bool
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        foreach (array_slice($words->tokens, $from, $first - $from) as $token) {
            if ($token->kind === Token::WORD && ! in_array($token->text, self::OPENINGS, true) && ! isset($forms[$token->stem]) && ! $token->is('the', 'your', 'my', 'that', 'our', 'tin', 'can', 'jar', 'pot', 'tub', 'bag', 'bowl')) {
                return false;
            }
        }

        return true;
    }

    /** Whether nothing but forms stands behind a food. */
    public static function isAtEnd(Words $words, int $from): bool
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        foreach (array_slice($words->tokens, $from) as $token) {
            if ($token->kind === Token::WORD && ! isset($forms[$token->stem]) && ! $token->is('the', 'and', 'one', 'ones', 'kind', 'next')) {
                return false;
            }
        }

        return true;
    }

    /** A food of a list without words of its own between it and the joint. */
    public static function isBare(Words $words, Mention $food, int $end): bool
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        for ($k = $food->from - 1; $k >= $end; $k--) {
            $token = $words->tokens[$k];
            if ($token->is(',', 'and', '&', '+', 'plus')) {
                return true;
            }
            if (! isset($forms[$token->stem]) && ! $token->is('fresh', 'some', 'ripe', 'chopped', 'little', 'a', 'bit', 'of', 'dash')) {
                return false;
            }
        }

        return false;
    }

    public static function isThere(Words $words, Mention $food): bool
    {
        $before = $words->tokens[$food->from - 3] ?? null;
        if ($before?->is('the', 'that', 'your', 'my') === true && $words->tokens[$food->from - 1]->is('of') && $words->tokens[$food->from - 2]->kind === Token::WORD) {
            // "so the tin of sardines"
            return true;
        }
        for ($k = $food->from - 1; $k >= max(0, $food->from - 2); $k--) {
            if ($words->tokens[$k]->is('the', 'your', 'my', 'that', 'this', 'those', 'these', 'our', 'both', 'rest', 'remaining', 'his', 'her', 'their')) {
                return true;
            }
            if ($words->tokens[$k]->kind !== Token::WORD || $words->tokens[$k]->is('of', 'and')) {
                return false;
            }
        }

        return false;
    }

    private static function firstWord(Words $words): string
    {
        foreach ($words->tokens as $token) {
            if ($token->kind === Token::WORD && ! in_array($token->text, self::OPENINGS, true)) {
                return $token->text;
            }
        }

        return '';
    }
}
