<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Pantry\Lexicon;

/** Finds every food named in a line: the longest name wins, so that "cherry tomato" is no cherry. */
final class MentionFinder
{
    /**
     * @param  list<Token>  $tokens
     * @return array{list<Mention>, array<int, true>} the foods in order, and the tokens taken by names and set phrases
     */
    public static function find(array $tokens, Lexicon $lexicon, bool $inSteps): array
    {
        $first = $lexicon->first;
        $phrases = $lexicon->phrases;
        $own = ! $lexicon->isShipped();
        $mentions = [];
        $taken = [];
        $count = count($tokens);
        for ($i = 0; $i < $count; $i++) {
            $token = $tokens[$i];
            if ($token->kind === Token::MARK) {
                continue;
            }
            $found = $phrases['!'.$token->text] ?? null;
            $end = $found === null ? $i : $i + 1;
            $most = $first[$token->stem] ?? 0;
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
                $named = $own ? $lexicon->ownPhrases[$key] ?? $phrases[$key] ?? null : $phrases[$key] ?? null;
                if ($named !== null) {
                    $found = $named;
                    $end = $k + 1;
                }
            }
            if ($found === null) {
                continue;
            }
            if ($found[0] !== '' && ! ($inSteps && $found[1] === 1)) {
                $mentions[] = new Mention($found[0], $i, $end, false, $found[1] === 1);
            }
            for ($k = $i; $k < $end; $k++) {
                $taken[$k] = true;
            }
            $i = $end - 1;
        }

        return [self::shared($tokens, $mentions, $phrases), $taken];
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
        foreach ($mentions as $m => $mention) {
            if ($m > 0) {
                $between = $tokens[$mentions[$m - 1]->to] ?? null;
                $slash = $between !== null && $between->is('or', '/') && $mention->from <= $mentions[$m - 1]->to + 6;
                if ($slash) {
                    $mentions[$m] = $mention->asAlternative();
                }
            }
        }

        return array_values($mentions);
    }
}
