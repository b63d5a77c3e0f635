<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Words;

/** Which one a food is, where a talk names its kind and its sort in words that stand apart: "oil, a tablespoon, rapeseed". */
final class Kinds
{
    /** What leads to the sort: "60 ml of milk, and I use lactose free", "oatmeal, the pinhead". */
    private const LEADING = '/(?:^|\s)(?:the|today its|(?:i|we) (?:use|like|take|have|buy|get|used|go for)(?: the)?|(?:im|were) (?:using|taking|having)(?: an?| some| the)?(?: (?:mature|mild|nice|plain|fresh|good|local|lean))?|(?:mine is|mines|ours is|thats|its|it is|that is|this is|it was)(?: just| only| really| plain)*|used the|use the|i mean|or rather|actually|called)$/u';

    /** @var array<string, string> how a food is written that two words far apart name, by its id */
    private array $writing = [];

    /** @var array<string, int> the token behind the word for its sort, by the food's id */
    private array $behind = [];

    public function __construct(private readonly Catalogue $catalogue) {}

    /** The words for a food that were put together. */
    public function writing(string $id): ?string
    {
        return $this->writing[$id] ?? null;
    }

    /** The forms told behind the word for its sort: "pumpkin, I mean kabocha, steamed and mashed". */
    public function formsOf(string $id, Words $words): string
    {
        return isset($this->behind[$id]) ? Phrase::behind($words, $this->behind[$id], count($words->tokens)) : '';
    }

    /** "Four cups of flour, so I'm putting in two, and that's whole wheat": the sort of the kind that was told last. */
    public function ofTopic(Piece $piece, Mention $food, ?Serving $last): ?Mention
    {
        if ($last === null || $last->food === '' || ! Catalogue::isInGroup($last->food, ['category-word']) || preg_match(self::LEADING, $piece->prefix) !== 1) {
            return null;
        }
        $name = Phrase::said($piece->words, $food->from, $food->to).' '.mb_strtolower($last->plain);
        $id = $this->catalogue->lexicon->idOf($name);
        if ($id === null || $id === $last->food) {
            return null;
        }
        $this->writing[$id] = $name;

        return $food->as($id);
    }

    /**
     * "That's the wholemeal one.": which sort the last food is.
     *
     * @return ?array{string, string} its id, and how it is written
     */
    public function sortOf(string $said, Serving $last): ?array
    {
        if ($last->food === '' || preg_match('/^(?:and |so |um |uh |er )*(?:(?:thats|its|i use|i mean|this is) )?(?:the |a |just )?(\p{L}+(?: \p{L}+)??)(?: (?:one|kind|sort|stuff|type))?$/u', $said, $found) !== 1) {
            return null;
        }
        $name = "$found[1] ".mb_strtolower($last->plain);
        $id = $this->catalogue->lexicon->idOf($name);

        return $id === null || $id === $last->food ? null : [$id, $name];
    }

    /** The food that a mention and a word beside it name; null when the mention stands for itself. */
    public function of(Piece $piece, Mention $food): ?Mention
    {
        $words = $piece->words;
        $plain = Tokenizer::stem(mb_strtolower(trim(Phrase::said($words, $food->from, $food->to))));
        $isKind = Catalogue::isInGroup($food->ingredient, ['category-word']);
        for ($k = $food->to; $k < min(count($words->tokens), $food->to + 8); $k++) {
            $token = $words->tokens[$k];
            if ($token->kind !== Token::WORD) {
                continue;
            }
            $between = Phrase::said($words, $food->to, $k);
            $isLed = preg_match(self::LEADING, $between) === 1;
            $isColour = $token->is('whole') || ($isLed && $token->is('plain', 'white', 'brown', 'dark', 'light'));
            if (LineReader::isHarmless($token) && ! $isColour && ($words->tokens[$k + 1] ?? null)?->is('free') !== true) {
                continue;
            }
            if (! ($isKind && $k < min($piece->clause->to, $food->to + 4)) && ! ($words->tokens[$k - 1]->is(',') && ($isKind || $k <= $food->to + 3)) && ! $isLed) {
                continue;
            }
            foreach ([2, 1] as $count) {
                $sort = Phrase::said($words, $k, $k + $count);
                foreach (["$sort $plain", "$plain $sort"] as $name) {
                    $id = $this->catalogue->lexicon->idOf($name);
                    if ($id !== null && $id !== $food->ingredient) {
                        $this->writing[$id] = $name;
                        $this->behind[$id] = $k + $count;

                        return $food->as($id);
                    }
                }
            }
        }
        foreach ($isKind ? array_reverse($words->mentions) : [] as $one) {
            // "turkey, I get the mince"
            $name = Phrase::said($words, $one->from, $one->to)." $plain";
            $id = $one->to <= $food->from && $food->from <= $one->to + 8 ? $this->catalogue->lexicon->idOf($name) : null;
            if ($id !== null && $id !== $food->ingredient && preg_match(self::LEADING, Phrase::said($words, $one->to, $food->from - 1)) + preg_match(self::LEADING, Phrase::said($words, $one->to, $food->from)) > 0) {
                $this->writing[$id] = $name;

                return $food->as($id);
            }
        }
        if (! $isKind && preg_match('/\b(?:for|as) (?:the |my |a )?(flour|oil)\b/u', Phrase::said($words, 0, $food->from), $kind) === 1 && ($id = $this->catalogue->lexicon->idOf("$plain $kind[1]")) !== null) {
            $this->writing[$id] = "$plain $kind[1]";

            return $food->as($id);
        }

        return null;
    }

    /** "Five hundred grams of white fish, haddock", "flour, 200 grams. I take rice flour": whether a food is which one the last told is. */
    public function isSortOf(Piece $piece, Mention $food, ?Serving $last): bool
    {
        if ($last === null || $last->food === '' || $last->food === $food->ingredient) {
            return false;
        }
        $one = $this->catalogue->get($food->ingredient);
        $two = $this->catalogue->get($last->food);
        $isLed = ($piece->words->tokens[$food->from - 1] ?? null)?->is(',') === true || preg_match(self::LEADING, $piece->prefix) === 1;

        $plain = mb_strtolower(trim(Phrase::said($piece->words, $food->from, $food->to)));

        return $isLed && ($one->isKindOf($two) || $one->isNamedBy($two) || str_ends_with($plain, ' '.mb_strtolower($last->plain)));
    }

    /**
     * What of several foods in one clause counts: not what was of another day ("I used to use wheat but now I use buckwheat"), and not the
     * kind that another one fills ("for the flour, buckwheat").
     *
     * @param  list<Mention>  $foods
     * @return list<Mention>
     */
    public function ofNow(Words $words, array $foods): array
    {
        $kept = [];
        foreach ($foods as $n => $one) {
            if (! Turns::isNotNow($n === 0 ? '' : Phrase::said($words, $foods[$n - 1]->to, $one->from))) {
                $kept[] = $one;
            }
        }
        $isKind = count($kept) > 1 && Catalogue::isInGroup($kept[0]->ingredient, ['category-word']) && preg_match('/\b(?:for|as) (?:the|my|a)$/u', Phrase::said($words, 0, $kept[0]->from)) === 1;

        return $isKind ? array_slice($kept, 1) : $kept;
    }

    /**
     * The one that the others only tell of: "oil the tin, a teaspoon of sunflower oil", "our rice, and this is brown rice".
     *
     * @param  non-empty-list<Mention>  $foods
     */
    public function best(Words $words, array $foods): Mention
    {
        $food = $foods[0];
        $starts = array_map(static fn (Amount $one): int => $one->to, $words->amounts);
        $next = $foods[1] ?? $food;
        if ($next->ingredient === 'water' && $next->from === $food->to) {
            // "beetroot water"
            return $next;
        }
        foreach ($words->amounts as $amount) {
            if ($amount->from >= $food->to && $amount->to <= $next->from && preg_match('/\b(?:but|because|depends|if|when|until)\b/u', Phrase::said($words, $amount->to, $next->from)) === 1) {
                // "the kettle water, I used about 60 ml but it depends on your carrots"
                return $food;
            }
        }
        if (Served::vesselOf($words, $food, false) !== null) {
            // "tin of carrots, drained, that's 180 grams of carrot"
            return $food;
        }
        foreach ($foods as $one) {
            // "now the egg, there should be one egg"
            $isSame = $one->ingredient === $food->ingredient || $this->catalogue->get($one->ingredient)->isKindOf($this->catalogue->get($food->ingredient)) || $words->tokens[$one->to - 1]->stem === $words->tokens[$food->to - 1]->stem;
            $isMeasured = static fn (Mention $mention): bool => array_intersect([$mention->from, $mention->from - 1, $mention->from - 2], $starts) !== [];
            $food = $isSame && $isMeasured($one) && ! $isMeasured($food) ? $one : $food;
        }
        foreach (array_slice($foods, 1) as $one) {
            $isLonger = str_ends_with(Phrase::said($words, $one->from, $one->to), ' '.Phrase::said($words, $food->from, $food->to));
            $food = $isLonger || $this->catalogue->get($one->ingredient)->isNamedBy($this->catalogue->get($food->ingredient)) ? $one : $food;
        }

        return $food;
    }
}
