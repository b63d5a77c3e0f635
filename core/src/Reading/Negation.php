<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;

/**
 * Which foods of a line are named only to keep them out ("no onion", "xylitol-free", "stay away from dark chocolate", "raisins are toxic").
 * A negation silences what it names and nothing else: it reaches the next food, and on through "or", never over a number, a mark or a
 * word it does not know. A negation of a negation silences nothing: "it's not the same without the raisins".
 */
final class Negation
{
    /** What negates, word by word; true where "and" carries it on too. */
    private const PHRASES = [
        'no' => false, 'nae' => false, 'not' => false, 'without' => true, 'never' => false, 'avoid' => true, 'avoiding' => true, 'omit' => true, 'omitting' => true, 'skip' => true, 'skipping' => true,
        'minus' => false, 'dont' => false, 'doesnt' => false, 'didnt' => false, 'wont' => false, 'wouldnt' => false, 'shouldnt' => false, 'mustnt' => false, 'cannot' => false, 'cant' => false,
        'havent' => false, 'hasnt' => false, 'isnt' => false, 'arent' => false, 'neither' => false, 'nor' => false, 'exclude' => true, 'excluding' => true, 'excludes' => true, 'non' => false,
        'zero' => false, 'except' => false, 'beware' => false, 'unlike' => false, 'ditch' => true, 'refuse' => true, 'replaces' => true, 'replacing' => true,
        'instead of' => true, 'rather than' => true, 'free of' => true, 'free from' => true, 'away from' => true, 'clear of' => true, 'leave out' => true, 'leaving out' => true,
        'left out' => true, 'careful of' => true, 'wary of' => true, 'aware of' => true, 'out for' => true, 'devoid of' => true, 'check for' => false, 'checked for' => false,
        'in place of' => true, 'in lieu of' => true, 'alternative for' => true, 'alternative to' => true, 'substitute for' => true, 'replacement for' => true, 'stand in for' => true,
        'sub for' => true, 'allergic to' => true, 'none of' => true, 'none of them is' => true, 'none of them are' => true, 'none of which is' => true, 'none of it is' => true, 'nothing of' => true, 'no need for' => true, 'hold the' => false, 'cut out' => true, 'kept out' => true, 'keep out' => true,
    ];

    /** Most words of a negation that begins with this one. */
    private const FIRST = [
        'no' => 3, 'nae' => 1, 'not' => 1, 'without' => 1, 'never' => 1, 'avoid' => 1, 'avoiding' => 1, 'omit' => 1, 'omitting' => 1, 'skip' => 1, 'skipping' => 1,
        'minus' => 1, 'dont' => 1, 'doesnt' => 1, 'didnt' => 1, 'wont' => 1, 'wouldnt' => 1, 'shouldnt' => 1, 'mustnt' => 1, 'cannot' => 1, 'cant' => 1,
        'havent' => 1, 'hasnt' => 1, 'isnt' => 1, 'arent' => 1, 'neither' => 1, 'nor' => 1, 'exclude' => 1, 'excluding' => 1, 'excludes' => 1,
        'non' => 1, 'zero' => 1, 'except' => 1, 'beware' => 1, 'unlike' => 1, 'ditch' => 1, 'refuse' => 1, 'replaces' => 1, 'replacing' => 1,
        'instead' => 2, 'rather' => 2, 'free' => 2, 'away' => 2, 'clear' => 2, 'leave' => 2, 'leaving' => 2, 'left' => 2, 'careful' => 2, 'wary' => 2,
        'aware' => 2, 'out' => 2, 'devoid' => 2, 'check' => 2, 'checked' => 2, 'in' => 3, 'alternative' => 2, 'substitute' => 2, 'replacement' => 2,
        'stand' => 3, 'sub' => 2, 'allergic' => 2, 'none' => 4, 'nothing' => 2, 'hold' => 2, 'cut' => 2, 'kept' => 2, 'keep' => 2,
    ];

    /** Words of one negation that may stand before the food it means. */
    private const SKIPPED = [
        'any', 'added', 'of', 'the', 'a', 'an', 'trace', 'traces', 'kind', 'contain', 'contains', 'containing', 'hold', 'holds', 'has', 'have', 'having', 'had', 'use', 'using', 'used', 'add',
        'adding', 'put', 'putting', 'give', 'giving', 'feed', 'feeding', 'even', 'ever', 'plain', 'raw', 'to', 'substitute', 'include', 'includes', 'including', 'real', 'hidden', 'form',
        'mix', 'be', 'eat', 'fed', 'given', 'allow', 'buy', 'confuse', 'with', 'it', 'list', 'lists', 'listed', 'want', 'need', 'like', 'think', 'thinking', 'about', 'way', 'i', 'we', 'you', 'id',
        'would', 'should', 'could', 'will', 'shall', 'anything', 'everything', 'something', 'things', 'thing', 'stuff', 'food', 'foods', 'products', 'toxic', 'poisonous', 'dangerous', 'such', 'as',
        'chuck', 'throw', 'bung', 'tip', 'whack', 'sneak', 'slip', 'sprinkle', 'drop', 'toss', 'serve', 'offer', 'try', 'let', 'bother', 'dare', 'go', 'near', 'throwing', 'chucking', 'them', 'him', 'her', 'this', 'these',
        'that', 'which', 'dogs', 'dog', 'your', 'my', 'our', 'own', 'into', 'in', 'from', 'got', 'taste', 'made', 'sign', 'hint', 'bought', 'do', 'tempted', 'instant', 'quick', 'brand', 'brands', 'type', 'types', 'those',
    ];

    /** What stands behind a negation and takes it back: "not only", "no more than", "don't forget", "never skip". */
    private const UNDONE = [
        'only', 'just', 'merely', 'less', 'more', 'forget', 'omit', 'skip', 'skipping', 'without', 'later', 'matter', 'problem', 'worry', 'worries', 'afraid', 'leave', 'leaving', 'avoid', 'too', 'much',
        'as', 'so', 'quite', 'all', 'fewer', 'than', 'miss', 'hesitate', 'exclude', 'stop',
    ];

    /** Negations that another one before them in the clause turns round. */
    private const TURNED = ['without' => true, 'omit' => true, 'omitting' => true, 'skip' => true, 'skipping' => true, 'avoid' => true, 'leave out' => true, 'leaving out' => true, 'left out' => true, 'exclude' => true, 'instead of' => true, 'free of' => true, 'minus' => true];

    private const NEGATIVE = [
        'no' => true, 'not' => true, 'never' => true, 'dont' => true, 'doesnt' => true, 'didnt' => true, 'wont' => true, 'wouldnt' => true, 'shouldnt' => true, 'cannot' => true, 'cant' => true,
        'couldnt' => true, 'isnt' => true, 'arent' => true, 'nothing' => true, 'nobody' => true, 'hardly' => true, 'aint' => true, 'wasnt' => true, 'mustnt' => true,
    ];

    /** Foods that a claim of freedom may be about two at a time. */
    private const LEFT_OUT = ['allium-plant', 'garlic-plant', 'added-salt', 'added-sugar', 'xylitol-sweetener', 'nutmeg-mace', 'grape-fruit', 'chocolate-cocoa'];

    /** Goods that are told apart by what they hold. */
    private const GOODS = ['polyol-unnamed', 'check-sugar-free', 'category-word', 'composite', 'composite-head', 'broth-bought', 'nut-butter', 'check-seasoned', 'check-vine-fruit'];

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions  in order
     * @return array<int, true> indexes of the mentions that are negated
     */
    public static function of(array $tokens, array $mentions): array
    {
        if ($mentions === []) {
            return [];
        }
        $byStart = [];
        foreach ($mentions as $index => $mention) {
            $byStart[$mention->from] ??= $index;
        }
        $negated = [];
        $count = count($tokens);
        for ($i = 0; $i < $count; $i++) {
            $most = self::FIRST[$tokens[$i]->text] ?? 0;
            if ($most === 0 || $tokens[$i]->kind !== Token::WORD) {
                continue;
            }
            [$word, $after] = self::phrase($tokens, $i, $most);
            if ($word === null || self::isUndone($tokens, $mentions, $i, $after, $word)) {
                continue;
            }
            $wide = self::PHRASES[$word] || in_array($tokens[$after]->text ?? '', ['use', 'add', 'put', 'give', 'feed', 'include', 'need'], true);
            self::reach($tokens, $mentions, $byStart, $after, $wide, $negated);
        }
        foreach ($mentions as $index => $mention) {
            $isFree = self::isFree($tokens, $mention);
            $isWarned = ! self::hasAmount($tokens, $mention) && KeptOut::isWarnedOf($tokens, $mention);
            if (! $isFree && ! $isWarned && ! KeptOut::isRemoved($tokens, $mention)) {
                continue;
            }
            $negated[$index] = true;
            // "onion- and garlic-free", "cloves and mace poison a dog"; but "oats and gluten-free flour" are two foods
            $named = ($mentions[$index + 1]->from ?? PHP_INT_MAX) <= $mention->to + 3;
            for ($k = $index; $k > 0 && ($isFree || $isWarned) && self::isListed($tokens, $mentions[$k - 1], $mentions[$k], $isFree && $named) && ($isWarned || Catalogue::isInGroup($mentions[$k - 1]->ingredient, self::LEFT_OUT)); $k--) {
                $negated[$k - 1] = true;
            }
        }

        return $negated;
    }

    /**
     * The longest negation that begins here.
     *
     * @param  list<Token>  $tokens
     * @return array{string|null, int}
     */
    private static function phrase(array $tokens, int $i, int $most): array
    {
        $word = null;
        $after = $i;
        $said = '';
        for ($k = $i; $k < $i + $most && isset($tokens[$k]); $k++) {
            $said = $k === $i ? $tokens[$k]->text : "$said {$tokens[$k]->text}";
            if (isset(self::PHRASES[$said])) {
                $word = $said;
                $after = $k + 1;
            }
        }

        return [$word, $after];
    }

    /**
     * Whether the words around a negation take it back: "don't" before it, "only" behind it.
     *
     * @param  list<Token>  $tokens
     */
    public static function isTakenBack(array $tokens, int $start, int $after): bool
    {
        return in_array($tokens[$after]->text ?? '', self::UNDONE, true) || self::isNegative($tokens[$start - 1] ?? null);
    }

    public static function isNegative(?Token $token): bool
    {
        return $token !== null && isset(self::NEGATIVE[$token->text]);
    }

    /**
     * "not only", "no more than", "don't forget", "not without".
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     */
    private static function isUndone(array $tokens, array $mentions, int $start, int $after, string $word): bool
    {
        if (self::isTakenBack($tokens, $start, $after)) {
            return true;
        }
        if (! isset(self::TURNED[$word])) {
            return false;
        }
        for ($k = $start - 1; $k >= 0; $k--) {
            $token = $tokens[$k];
            if ($token->kind !== Token::WORD || $token->is('but', 'so', 'because', 'then')) {
                return false;
            }
            foreach ($mentions as $mention) {
                // what negates a food of its own negates nothing else
                if ($k >= $mention->from && $k < $mention->to) {
                    return false;
                }
            }
            if (self::isNegative($token)) {
                // "don't forget to leave out" leaves out
                return $tokens[$k + 1]->is('forget', 'fail', 'hesitate', 'miss', 'forgetting') !== true;
            }
        }

        return false;
    }

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, int>  $byStart
     * @param  array<int, true>  $negated
     */
    private static function reach(array $tokens, array $mentions, array $byStart, int $i, bool $wide, array &$negated): void
    {
        $skipped = 0;
        $reached = 0;
        while (isset($tokens[$i])) {
            if (isset($byStart[$i])) {
                $index = $byStart[$i];
                if ($reached > 0 && ($tokens[$mentions[$index]->to] ?? null)?->kind === Token::NUMBER) {
                    return;
                }
                $negated[$index] = true;
                $reached++;
                for ($k = $index; isset($mentions[$k + 1]) && $mentions[$k + 1]->from < $mentions[$k]->to + 1 && $mentions[$k]->within; $k++) {
                    $negated[$k + 1] = true;
                }
                $i = $mentions[$k]->to;
                if (($tokens[$i] ?? null)?->is('with', 'containing', 'like') === true && isset($byStart[$i + 1]) && Catalogue::isInGroup($mentions[$k]->ingredient, self::GOODS)) {
                    // "no sweetener with birch sugar": what the goods hold is kept out with them
                    $i++;

                    continue;
                }
                $next = self::afterJoint($tokens, $mentions, $byStart, $i, $wide, $reached);
                if ($next === null) {
                    return;
                }
                $i = $next;
                $skipped = 0;

                continue;
            }
            $token = $tokens[$i];
            if ($reached === 0 && $token->is('one', 'ones') && ($tokens[$i + 1] ?? null)?->is('with', 'containing', 'that', 'made') === true) {
                // "not one with onion in it"
                $i++;

                continue;
            }
            if ($token->kind !== Token::WORD || ! in_array($token->text, self::SKIPPED, true) || ++$skipped > 6 || ($reached > 0 && $token->is('with', 'have', 'use', 'add'))) {
                return;
            }
            $i++;
        }
    }

    /**
     * Where a negation goes on behind a food it reached; null where it ends.
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, int>  $byStart
     */
    private static function afterJoint(array $tokens, array $mentions, array $byStart, int $i, bool $wide, int $reached): ?int
    {
        $joint = $tokens[$i] ?? null;
        if ($joint === null) {
            return null;
        }
        if ($joint->is('or', 'nor', '/') || ($wide && $joint->is('and', '&'))) {
            return $i + 1;
        }
        if (isset($byStart[$i]) && self::listGoesOn($tokens, $mentions, $byStart, $i, $wide)) {
            // "no salt onion or garlic", as it is spoken
            return $i;
        }
        if (! $joint->is(',') || ! self::listGoesOn($tokens, $mentions, $byStart, $i, $wide)) {
            return null;
        }
        $i++;
        if (($tokens[$i] ?? null)?->is('and', '&') === true) {
            // "without onion, garlic, and salt", but not "without sugar, and raisins"
            return $reached > 1 ? $i + 1 : null;
        }

        return ($tokens[$i] ?? null)?->is('or', 'nor') === true ? $i + 1 : $i;
    }

    /**
     * "no onion, garlic or salt": from this comma on, only foods and commas up to an "or".
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, int>  $byStart
     */
    private static function listGoesOn(array $tokens, array $mentions, array $byStart, int $i, bool $wide): bool
    {
        while (isset($tokens[$i])) {
            if (isset($byStart[$i])) {
                $i = $mentions[$byStart[$i]]->to;
            } elseif ($tokens[$i]->is(',')) {
                $i++;
            } elseif ($tokens[$i]->is('or', 'nor') || ($wide && $tokens[$i]->is('and', '&'))) {
                $last = $byStart[$i + 1] ?? null;

                return $last !== null && ($tokens[$mentions[$last]->to] ?? null)?->kind !== Token::NUMBER;
            } else {
                return false;
            }
        }

        return false;
    }

    /** @param  list<Token>  $tokens */
    private static function hasAmount(array $tokens, Mention $mention): bool
    {
        $before = $tokens[$mention->from - 1] ?? null;
        if ($before?->is('of') === true) {
            $before = $tokens[$mention->from - 2] ?? null;
        }

        return $before !== null && ($before->kind === Token::NUMBER || ($before->kind === Token::WORD && Unit::isNamed($before->stem)));
    }

    /**
     * Whether two foods stand in one list, the first without an amount of its own ("onion- and", or an amount of the food that follows).
     *
     * @param  list<Token>  $tokens
     */
    private static function isListed(array $tokens, Mention $one, Mention $two, bool $isAmountOfAnother): bool
    {
        $i = $one->to;
        $hyphen = ($tokens[$i] ?? null)?->is('-') === true;
        $i += $hyphen ? 1 : 0;

        return ($tokens[$i] ?? null)?->is('and', 'or', '&', ',', '/') === true && $two->from === $i + 1 && ($hyphen || $isAmountOfAnother || ! self::hasAmount($tokens, $one));
    }

    /** @param  list<Token>  $tokens */
    private static function isFree(array $tokens, Mention $mention): bool
    {
        return ($tokens[$mention->to] ?? null)?->is('free') === true
            && ($tokens[$mention->to + 1] ?? null)?->is('range', 'of', 'from') !== true;
    }
}
