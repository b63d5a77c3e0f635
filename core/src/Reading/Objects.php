<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Token;

/**
 * What a sentence of the method puts into the bowl: the objects of add, stir in, dip in, brush with and their like. A word among them that
 * nobody knows could be a food.
 */
final readonly class Objects
{
    /** What stands behind these goes in. */
    private const ADDED = [
        'add', 'adding', 'stir', 'fold', 'tip', 'throw', 'toss', 'whisk', 'beat', 'work', 'knead', 'pour', 'sprinkle', 'drizzle', 'scatter', 'squeeze', 'dissolve', 'include', 'crumble', 'use', 'put',
        'chuck', 'spoon', 'dollop', 'mix', 'combine', 'blend', 'incorporate', 'melt', 'grate', 'press', 'stud', 'smear', 'spread', 'pop', 'drop', 'give', 'feed', 'offer', 'substitute', 'swap', 'introduce', 'slip', 'sneak', 'bung', 'lob', 'dot', 'crush', 'ladle',
    ];

    /** What stands behind the "with" of these goes in. */
    private const WITH = [
        'top', 'brush', 'sprinkle', 'dust', 'coat', 'fill', 'serve', 'decorate', 'garnish', 'finish', 'drizzle', 'stuff', 'spread', 'glaze', 'cover', 'mix', 'blend', 'combine', 'stir', 'rub', 'season',
        'flavour', 'flavor', 'sweeten', 'thicken', 'bind', 'layer', 'smother', 'soak', 'baste', 'moisten', 'wet', 'thin', 'spray', 'grease', 'paint', 'sandwich', 'mash', 'ice', 'frost', 'bake', 'eat', 'enrich',
    ];

    /** What stands behind the "in" of these stays with it. */
    private const IN = ['dip', 'roll', 'coat', 'toss', 'soak', 'cook', 'poach', 'steep', 'simmer', 'dredge', 'dunk', 'drench', 'fry', 'cover', 'boil', 'bathe', 'marinate', 'infuse'];

    /** What stands behind these is worked on: known foods count, unknown words may be anything. */
    private const WORKED = ['cook', 'boil', 'fry', 'brown', 'roast', 'steam', 'chop', 'slice', 'dice', 'mash', 'peel', 'drain', 'rinse', 'simmer', 'poach', 'bake', 'soak', 'puree', 'blitz', 'cube', 'shred', 'separate', 'crack', 'measure', 'weigh', 'take', 'get', 'need', 'want', 'have'];

    private const PARTICLES = ['in', 'into', 'through', 'over', 'up', 'on', 'together', 'down', 'out', 'gently', 'well', 'carefully', 'slowly', 'lightly', 'quickly', 'gradually', 'then', 'just', 'also', 'all', 'both', 'now'];

    private const STOPS = [
        'to', 'into', 'onto', 'until', 'till', 'for', 'on', 'at', 'by', 'before', 'after', 'so', 'then', 'from', 'if', 'when', 'while', 'because', 'over', 'under', 'through', 'as', 'which', 'that', 'where',
        'like', 'than', 'once', 'but', 'in', 'using', 'without', 'instead', 'per', 'every', 'round', 'around', 'along', 'between', 'across', 'off', 'are', 'is', 'will', 'should', 'can', 'it', 'they', 'them', 'you', 'we',
    ];

    /**
     * @param  array<int, bool>  $at  tokens of foods that are an object: put in (true), or only worked on
     * @param  list<string>  $unread  words among the objects that nobody knows
     */
    private function __construct(public array $at, public array $unread) {}

    /**
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, bool>  $taken
     */
    public static function of(array $tokens, array $mentions, array $taken): self
    {
        $starts = [];
        foreach ($mentions as $mention) {
            $starts[$mention->from] = max($starts[$mention->from] ?? 0, $mention->to);
        }
        $at = $unread = [];
        $walk = static function (int $i, bool $isStrict) use ($tokens, $starts, $taken, &$at, &$unread): void {
            foreach (self::walk($tokens, $starts, $taken, $i) as $k => $isFood) {
                if ($isFood) {
                    $at[$k] = $isStrict || ($at[$k] ?? false);
                } elseif ($isStrict) {
                    $unread[$k] = $tokens[$k]->raw;
                }
            }
        };
        foreach ($tokens as $i => $token) {
            if ($token->kind !== Token::WORD || isset($taken[$i]) && in_array($token->text, ['ice', 'frost'], true)) {
                continue;
            }
            $added = in_array($token->text, self::ADDED, true);
            if ($added || in_array($token->text, self::WORKED, true)) {
                $k = $i + 1;
                while (($tokens[$k] ?? null)?->is(...self::PARTICLES) === true) {
                    $k++;
                }
                $walk($k, $added);
            }
            foreach (['with' => self::WITH, 'in' => self::IN] as $link => $verbs) {
                if (in_array($token->text, $verbs, true)) {
                    $k = self::link($tokens, $i + 1, $link);
                    if ($k !== null) {
                        $walk($k + 1, true);
                    }
                }
            }
        }
        ksort($unread);

        return new self($at, array_values(array_unique($unread)));
    }

    /** @param  list<Token>  $tokens */
    private static function link(array $tokens, int $from, string $link): ?int
    {
        for ($k = $from; $k < $from + 8 && isset($tokens[$k]); $k++) {
            if ($tokens[$k]->is('.', ';', '!', '?')) {
                return null;
            }
            if ($tokens[$k]->is($link)) {
                return $k;
            }
        }

        return null;
    }

    /**
     * @param  list<Token>  $tokens
     * @param  array<int, int>  $starts  where a food's name ends, by where it begins
     * @param  array<int, bool>  $taken
     * @return array<int, bool> by token: a known food, or a word nobody knows
     */
    private static function walk(array $tokens, array $starts, array $taken, int $i): array
    {
        $found = [];
        $verbs = Compiled::tables()['verbs'];
        for ($k = $i; isset($tokens[$k]); $k++) {
            $token = $tokens[$k];
            if (isset($starts[$k])) {
                $found[$k] = true;
                $k = max($k, $starts[$k] - 1);

                continue;
            }
            if ($token->kind === Token::MARK) {
                if (! $token->is(',', '(', '/', '&', '-', '+', '%')) {
                    break;
                }

                continue;
            }
            if ($token->kind !== Token::WORD || isset($taken[$k])) {
                continue;
            }
            if ($token->is(...self::STOPS) || ($k > $i && isset($verbs[$token->text]) && ($tokens[$k - 1]->is('and', ',', 'then', '&', 'to')))) {
                break;
            }
            if (! LineReader::isHarmless($token) && ! isset($verbs[$token->text])) {
                $found[$k] = false;
            }
        }

        return $found;
    }
}
