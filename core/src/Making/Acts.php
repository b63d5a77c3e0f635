<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Data\Compiled;

/** A sentence of a method cut into its acts, each from its verb to the next; or from its heat, where it is told without a verb. */
final class Acts
{
    private const ADVERBS = '(?:gently|carefully|lightly|well|now|finally|first|next|immediately|slowly|thoroughly|quickly|meanwhile|afterwards|once)';

    /** When in the heat: "after ten minutes", "half-way through". */
    private const WHEN = '(?:after|for the last|in the last)\s+(?:about\s+)?(?:[\p{L}\d½-]+\s+){1,3}(?:minutes?|mins?|hours?|h)|half[\s-]?way(?:\s+through)?';

    /** "leave to cool", "let it rest": what it is left to do */
    private const LETS = ['leave', 'let', 'allow'];

    private const HALF_WAY = '/\bhalf[\s-]?way\b/iu';

    /** What a verb is told with as one word: "slow cook", "pan-fry". */
    private const WITH = '(?:(?:slow|pressure|air|pan|stir|deep|shallow|oven|dry)[\s-]+(?=(?:cook|fry|fries|bake|roast|frie)))?';

    /** They are of a thing where no article follows: "warm water", "brown rice". */
    private const OF_THINGS = ['warm', 'brown', 'stew', 'squash'];

    /** What is said in front of where it is put: "into the oven", "pop them in the fridge". */
    private const MOVES = ['in', 'into', 'back', 'finish', 'lay', 'arrange', 'spread', 'put', 'pop', 'stick', 'slide', 'get', 'move', 'place', 'transfer', 'return'];

    /** Where it is put for a time, without a word of putting: "fridge two hours". */
    private const THERE = '/^\s*(?:then\s+)?(?:in(?:to)?\s+)?(?:the\s+)?(fridge|freezer)\b/iu';

    private const BACK_IN = '/^(?:\p{L}+\s+(?:it\s+|them\s+|the\s+\p{L}+\s+)?)?back\s+in\b(?!\s+(?:the\s+)?(?:fridge|freezer|bowl))/u';

    private const WHERE = '/^(?:\p{L}+\s+(?:[\p{L}\']+\s+){0,4})?(?:in|into|in to)\s+(?:the\s+|a\s+|your\s+)?(?:\p{L}+\s+)?(oven|fridge|freezer|refrigerator|dehydrator|drier|dryer|fryer|microwave)\b/u';

    /** What begins an act in speech without a stop before it. */
    private const SPOKEN = '/(?<=\s)(?:(?:turn|switch)(?=\s+(?:off\s+the\s+oven|(?:the\s+|your\s+)?oven\s+off)\b)|(?:let|leave|allow)(?=\s+(?:it|them|\'em|these|those)\b))/iu';

    /** Where a clause ends: at a stop, or where heat goes on: "bake 18 minutes and another five". */
    private const ENDS = '/[,;:]|\s(?=(?:and|then)\s+(?:for\s+)?(?:a\s+further|another|\d+)\b)/iu';

    /** "another 20", "ten more" */
    private const ANOTHER = '/^\s*(?:(?:and|then|for|bake|cook)\s+)*(?!a\s+(?:few|little|bit)\b|some\b)(?:another\b|a\s+further\b|\S+\s+(?:\S+\s+)?(?:more|longer)\b)/iu';

    private const OFF = '/^\p{L}+\s+(?:off\s+(?:the\s+|your\s+)?oven|(?:the\s+|your\s+)?oven\s+off)\b/u';

    /**
     * @param  ?Kind  $before  what was done before the sentence: "leave them in there" is meant of it
     * @return list<Told>
     */
    public static function in(string $sentence, ?Kind $before = null): array
    {
        $verbs = self::withoutVerbs($sentence, self::verbs($sentence, $before));
        if ($verbs === []) {
            return [];
        }
        $verbs[0][0] = 0;
        foreach ($verbs as $n => [$at]) {
            // "after ten minutes turn the tray": when it is done stands in front
            $from = $verbs[$n - 1][0] ?? 0;
            if ($n > 0 && preg_match('/\b(?:'.self::WHEN.')[\s,]*$/iu', substr($sentence, $from, $at - $from), $when, PREG_OFFSET_CAPTURE) === 1 && $when[0][1] > 0) {
                $verbs[$n][0] = $from + $when[0][1];
            }
        }
        $acts = [];
        foreach ($verbs as $n => [$at, $verb, $kind]) {
            $end = $verbs[$n + 1][0] ?? strlen($sentence);
            $text = (string) preg_replace('/[\s,;:]*(?:\b(?:and|then|to|or)\b[\s,]*)*$/iu', '', substr($sentence, $at, $end - $at));
            $told = self::told($kind, $verb, mb_strtoupper(mb_substr($text, 0, 1)).mb_substr(rtrim($text, '.;'), 1).'.');
            $last = $acts === [] ? null : $acts[count($acts) - 1];
            if ($last?->kind === Kind::Dry && $last->minutes === null && in_array($kind, [Kind::Rest, Kind::Dry], true)) {
                // "turn it off, and leave them in it for an hour"
                $acts[count($acts) - 1] = $last->and($told);
            } else {
                $acts[] = $told;
            }
        }

        return $acts;
    }

    /** @return list<array{int, string, Kind}> verbs that begin another kind of act: first byte, the verb, the kind */
    private static function verbs(string $sentence, ?Kind $earlier): array
    {
        $verbs = [];
        foreach (self::openings($sentence) as $at => $words) {
            $word = (string) preg_replace('/^.*[\s-]/u', '', $words);
            $verb = self::verb($word);
            $rest = mb_strtolower(substr($sentence, $at));
            $before = $verbs === [] ? null : $verbs[count($verbs) - 1];
            // "the egg and oil" is no act, "and oil the tray" is one
            $isThing = ($at > 0 || in_array($verb, self::OF_THINGS, true)) && isset(Compiled::tables()['workNouns'][$verb ?? '']) && preg_match('/^\p{L}+\s+(?:the|a|an|your|each|it|them|all|some|with|into|out|in|on|at|over|from|to|through|until|till|up|gently|slowly|lightly|[\d½¼]+)\b/u', $rest) !== 1;
            $kind = $isThing ? null : self::moved($word, $rest) ?? ($verb === null ? null : self::kind($verb, $rest, $before[2] ?? $earlier));
            // "leave to set" is one act
            $isLeftTo = $before !== null && ($before[2] === $kind || ($before[2] === Kind::Dry && in_array($kind, [Kind::Cool, Kind::Dry, Kind::Rest, Kind::Set], true))) && in_array($before[1], self::LETS, true) && preg_match('/[,;]/', substr($sentence, $before[0], $at - $before[0])) !== 1;
            // "chill for an hour to set"
            $isLeftTo = $isLeftTo || ($kind === Kind::Set && in_array($before[2] ?? null, [Kind::Chill, Kind::Freeze, Kind::Rest], true) && preg_match('/\bto\s+$/iu', substr($sentence, 0, $at)) === 1);
            if ($kind !== null && ! $isLeftTo && ($kind !== ($before[2] ?? null) || $kind->finishes())) {
                $verbs[] = [$at, $verb ?? mb_strtolower($word), $kind];
            }
        }

        return $verbs;
    }

    /** @return array<int, string> words an act can begin with, by their first byte */
    private static function openings(string $sentence): array
    {
        preg_match_all('/(?:^|[,;:(]\s*|\b(?:and|then|to|or)\s+)(?:(?:and|then|'.self::ADVERBS.'|'.self::WHEN.')\s+,?\s*)*('.self::WITH.'\p{L}+)/iu', $sentence, $found, PREG_OFFSET_CAPTURE);
        preg_match_all(self::SPOKEN, $sentence, $spoken, PREG_OFFSET_CAPTURE);
        $openings = array_column([...$found[1], ...$spoken[0]], 0, 1);
        ksort($openings);

        return $openings;
    }

    /**
     * With the heats that are told without a verb: "cut squares, 170 for half an hour".
     *
     * @param  list<array{int, string, Kind}>  $verbs
     * @return list<array{int, string, Kind}>
     */
    private static function withoutVerbs(string $sentence, array $verbs): array
    {
        $all = [];
        foreach ([[0, '', null], ...$verbs] as $n => $act) {
            [$at, $verb, $kind] = $act;
            $end = $verbs[$n][0] ?? strlen($sentence);
            if ($kind !== null) {
                $all[] = [$at, $verb, $kind];
            }
            $isOfHands = $kind === null || in_array($kind, [Kind::Prepare, Kind::Mix, Kind::Rest, Kind::Shape], true);
            if (! $isOfHands && ! in_array($kind, [Kind::Heat, Kind::Turn, Kind::Cool], true)) {
                continue;
            }
            $clauses = preg_split(self::ENDS, substr($sentence, $at, $end - $at), -1, PREG_SPLIT_OFFSET_CAPTURE) ?: [];
            $texts = array_column($clauses, 0);
            foreach ($clauses as $c => [, $from]) {
                $does = $c > 0 || $kind === null ? self::heatIn($texts, $c, $isOfHands) : null;
                if ($does !== null) {
                    $all[] = [$at + $from + strspn($texts[$c], ' '), $does[0], $does[1]];
                    break;
                }
            }
        }

        return $all;
    }

    /**
     * What a clause without a verb tells of the heat or the cold: "170 for half an hour", "two minutes a side", "fridge two hours", "another 20".
     *
     * @param  list<string>  $clauses
     * @param  bool  $isOfHands  whether what stands before is no act of the heat
     * @return array{string, Kind}|null
     */
    private static function heatIn(array $clauses, int $c, bool $isOfHands): ?array
    {
        $clause = $clauses[$c];
        if (preg_match(self::ANOTHER, $clause) === 1 && self::isTimed($clause)) {
            return ['bake', Kind::Heat];
        }
        if (! $isOfHands) {
            return null;
        }
        if (self::isTimed($clause) && preg_match(self::THERE, $clause, $there) === 1) {
            return mb_strtolower($there[1]) === 'freezer' ? ['freeze', Kind::Freeze] : ['chill', Kind::Chill];
        }
        $there = ($clauses[$c - 1] ?? '').$clause;
        if (self::isTimed($clause) && (self::placed($there) !== null || preg_match(Told::BY_SIDES, $clause) === 1)) {
            return [self::placed($there) ?? 'fry', Kind::Heat];
        }
        $next = $clauses[$c + 1] ?? '';
        $both = "$clause, $next";
        $isHotHere = self::isHot($clause) || self::isHot($both) && ! self::isHot($next);

        return $isHotHere && self::isTimed($both.', '.($clauses[$c + 2] ?? '')) || self::isTimed($clause) && self::isHot($both) ? ['bake', Kind::Heat] : null;
    }

    /** The verb of what is done there: "onto a hot griddle", "into boiling water". */
    private static function placed(string $words): ?string
    {
        return ['griddle' => 'fry', 'hob' => 'boil', 'microwave' => 'microwave'][Place::named($words) ?? ''] ?? null;
    }

    private static function isHot(string $clause): bool
    {
        return array_filter(Warmth::in($clause), static fn (Warmth $one): bool => ! $one->isOfCore) !== [];
    }

    private static function isTimed(string $clause): bool
    {
        return array_filter(Duration::in($clause), static fn (Duration $one): bool => ! $one->isEvery() && ! $one->isAfter() && ! $one->isOfKeeping()) !== [];
    }

    /** What is done by putting it somewhere for a time. */
    private static function moved(string $word, string $rest): ?Kind
    {
        if (! in_array(mb_strtolower($word), self::MOVES, true) || ! self::isTimed($rest)) {
            return null;
        }
        if (preg_match(self::WHERE, $rest, $where) !== 1) {
            return preg_match(self::BACK_IN, $rest) === 1 ? Kind::Heat : null;
        }

        return match ($where[1]) {
            'oven', 'fryer', 'microwave' => Kind::Heat, 'dehydrator', 'drier', 'dryer' => Kind::Dry, 'freezer' => Kind::Freeze, default => Kind::Chill
        };
    }

    /** Its plain form, where it is one of work-verbs.csv. */
    private static function verb(string $word): ?string
    {
        $known = Compiled::tables()['workVerbs'];
        $word = mb_strtolower($word);
        foreach ([$word, (string) preg_replace('/ing$/', '', $word), (string) preg_replace('/ing$/', 'e', $word), (string) preg_replace('/([^aeiou])\1ing$/', '$1', $word)] as $form) {
            if (isset($known[$form]) || in_array($form, self::LETS, true)) {
                return $form;
            }
        }

        return null;
    }

    /**
     * @param  string  $rest  the sentence from the verb on
     * @param  ?Kind  $before  what was done before
     */
    private static function kind(string $verb, string $rest, ?Kind $before): ?Kind
    {
        $of = Compiled::tables()['workVerbs'];
        if (in_array($verb, self::LETS, true)) {
            $isInHeat = in_array($before, [Kind::Heat, Kind::Dry, Kind::Turn, Kind::Look], true);
            if (preg_match('/\bturned[- ]off oven|oven\b.{0,20}\boff\b|\bin(?:side)? (?:the |a )?(?:\p{L}+ )?oven\b/u', $rest) === 1 || $isInHeat && preg_match('/^\p{L}+\s+(?:\S+\s+)?in (?:it|there)\b|\bdoor\s+(?:shut|closed|open|ajar)\b/u', $rest) === 1) {
                return Kind::Dry;
            }
            preg_match_all('/\p{L}+/u', substr($rest, strlen($verb), 60), $words);
            foreach (array_slice($words[0], 0, 7) as $word) {
                if (isset($of[$word]) && ! in_array($of[$word], ['prepare', 'mix', 'shape', 'heat'], true)) {
                    return Kind::from($of[$word]);
                }
            }

            return Duration::in($rest) === [] ? null : Kind::Rest;
        }
        $begins = static fn (string $pattern): bool => preg_match("/^\\p{L}+\\s+$pattern/u", $rest) === 1;

        return match (true) {
            preg_match(self::OFF, $rest) === 1 => Kind::Dry,
            $begins('(?:the\s+|your\s+)?oven\b') && in_array($verb, ['heat', 'set', 'turn', 'preheat'], true) => Kind::Preheat,
            $begins('(?:off|down|up|on|to)\b') && in_array($verb, ['turn', 'switch'], true), $begins('aside') && in_array($verb, ['set', 'keep'], true) => null,
            $begins('(?:out|onto|into)\b') && $verb === 'turn' => Kind::Shape,
            $verb === 'freeze' && preg_match('/\b(?:months?|weeks?|up to)\b/u', $rest) === 1, $verb === 'keep' && preg_match('/\b(?:days?|weeks?|months?|jar|tin|fridge|airtight)\b/u', $rest) === 1 => Kind::Bag,
            $verb === 'keep', $verb === 'rest' && $begins('of\b') => null,
            default => Kind::from($of[$verb]),
        };
    }

    private static function told(Kind $kind, string $verb, string $text): Told
    {
        $minutes = $every = $after = null;
        foreach (Duration::in($text) as $one) {
            if ($one->isEvery()) {
                $every ??= $one->minutes->best;
            } elseif ($one->isAfter()) {
                $after ??= $one->minutes->best;
            } elseif (! $one->isOfKeeping()) {
                $minutes ??= $one->minutes;
            }
        }
        $heat = $core = null;
        foreach (Warmth::in($text) as $one) {
            $one->isOfCore ? $core ??= $one : $heat ??= $one;
        }

        if ($kind === Kind::Heat && $minutes !== null && preg_match(Told::BY_SIDES, $text) === 1) {
            $minutes = $minutes->times(2.0);
        }

        return new Told($kind, $verb, $text, $minutes, $every, $after, preg_match(self::HALF_WAY, $text) === 1, $heat, $core);
    }
}
