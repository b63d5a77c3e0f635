<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
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
    private const SUMMED_UP = '/\b(?:so thats|thats|so were at|were at|were up to|so ill have|all told|altogether|left with|in total|in all|makes|call it|came (?:out )?(?:at|to)|comes out at|came in at|weigh(?:s|ed)(?: in at| them| it)?|work(?:s|ed) out at|that was|which was|so its|its now|gives me|gave me|give you|comes to|ends up)(?: \w+){0,2}\s*$|\bwhich is about$|\bweighed (?:it|them|that)\b(?: \w+){0,3} it (?:was|came to)$/u';

    /** From so many on nobody counts pieces: of what comes in pieces, and of what does not. */
    private const TOO_MANY = 60;

    private const MANY = 20;

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
            $isBehind = $one->from >= $food->to && ($words->tokens[$one->to] ?? null)?->is('for', 'degrees', '°', 'c', 'f', 'minutes') !== true && ($one->from <= $food->to + 1 || ($isLast && self::isFormOnly($words, $food->to, $one->from)) || ($isLast && $one->from <= $food->to + 7 && preg_match('/^(?:\p{L}+ )?(?:up to|its|is|at|to|about)$/u', Phrase::said($words, $food->to, $one->from)) === 1));
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

    /** "Flour, plain, 120". */
    private static function isFormOnly(Words $words, int $from, int $to): bool
    {
        $forms = Compiled::tables()['formWords']['phrases'];
        $between = array_filter(array_slice($words->tokens, $from, $to - $from), static fn (Token $token): bool => $token->kind !== Token::MARK);

        return count($between) <= 3 && array_filter($between, static fn (Token $token): bool => ! isset($forms[$token->stem])) === [];
    }

    /** "I've got a watermelon here, and I want two cups of that". */
    public static function isOfThat(Amount $amount, Words $words): bool
    {
        return self::isMeasured([$amount]) && preg_match('/^(?:of )?(?:that|it|this|those|them)\b/u', Phrase::said($words, $amount->to, $amount->to + 2)) === 1
            && ($words->tokens[$amount->to - 1]->is('of') || ($words->tokens[$amount->to] ?? null)?->is('of') === true);
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
        if ($amount->unit === 'each' && $before[0]->unit === 'each' && preg_match('/\bi (?:used|put|had|took)$/u', $between) === 1) {
            // "a couple of blueberries if you like, I used six"
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
        if ($isMass && $first?->unit === 'tin' && $first->contents === null && abs($first->quantity->best - 1.0) > 1e-6 && ! $isEach && preg_match('/\b(?:thats|its|comes to|which is)(?: about| around)?$/u', $between) === 1) {
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

    public static function isMore(Amount $amount, string $prefix, Words $words): bool
    {
        $opens = $words->tokens[$amount->from - 1] ?? null;

        return ($words->tokens[$amount->from] ?? null)?->is(...self::MORE) === true || ($opens !== null && in_array($opens->text, self::MORE, true)) || preg_match('/\b(?:another|more|extra)\b/u', $prefix) === 1;
    }

    public static function isSummedUp(string $prefix): bool
    {
        return preg_match(self::SUMMED_UP, $prefix) === 1;
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
}
