<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Lexicon;

/**
 * Finds every food named in a line. The longest name wins, so that "cherry tomato" is no cherry. Of two names that share a word the one
 * that ends later is the food and the other is of it: minced beef liver is liver. A cake, a loaf or crackers outrank what stands before them.
 */
final class MentionFinder
{
    /** Foods that what stands right before them turns into another one, by the form they stand for: "walnut oil", "rabbit mince". */
    private const ENDINGS = ['oil-unnamed' => 'oil', 'flour-unnamed' => 'flour', 'mince-unnamed' => 'ground', 'liver-unnamed' => 'liver', 'meat-unnamed' => 'meat', 'fish-unnamed' => 'meat'];

    /**
     * @param  list<Token>  $tokens
     * @return array{list<Mention>, array<int, bool>} the foods in order, and the tokens taken by names (true) and by set phrases (false)
     */
    public static function find(array $tokens, Lexicon $lexicon, bool $inSteps): array
    {
        $phrases = $lexicon->phrases;
        $mentions = [];
        $taken = [];
        $count = count($tokens);
        $end = 0;
        for ($i = 0; $i < $count; $i++) {
            if ($tokens[$i]->kind === Token::MARK || ($taken[$i] ?? null) === false) {
                continue;
            }
            [$found, $to] = self::longest($tokens, $i, $count, $lexicon);
            if ($found === null || $to <= $end) {
                continue;
            }
            $isName = $found[0] !== '' && ! ($inSteps && $found[1] === 1);
            if ($i < $end) {
                // it shares a word with the name before it
                $last = array_key_last($mentions);
                if (! $isName || $last === null) {
                    continue;
                }
                $ending = self::ENDINGS[$phrases[$tokens[$to - 1]->stem][0] ?? ''] ?? null;
                $becomes = $ending === null || $to !== $end + 1 ? $found[0] : Catalogue::inForm($mentions[$last]->ingredient, $ending);
                if ($mentions[$last]->ingredient === $found[0] || ($becomes !== $found[0] && $becomes !== $mentions[$last]->ingredient)) {
                    $found = [$becomes, $found[1]];
                    $i = array_pop($mentions)->from;
                } else {
                    $mentions[$last] = $mentions[$last]->inside($i);
                }
            }
            if ($isName) {
                $mentions[] = new Mention($found[0], $i, $to, false, $found[1] === 1);
            }
            for ($k = $i; $k < $to; $k++) {
                $taken[$k] = $found[0] !== '';
            }
            $end = $to;
        }

        $mentions = Bracketed::join($tokens, self::compounds($mentions, $tokens), $phrases, $taken);

        return [self::related(self::shared($tokens, $mentions, $phrases), $tokens), $taken];
    }

    /**
     * The longest name that begins at a token.
     *
     * @param  list<Token>  $tokens
     * @return array{array{string, int}|null, int} the name's entry, and the index after it
     */
    private static function longest(array $tokens, int $i, int $count, Lexicon $lexicon): array
    {
        $token = $tokens[$i];
        $found = $lexicon->phrases['!'.$token->text] ?? ($token->raw === $token->text || strlen($token->raw) === strlen($token->text) ? null : $lexicon->phrases['!'.mb_strtolower($token->raw)] ?? null);
        $end = $found === null ? $i : $i + 1;
        $most = $lexicon->first[$token->stem] ?? 0;
        $own = ! $lexicon->isShipped();
        if ($own) {
            $most = max($most, $lexicon->ownFirst[$token->stem] ?? 0);
        }
        $key = '';
        for ($k = $i, $words = 0; $words < $most && $k < $count; $k++) {
            $part = $tokens[$k];
            if ($part->kind === Token::MARK) {
                if ($words > 0 && $part->is('%', '-')) {
                    continue;
                }
                break;
            }
            $key = $words === 0 ? $part->stem : "$key {$part->stem}";
            $words++;
            $named = $own ? $lexicon->ownPhrases[$key] ?? $lexicon->phrases[$key] ?? null : $lexicon->phrases[$key] ?? null;
            if ($named !== null) {
                $found = $named;
                $end = $k + 1;
            }
        }

        return [$found, $end];
    }

    /**
     * Foods that stand side by side: "banana bread" is bread of banana, "walnut oil" an oil of its own, "rabbit mince" is rabbit.
     *
     * @param  list<Mention>  $mentions
     * @param  list<Token>  $tokens
     * @return list<Mention>
     */
    private static function compounds(array $mentions, array $tokens): array
    {
        for ($m = 1; $m < count($mentions); $m++) {
            [$one, $two] = [$mentions[$m - 1], $mentions[$m]];
            if ($one->within) {
                continue;
            }
            if ($one->to !== $two->from) {
                // "honey roasted peanuts", "chocolate coated almonds"
                if ($two->from - $one->to <= 2 && self::areParticiples($tokens, $one->to, $two->from)) {
                    $mentions[$m - 1] = $one->inside($one->to);
                }

                continue;
            }
            $ending = self::ENDINGS[$two->ingredient] ?? null;
            $becomes = $ending === null ? $one->ingredient : Catalogue::inForm($one->ingredient, $ending);
            if ($becomes !== $one->ingredient || ($ending === 'ground' || $ending === 'meat') && Catalogue::isInGroup($one->ingredient, ['meat', 'fish', 'organ', 'shellfish'])) {
                $mentions[$m - 1] = new Mention($becomes, $one->from, $two->to, $one->alternative, $one->ambiguous);
                array_splice($mentions, $m, 1);
                $m--;
            } elseif ($two->ingredient === 'water' || Catalogue::isInGroup($two->ingredient, ['composite-head']) || ($ending !== null && $ending !== 'meat')) {
                $mentions[$m - 1] = $one->inside($one->to);
            }
        }

        return array_values($mentions);
    }

    /** @param  list<Token>  $tokens */
    private static function areParticiples(array $tokens, int $from, int $to): bool
    {
        for ($i = $from; $i < $to; $i++) {
            if ($tokens[$i]->kind !== Token::WORD || ! str_ends_with($tokens[$i]->text, 'ed')) {
                return false;
            }
        }

        return true;
    }

    /**
     * "oat or rice flour" is oat flour or rice flour; "flour, oat" is oat flour.
     *
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<string, array{string, int}>  $phrases
     * @return list<Mention>
     */
    private static function shared(array $tokens, array $mentions, array $phrases): array
    {
        for ($m = 0; $m + 1 < count($mentions); $m++) {
            [$one, $two] = [$mentions[$m], $mentions[$m + 1]];
            $joint = $tokens[$one->to] ?? null;
            if ($joint === null || $two->from !== $one->to + 1) {
                continue;
            }
            $own = [];
            for ($k = $one->from; $k < $one->to; $k++) {
                $own[] = $tokens[$k]->stem;
            }
            if ($joint->is('or', 'and', '/', '&') && $two->to - $two->from > 1) {
                $key = implode(' ', $own).' '.$tokens[$two->to - 1]->stem;
                if (isset($phrases[$key]) && $phrases[$key][0] !== '') {
                    $mentions[$m] = $one->as($phrases[$key][0]);
                }
            } elseif ($joint->is(',', '(', ':')) {
                $theirs = [];
                for ($k = $two->from; $k < $two->to; $k++) {
                    $theirs[] = $tokens[$k]->stem;
                }
                $key = implode(' ', [...$theirs, ...$own]);
                if (isset($phrases[$key]) && $phrases[$key][0] !== '') {
                    $mentions[$m] = new Mention($phrases[$key][0], $one->from, $two->to, false, $one->ambiguous);
                    array_splice($mentions, $m + 1, 1);
                }
            }
        }

        return array_values($mentions);
    }

    /**
     * What is offered instead of the food before it, and the white or the yolk of an egg.
     *
     * @param  list<Mention>  $mentions
     * @param  list<Token>  $tokens
     * @return list<Mention>
     */
    private static function related(array $mentions, array $tokens): array
    {
        $before = null;
        foreach ($mentions as $m => $mention) {
            for ($k = $before === null ? $mention->from : $mentions[$before]->to; $before !== null && $k < $mention->from && $mention->from <= $mentions[$before]->to + 6; $k++) {
                if ($tokens[$k]->is('or', '/')) {
                    $mentions[$m] = $mention->asAlternative();
                    break;
                }
                if (! $tokens[$k]->is('(', ',')) {
                    break;
                }
            }
            if ($mention->ingredient === 'flour-unnamed' && $before !== null && self::isResult($tokens, $mentions[$before]->to, $mention->from)) {
                // "blitzed to a coarse flour": what became of the food before it
                $mentions[$before] = $mentions[$before]->as(Catalogue::inForm($mentions[$before]->ingredient, 'ground'));
                unset($mentions[$m]);

                continue;
            }
            $before = $m;
            if ($mention->ingredient === 'egg') {
                for ($k = $mention->from - 1; $k > 0 && $k > $mention->from - 5; $k--) {
                    if ($tokens[$k]->is('of') && $tokens[$k - 1]->kind === Token::WORD && in_array($tokens[$k - 1]->stem, ['white', 'yolk'], true)) {
                        $mentions[$m] = $mention->as($tokens[$k - 1]->stem === 'white' ? 'egg-white' : 'egg-yolk');
                    }
                }
            }
        }

        return self::withWhites(array_values($mentions), $tokens);
    }

    /**
     * "1 whole egg plus 1 white": the counted white, or yolk, is a food of its own.
     *
     * @param  list<Mention>  $mentions
     * @param  list<Token>  $tokens
     * @return list<Mention>
     */
    private static function withWhites(array $mentions, array $tokens): array
    {
        foreach ($mentions as $mention) {
            $counted = $mention->ingredient !== 'egg' ? null : ($tokens[$mention->to + 2] ?? null);
            if ($counted !== null && in_array($counted->stem, ['white', 'yolk'], true) && $tokens[$mention->to]->is('+', 'plus', 'and', '&') && ($tokens[$mention->to + 1]->kind === Token::NUMBER || $tokens[$mention->to + 1]->is('a', 'an', 'one', 'two', 'three')) && array_filter($mentions, static fn (Mention $one): bool => $one->from === $mention->to + 2) === []) {
                $mentions[] = new Mention($counted->stem === 'white' ? 'egg-white' : 'egg-yolk', $mention->to + 2, $mention->to + 3);
            }
        }
        usort($mentions, static fn (Mention $one, Mention $two): int => [$one->from, $one->to] <=> [$two->from, $two->to]);

        return $mentions;
    }

    /** @param  list<Token>  $tokens */
    private static function isResult(array $tokens, int $from, int $to): bool
    {
        for ($k = $to - 1; $k >= max($from, $to - 4); $k--) {
            if ($tokens[$k]->is('to', 'into')) {
                return true;
            }
        }

        return false;
    }
}
