<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;
use MildBowl\Core\Values\Range;

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
    private const SUMMED_UP = '/\b(?:so thats|thats|so were at|were at|were up to|so ill have|all told|altogether|left with|in total|in all|makes|call it|came (?:out )?(?:at|to)|comes out at|came in at|weigh(?:s|ed)(?: in at| them| it)?|work(?:s|ed) out at|that was|which was|so its|its now|gives me|gave me|give you|comes to|ends up)(?: \w+){0,2}\s*$/u';

    /** Counted, and no food. */
    private const NO_FOOD = ['dog', 'dogs', 'pup', 'pups', 'puppy', 'puppies', 'percent', 'years', 'months', 'weeks', 'days', 'minutes', 'hours', 'times', 'thick', 'each', 'ingredient', 'ingredients', 'recipe', 'recipes', 'things', 'kinds', 'flavours', 'flavors', 'layers', 'batches', 'trays', 'people', 'mixture', 'dough', 'batter', 'mix', 'nothing'];

    /** From so many on nobody counts pieces: of what comes in pieces, and of what does not. */
    private const TOO_MANY = 60;

    private const MANY = 20;

    /** A number behind one of these tells which, not how many: "ingredient two is cheddar". */
    private const ORDINAL = ['ingredient', 'number', 'step', 'mark', 'recipe', 'part', 'version', 'option', 'tip', 'batch', 'day', 'week', 'level', 'page', 'type'];

    /** Words that go on with what is being measured. */
    private const GOES_ON = '/\b(?:so|make (?:it|that)|call it|thats|up to|using|used|no|wait|rather|actually|ended up|ended up with)$|\b(?:make (?:it|that)|ended up (?:using|with)|i used|it took)\b/u';

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
        if (self::isMore($first, $prefix, $words) || ($isOtherPart && $corrected === null && self::isMeasured($amounts))) {
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
        if ($before[0]->unit === 'tin' && Unit::isMass('metric', $first->unit) && preg_match('/\b(?:tinned|canned)\b/u', $serving->words) !== 1) {
            $serving->words .= ', tinned';
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
        foreach ($amounts as $one) {
            $before = $kept === [] ? null : $kept[array_key_last($kept)];
            if ($before === null || $one->to === 0) {
                $kept[] = $one;

                continue;
            }
            $between = array_map(static fn (Token $token): string => $token->text, array_slice($words->tokens, $before->to, max(0, $one->from - $before->to)));
            if (array_diff($between, ['+', 'plus', 'and', '&']) === [] && $one->unit !== 'each') {
                $kept[] = $one;

                continue;
            }
            if (in_array($before->unit, Serving::VAGUE, true) && self::isOfAVessel(implode(' ', array_filter($between, ctype_alpha(...))))) {
                $kept = [new Amount($one->quantity->timesRange($before->quantity), $one->unit, null, $one->from, $one->to)];

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
    public static function inGrams(array $amounts, Words $words, Mention $food, bool $isInGrams, bool $isCountable): array
    {
        $isGuessed = false;
        foreach ($isInGrams ? $amounts : [] as $n => $one) {
            $isBefore = $one->to <= $food->from && in_array(Phrase::said($words, $one->to, $food->from), ['', 'of', 'of the'], true) && ($words->tokens[$one->to] ?? null)?->is(',', '.') !== true;
            $isLast = ! isset($words->tokens[$one->to]) || $words->tokens[$one->to]->is('.', '!', ',', ';');
            $isBehind = $one->from >= $food->to && ($words->tokens[$one->to] ?? null)?->is('for', 'degrees', '°', 'c', 'f', 'minutes') !== true && ($one->from <= $food->to + 1 || ($isLast && $one->from <= $food->to + 7 && preg_match('/^(?:\p{L}+ )?(?:up to|its|is|at|to|about)$/u', Phrase::said($words, $food->to, $one->from)) === 1));
            if ($one->unit === 'each' && $one->size === null && ($isBefore || $isBehind) && $one->quantity->best >= ($isCountable ? self::TOO_MANY : self::MANY)) {
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
            if ($before !== null && $one->unit === 'each' && $one->size === null && $before->quantity->low < $before->quantity->high && $one->quantity->best >= $before->quantity->low && $one->quantity->best <= $before->quantity->high && preg_match('/\b(?:needed|used|took)$/u', Phrase::said($words, $before->to, $one->from)) === 1) {
                // "three or four tablespoons, I used four"
                array_splice($amounts, $n - 1, 2, [new Amount($one->quantity, $before->unit, $before->size, $before->from, $before->to)]);

                return $amounts;
            }
            if ($before !== null && $one->unit === 'each' && $before->unit !== 'each' && ($one->quantity->best < 1.0 || ! $words->tokens[$one->from]->is('a', 'an', 'one'))
                && array_intersect(explode(' ', Phrase::said($words, $before->to, $one->from)), self::CORRECTED) !== []) {
                $amounts[$n] = new Amount($one->quantity, $before->unit, $before->size, $one->from, $one->to);
            }
        }

        return $amounts;
    }

    /**
     * Whether an amount behind a food says again, or better, what was said before it: corrected, summed up, weighed where it was counted,
     * measured where it was a handful, or the size of the tin.
     *
     * @param  non-empty-list<Amount>  $before
     */
    public static function isOfTheSame(Amount $amount, array $before, string $between): bool
    {
        if ($amount->contents !== null || array_intersect(explode(' ', $between), self::CORRECTED) !== [] || preg_match(self::SUMMED_UP, $between) === 1) {
            return true;
        }
        $isBare = $amount->unit === 'each' && $amount->quantity->best >= self::MANY;
        $isVague = array_filter($before, static fn (Amount $one): bool => ! in_array($one->unit, Serving::VAGUE, true)) === [];
        $isMass = Unit::isMass('metric', $amount->unit) || ($isBare && ($isVague || $before[0]->unit === 'tin'));

        if (preg_match('/\b(?:but|only)\b/u', $between) === 1 && preg_match('/\bof (?:those|them|that|it)$/u', $between) !== 1 && $isMass && count($before) === 1 && in_array($before[0]->unit, ['packet', 'each', 'tin'], true)) {
            // "half a bag of frozen peas but he's only getting sixty grams of those"
            return true;
        }
        if (in_array($before[0]->unit, ['packet', 'tin'], true) && self::isMeasured([$amount]) && preg_match('/\bonly (?:need|use|want|take|getting)$/u', $between) === 1) {
            return true;
        }

        return ($isVague && ($isBare || self::isMeasured([$amount]))) || ($isMass && count($before) === 1 && in_array($before[0]->unit, ['each', 'tin'], true) && $before[0]->contents === null);
    }

    /** Says once more what a food's amount is: the contents of its tin, the weight of its pieces, or another amount. */
    public static function again(Serving $serving, Amount $amount, string $between, Words $words): void
    {
        $first = count($serving->amounts) === 1 ? $serving->amounts[0] : null;
        $isMass = Unit::isMass('metric', $amount->unit);
        $isEach = ($words->tokens[$amount->to] ?? null)?->is('each', 'apiece') === true;
        if ($first !== null && in_array($first->unit, Serving::VAGUE, true) && $amount->unit === 'each' && $amount->quantity->best >= self::MANY) {
            // "the mug of flour is a hundred and thirty"
            $serving->amounts = [new Amount($amount->quantity, 'g', null, 0, 0)];

            return;
        }
        if ($first !== null && in_array($first->unit, ['tin', 'packet'], true) && ! $isMass && self::isMeasured([$amount]) && preg_match('/\bonly (?:need|use|want|take|getting)$/u', $between) === 1) {
            // "a carton of oat milk, we only need a hundred mils out of it"
            $serving->amounts = [new Amount($amount->quantity, $amount->unit, null, 0, 0)];

            return;
        }
        if ($amount->unit === 'each' && $amount->quantity->best >= self::MANY && $first?->unit === 'tin' && $first->contents === null) {
            // "tin of peas, drained, another 180"
            $serving->amounts = [new Amount($first->quantity, 'tin', null, 0, 0, new Amount($amount->quantity, 'g', self::isDrained($amount, $between, $words), 0, 0))];
            $serving->isSure = false;

            return;
        }
        if ($isMass && $first?->unit === 'tin' && $first->contents === null && abs($first->quantity->best - 1.0) > 1e-6 && ! $isEach && preg_match('/\b(?:thats|its|comes to)(?: about| around)?$/u', $between) === 1) {
            // "half a tin of pumpkin, so that's about 200 grams"
            $serving->words .= preg_match('/\b(?:tinned|canned)\b/u', $serving->words) === 1 ? '' : ', tinned';
            $serving->amounts = [new Amount($amount->quantity, $amount->unit, null, 0, 0)];

            return;
        }
        if ($isMass && $first?->unit === 'tin' && $first->contents === null) {
            $drained = self::isDrained($amount, $between, $words);
            $serving->amounts = [new Amount($first->quantity, 'tin', null, 0, 0, new Amount($amount->quantity, $amount->unit, $drained, 0, 0))];

            return;
        }
        if ($first !== null && in_array($first->unit, Serving::VAGUE, true) && self::isOfAVessel($between)) {
            // "two mugs, and my mug is 250 mils"
            $serving->amounts = [new Amount($amount->quantity->timesRange($first->quantity), $amount->unit, null, 0, 0)];

            return;
        }
        if ($isMass && $isEach && $first?->unit === 'each') {
            $serving->amounts = [new Amount($amount->quantity->timesRange($first->quantity), $amount->unit, null, 0, 0)];

            return;
        }
        if ($first?->unit === 'packet' || ($isMass && $first?->unit === 'each')) {
            $serving->amounts = [new Amount($amount->quantity, $amount->unit, null, 0, 0)];

            return;
        }
        self::settle($serving, [$amount], $between, $words, null, true);
    }

    /** "112 grams drained", "drained, that's 180 grams": the size of an amount that was weighed without its liquid. */
    private static function isDrained(Amount $amount, string $between, Words $words): ?string
    {
        return ($words->tokens[$amount->to] ?? null)?->is('drained') === true || preg_match('/\bdrained\b.*\b(?:thats|another|leaves|comes to)\b/u', $between.' '.($words->tokens[$amount->from]->text ?? '')) === 1 ? Amount::DRAINED : null;
    }

    /** "Two mugs, and my mug is 250 mils": what one of them holds. */
    private static function isOfAVessel(string $between): bool
    {
        return preg_match('/\b(?:my|the|that) (?:mug|cup|glass|bowl|scoop|katori|teacup) (?:is|holds|takes|was)(?: about| around| roughly)?$/u', $between) === 1;
    }

    /** "Your tin of mackerel": one of it, unless it was spoken of before. */
    public static function vesselOf(Words $words, Mention $food, bool $isKnown): ?Amount
    {
        $is = static fn (int $back, string ...$texts): bool => ($words->tokens[$food->from - $back] ?? null)?->is(...$texts) === true;
        $isLed = $food->from === 2 || $is(3, 'your', 'my', 'the', 'that', 'this', 'our', 'whole', 'small', ',', 'and', 'then', ':');

        return ! $isKnown && $is(1, 'of') && $is(2, 'tin', 'can', 'jar', 'pouch') && $isLed ? new Amount(Range::exact(1), 'tin', null, max(0, $food->from - 3), $food->from) : null;
    }

    /**
     * "Then it wanted more, so I put another 30 in. So 280 all told.": a bare number that goes on with what is measured is in its unit.
     *
     * @param  list<Amount>  $amounts
     * @return list<Amount>
     */
    public static function inTheUnitOf(Serving $topic, array $amounts, string $prefix, Words $words): array
    {
        $own = count($topic->amounts) === 1 ? $topic->amounts[0] : null;
        if ($own === null || Unit::in('metric', $own->unit) === null) {
            return $amounts;
        }
        foreach ($amounts as $n => $one) {
            $behind = Phrase::said($words, $one->to, $one->to + 3);
            $isMore = self::isMore($one, $prefix, $words);
            if ($one->unit !== 'each' || $one->size !== null || $words->tokens[$one->from]->is('a', 'an') || preg_match('/^(?:of (?:them|those|these)|pieces?|biscuits?|treats?|balls?|degrees?|times|more biscuits)\b/u', $behind) === 1
                || preg_match('/\b(?:makes|get|got|cut|came to|gas mark|at)$/u', $prefix) === 1) {
                continue;
            }
            $share = $one->quantity->best / max(1e-9, $own->quantity->best);
            $isFine = in_array($own->unit, ['g', 'ml'], true) && $one->quantity->best >= 10.0;
            $isWithin = $own->quantity->low < $own->quantity->high && $one->quantity->best >= $own->quantity->low && $one->quantity->best <= $own->quantity->high && preg_match('/\b(?:needed|used|took)$/u', $prefix) === 1;
            if ($isMore || $isWithin || ($isFine && $share > 0.3 && $share < 3.5 && (preg_match(self::GOES_ON, $prefix) === 1 || preg_match('/^(?:all told|altogether|in total|in all|in the end)\b/u', $behind) === 1))) {
                $amounts[$n] = new Amount($one->quantity, $own->unit, $own->size, $one->from, $one->to);
            }
        }

        return $amounts;
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

    public static function isMore(Amount $amount, string $prefix, Words $words): bool
    {
        $opens = $words->tokens[$amount->from - 1] ?? null;

        return ($words->tokens[$amount->from] ?? null)?->is(...self::MORE) === true || ($opens !== null && in_array($opens->text, self::MORE, true)) || preg_match('/\b(?:another|more|extra)\b/u', $prefix) === 1;
    }

    public static function isSummedUp(string $prefix): bool
    {
        return preg_match(self::SUMMED_UP, $prefix) === 1;
    }

    /** A weight of many kilos or pounds behind a food that has its amount is a dog's. */
    public static function isOfADog(Amount $amount): bool
    {
        return in_array($amount->unit, ['kg', 'lb', 'stone'], true) && $amount->quantity->best >= 3.0;
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
        $opens = $words->tokens[$amount->from];
        if ($opens->kind === Token::WORD && $amount->to === $amount->from + 1 && $amount->unit !== 'each' && str_ends_with($opens->text, 's') && $opens->stem !== $opens->text) {
            // "six spoons of milk, big spoons"
            return false;
        }
        $behind = $next?->is('the', 'this', 'that', 'your', 'my') === true ? ($words->tokens[$amount->to + 1] ?? null) : $next;
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
