<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Alignment;
use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Measuring\PieceWeight;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Clause;
use MildBowl\Core\Reading\Clauses;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Objects;
use MildBowl\Core\Reading\Words;

/**
 * Hears what of a talk goes into the bowl. An amount with its food is taken unless the words before it say that it is somebody else's, or
 * only perhaps; a number of pieces and a food without an amount are taken where the sentence puts them in. Later words add, correct or sum up.
 */
final class Listener
{
    /** What is told of others, of another day, or only perhaps. */
    private const NOT_NOW = '/\b(?:(?:she|he|they) (?:always |also |often |then |usually )?(?:puts?|used|uses|added|adds|makes|made|wrote|likes|liked)|some (?:people|folks?)|people|somebody|someone|(?:my|our|the|your|his|her) (?:neighbou?rs?|sister|brother|mother|mum|mom|mama|dad|husband|wife|cousin|boss|friend|gran|nan|nana|vet)\b(?!\W)(?: \w+){0,2}|(?:was|were) going to|(?:id|i would|we would|wed|usually|normally) (?:normally|usually|use|put|add)|normally|usually|used to (?:use|put|add)|could|can (?:also |always )?(?:use|swap|put|take)|might|maybe you want|if|unless|in case|you(?:ll)? (?:only |just )?end up with|left with|makes about|yields?|(?:last|next) (?:time|video|week|year|month|sunday|saturday)|i said|you said|instead|comments?|ate|eaten|had(?! to)|stole|stolen|kidding|joking|imagine|once upon|for example)\b/u';

    /** What is promised for another day: nothing behind it is of this recipe. */
    private const GOODBYE = '/\b(?:see you (?:next|in the|soon|on|again)|next (?:week|video|time|month|episode) (?:we|i|ill|well|its))\b/u';

    /** What follows goes into every bowl again, after what was only for others. */
    private const ON_AGAIN = ['then', 'next', 'now', 'after'];

    /** The turn from what was to what is. */
    private const BUT_NOW = '/\b(?:but|and) (?:now|today|this time|these days)\b|\b(?:now|today|this time|these days) (?:(?:i|we) (?:use|take|put|add|have|make)|its|im)\b/u';

    /** What opens a sentence that only holds when something else does. */
    private const CONDITIONAL = ['if', 'unless', 'should', 'whenever'];

    /** Words before the first word that counts. */
    private const OPENINGS = ['and', 'so', 'now', 'then', 'next', 'okay', 'ok', 'right', 'alright', 'well', 'but', 'or', 'first', 'finally', 'oh', 'plus', 'also', 'just', 'only', 'um', 'uh', 'of', 'course', 'to', 'start', 'with', 'another', 'optional', 'optionally', 'number', 'there', 'yes', 'no', 'aye', 'in', 'goes', 'go'];

    /** Sentences after which an amount without a food is still of the last one. */
    private const REACH = 4;

    /** @var array<string, Serving> by food */
    private array $servings = [];

    /** @var array<string, array{Words, list<array{int, int}>, string}> foods warned of: how, where, and the words */
    private array $warned = [];

    /** @var array<int, true> sentences of which something was used */
    private array $used = [];

    /** @var array<string, string> how a food is written that two words far apart name, by its id */
    private array $naming = [];

    private ?Serving $topic = null;

    private int $topicAt = -100;

    public function __construct(private readonly Catalogue $catalogue) {}

    /**
     * @param  list<Sentence>  $sentences  of one recipe
     */
    public function hear(array $sentences): Heard
    {
        foreach ($sentences as $n => $sentence) {
            $this->sentence($sentence, $n);
        }
        foreach ($this->servings as $id => $one) {
            if ($one->food !== '' && $one->amounts === [] && $this->isNamedElsewhere($one)) {
                unset($this->servings[$id]);
            }
        }

        return new Heard(array_values($this->servings), array_diff_key($this->warned, $this->servings), $this->used);
    }

    private function sentence(Sentence $sentence, int $n): void
    {
        $words = $sentence->words;
        $this->warn($sentence);
        if ($sentence->isQuestion() || $words->tokens === []) {
            return;
        }
        $first = $this->firstWord($words);
        if (in_array($first, self::CONDITIONAL, true)) {
            return;
        }
        $taken = [];
        $objects = Objects::of($words->tokens, $words->mentions, $words->taken);
        $end = 0;
        $any = false;
        foreach (Clauses::of($words, $this->catalogue) as $clause) {
            if (self::isForOthers($words, $clause)) {
                $end = max($end, $clause->to);

                continue;
            }
            $serving = $this->clause($sentence, $clause, $end, $objects, $any, $n);
            $end = max([$end, ...array_map(static fn (Amount|Mention $one): int => $one->to <= $clause->to ? $one->to : 0, [...$words->mentions, ...$words->amounts])]);
            if ($serving !== null) {
                $any = true;
                $taken[] = $serving;
                $this->used[$n] = true;
            }
        }
        $this->aftermath($sentence, $n, $taken);
    }

    /** Whether a clause stands behind "or if your dog cannot have egg", and nothing has led back since, or behind a good-bye. */
    private static function isForOthers(Words $words, Clause $clause): bool
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

    /** The food of a clause when it goes in; null when nothing does. */
    private function clause(Sentence $sentence, Clause $clause, int $end, Objects $objects, bool $any, int $n): ?Serving
    {
        $words = $sentence->words;
        $within = static fn (Amount|Mention $one): bool => $one->from >= $clause->from && $one->to <= $clause->to;
        $foods = array_values(array_filter($words->kept(), fn (Mention $one): bool => $within($one) && ! $one->within && ! $this->isProduct($one)));
        $all = array_values(array_filter($words->amounts, $within));
        $amounts = array_values(array_filter([...$all, ...$clause->shared], fn (Amount $one): bool => Measures::serves($one, $words)));
        $first = min([PHP_INT_MAX, ...array_map(static fn (Amount|Mention $one): int => $one->from, [...$foods, ...$amounts])]);
        if ($first === PHP_INT_MAX) {
            return null;
        }
        $prefix = Phrase::said($words, $end, $first);
        // "I said two ingredients, and I lied, there is a pinch of cinnamon as well"
        $turned = preg_replace('/^.*\b(?=there is|theres|there are|i add|we add|you add|i also|we also|you also|you need)/u', '', $prefix) ?? $prefix;
        if (preg_match(self::NOT_NOW, $turned) === 1 && preg_match(self::BUT_NOW, $prefix) !== 1) {
            return null;
        }
        $foods = $this->ofNow($words, $foods);
        $isYield = preg_match('/\byou(?:ll)? (?:only |just )?get$/u', $prefix) === 1 && $amounts !== [] && $words->tokens[$amounts[0]->from]->is('about', 'around', 'roughly');
        if ($isYield) {
            return null;
        }
        $nameless = $foods === [] ? $this->nameless($sentence, $clause, $amounts, $n) : null;
        if ($nameless !== null) {
            return $nameless;
        }
        if ($foods === []) {
            return $all === $amounts || $amounts !== [] ? $this->ofTopic($amounts, $prefix, $words, $n, $sentence) : null;
        }
        $food = $foods[0];
        foreach (array_slice($foods, 1) as $one) {
            // "oil the tin, a teaspoon of sunflower oil"
            $food = $this->catalogue->get($one->ingredient)->isNamedBy($this->catalogue->get($food->ingredient)) ? $one : $food;
        }
        $amounts = Measures::inTheSameUnit($amounts, $words);
        // a number far behind a food counts something else
        $amounts = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->from < $food->to + 6 || Unit::in('metric', $one->unit) !== null));
        $before = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->to <= $food->from));
        $isVague = array_filter($before, static fn (Amount $one): bool => ! in_array($one->unit, Serving::VAGUE, true)) === [];
        $isTin = ($before[0]->unit ?? '') === 'tin' && $before[0]->contents === null;
        $after = $before === [] ? [] : array_values(array_filter($amounts, fn (Amount $one): bool => $one->from >= $food->to
            && (Measures::isWeighedToo($one, $before, $words) || Measures::isToldAgain($one, Phrase::said($words, $food->to, $one->from)) || ($isVague && Measures::isMeasured([$one])) || ($isTin && Unit::isMass('metric', $one->unit)))));
        $amounts = $before === [] ? $amounts : $before;
        $isCategory = Catalogue::isInGroup($food->ingredient, ['category-word']);
        $named = $this->named($words, $food, $clause, $sentence);
        if ($named !== null) {
            [$food, $isCategory] = [$named, false];
        }
        $amounts = Measures::lastSaid($amounts, $words, $corrected);
        if ($amounts === [] && isset($this->warned[$food->ingredient])) {
            return null;
        }
        if ($amounts === []) {
            $isPutIn = ($objects->at[$food->from] ?? false) || ($any && $this->isBare($words, $food, $end)) || preg_match('/(?:^|\s)some$/u', $prefix) === 1 || preg_match('/^(?:as (?:needed|required)|enough|to bind|if needed)\b/u', Phrase::said($words, $food->to, $food->to + 3)) === 1;
            // "stir in the milk": what goes in and was never spoken of before was forgotten, not counted
            $isNew = ($objects->at[$food->from] ?? false) && ! $isCategory && $this->known($food) === null;
            if (! $isPutIn || ($this->isThere($words, $food) && ! $isNew) || ($isCategory && ! ($objects->at[$food->from] ?? false))) {
                if (! $this->isThere($words, $food)) {
                    return null;
                }
                $known = str_word_count($prefix) <= 2 ? $this->known($food) : null;
                $this->topic = $known ?? $this->topic;
                $this->topicAt = $known === null ? $this->topicAt : $n;

                return null;
            }
        } elseif (! Measures::isMeasured($amounts) && $amounts[0]->unit !== 'touch' && ($isCategory || ! $this->isCountable($food) || ! ($any || $this->isPlaced($words, $first, $prefix)))) {
            return null;
        } elseif ($this->isThere($words, $food) && ! Measures::isMeasured([...$amounts, ...$after])) {
            return null;
        } elseif ($isCategory && $this->isThere($words, $food)) {
            return null;
        }

        if ($amounts !== [] && ($this->servings[$food->ingredient] ?? $this->known($food, mb_strtolower(Phrase::said($words, $food->from, $food->to)))) !== null && preg_match('/^(?:if|in case|unless|when) (?:you|it|its|the|that|youre|needed)\b/u', Phrase::said($words, $food->to, $food->to + 4)) === 1) {
            // "another quarter cup if you need it" is not in the bowl yet
            return null;
        }
        $serving = $this->take($sentence, $clause, $food, $amounts, $prefix, $n, $corrected);
        foreach ($after as $one) {
            if ($isTin && Unit::isMass('metric', $one->unit)) {
                $serving->amounts = [new Amount($before[0]->quantity, 'tin', null, 0, 0, new Amount($one->quantity, $one->unit, null, 0, 0))];

                continue;
            }
            Measures::settle($serving, [$one], Phrase::said($words, $food->to, $one->from), $words, null, true);
        }

        return $serving;
    }

    /**
     * "For the flour, I used to use wheat but now I use buckwheat": behind the first food, what was of another day is left out, and so is the
     * kind that another food fills.
     *
     * @param  list<Mention>  $foods
     * @return list<Mention>
     */
    private function ofNow(Words $words, array $foods): array
    {
        $kept = [];
        foreach ($foods as $n => $one) {
            $before = $n === 0 ? '' : Phrase::said($words, $foods[$n - 1]->to, $one->from);
            if (preg_match(self::NOT_NOW, $before) !== 1 || preg_match(self::BUT_NOW, $before) === 1) {
                $kept[] = $one;
            }
        }
        $isKind = count($kept) > 1 && Catalogue::isInGroup($kept[0]->ingredient, ['category-word']) && preg_match('/\b(?:for|as) (?:the|my|a)$/u', Phrase::said($words, 0, $kept[0]->from)) === 1;

        return $isKind ? array_slice($kept, 1) : $kept;
    }

    /**
     * A measured word that nobody knows: a line of its own, to be asked about.
     *
     * @param  list<Amount>  $amounts
     */
    private function nameless(Sentence $sentence, Clause $clause, array $amounts, int $n): ?Serving
    {
        $words = $sentence->words;
        $forms = Compiled::tables()['formWords']['phrases'];
        foreach ($amounts as $amount) {
            if (Unit::in('metric', $amount->unit) === null) {
                continue;
            }
            for ($k = $amount->to; $k < $clause->to && $words->tokens[$k]->kind === Token::WORD; $k++) {
                $token = $words->tokens[$k];
                if (LineReader::isHarmless($token) && ! isset($forms[$token->stem]) && ! $token->is('of')) {
                    break;
                }
                if (! LineReader::isHarmless($token)) {
                    $serving = $this->servings["? $token->text"] ??= new Serving('', $token->raw, $token->raw, $n);
                    $serving->isSure = false;
                    Measures::settle($serving, [$amount], '', $words, null, false);
                    $serving->spans[] = [$sentence->from, $sentence->to];

                    return $serving;
                }
            }
        }

        return null;
    }

    /**
     * An amount without a food: of the last food spoken of, if it measures something.
     *
     * @param  list<Amount>  $amounts
     */
    private function ofTopic(array $amounts, string $prefix, Words $words, int $n, Sentence $sentence): ?Serving
    {
        $amounts = array_values(array_filter($amounts, static fn (Amount $one): bool => Unit::in('metric', $one->unit) !== null || $one->contents !== null || ($one->unit === 'tin' && $one->quantity->best > 1)));
        if ($this->topic === null || $amounts === [] || $n - $this->topicAt > self::REACH || preg_match('/\b(?:slice|slices|sliced|thin|thick|deep|roll|rolled|cut|long|wide)\b/u', $prefix) === 1) {
            return null;
        }
        $topic = $this->topic;
        $amounts = Measures::lastSaid($amounts, $words, $corrected);
        Measures::settle($topic, $amounts, $prefix, $words, $corrected, true);
        $topic->spans[] = [$sentence->from, $sentence->to];
        $this->topicAt = $n;

        return $topic;
    }

    /** @param  list<Amount>  $amounts */
    private function take(Sentence $sentence, Clause $clause, Mention $food, array $amounts, string $prefix, int $n, ?string $corrected): Serving
    {
        $words = $sentence->words;
        [$phrase, $plain] = isset($this->naming[$food->ingredient]) ? [$this->naming[$food->ingredient], $this->naming[$food->ingredient]] : Phrase::of($words, $food, $clause);
        $serving = $this->servings[$food->ingredient] ?? $this->known($food, $this->isThere($words, $food) ? mb_strtolower($plain) : '');
        $isNew = $serving === null;
        $serving ??= new Serving($food->ingredient, $phrase, $plain, $n);
        if ($isNew) {
            $this->servings[$food->ingredient] = $serving;
        } elseif ((strlen($phrase) > strlen($serving->words) && $serving->amounts === []) || (Tokenizer::stem(mb_strtolower($phrase)) === mb_strtolower($serving->words))) {
            $serving->words = $phrase;
        }
        $serving->isSure = $serving->isSure && preg_match('/\boptional/u', Phrase::said($words, 0, count($words->tokens))) !== 1;
        if ($amounts !== []) {
            Measures::settle($serving, $amounts, $prefix, $words, $corrected, ! $isNew);
        }
        $serving->at = $n;
        $last = $words->tokens[$clause->to - 1];
        [$from, $to] = Alignment::of($sentence->text, $words->clean, $words->tokens[$clause->from]->offset, $last->offset + $last->length);
        $serving->spans[] = [$sentence->from + $from, $sentence->from + $to];
        $this->topic = $serving;
        $this->topicAt = $n;

        return $serving;
    }

    /**
     * What the rest of a sentence says of what it named: "I leave it out", "I'm kidding", "drain it", "big ones".
     *
     * @param  list<Serving>  $taken
     */
    private function aftermath(Sentence $sentence, int $n, array $taken): void
    {
        $said = Phrase::said($sentence->words, 0, count($sentence->words->tokens));
        $of = $taken === [] ? ($this->topic !== null && $n - $this->topicAt <= 1 ? [$this->topic] : []) : [end($taken)];
        if (preg_match('/\b(?:i|we) (?:(?:always |usually )?(?:leave|left|skip|skipped) (?:it|that|them)(?: out)?|dont (?:use|put|add|like) (?:it|that|them)|wouldnt$|dont$|never do$|wouldnt do (?:it|that))/u', $said) === 1 || preg_match('/\b(?:just )?(?:kidding|joking)\b/u', $said) === 1) {
            foreach ($of as $one) {
                if (count($one->spans) <= 1 || $taken !== []) {
                    unset($this->servings[$one->food]);
                    $this->topic = null;
                }
            }

            return;
        }
        foreach ($of as $one) {
            if ($one->food === '') {
                continue;
            }
            $food = $this->catalogue->get($one->food);
            if ($food->inGroup('check-pie-filling') && preg_match('/\b(?:plain|pure|hundred percent|100|pie filling)\b/u', $said) === 1 && ! str_contains($one->words, 'plain')) {
                $one->words = 'plain '.$one->words;
            } elseif ($food->inGroup('check-sweetened') && preg_match('/\b(?:unsweetened|no sugar|without sugar)\b/u', $said) === 1 && ! str_contains($one->words, 'unsweetened')) {
                $one->words = 'unsweetened '.$one->words;
            }
            if (preg_match('/\b(?:dont|do not|no need to|without) drain(?:ing)?\b|\bundrained\b/u', $said) === 1) {
                $one->words .= ', undrained';
            } elseif (preg_match('/\b(?:taken|poured|tipped|pour|tip|took) (?:away|off|out) the (?:water|oil|liquid|brine)\b/u', $said) === 1) {
                $one->words .= ', drained';
            } elseif (preg_match($taken === [] ? '/\bdrain(?:ed)?\b/u' : '/\bdrain (?:it|them|that|the)\b/u', $said) === 1 && ! str_contains($one->words, 'drained')) {
                $one->words .= ', drained';
            }
            if ($taken !== [] && preg_match('/\b(?:thats|theyre|its|they are|that is|ive|already|have)(?: already)?(?: been)? (cooked|boiled|steamed|poached|roasted)\b/u', $said, $found) === 1 && ! str_contains($one->words, $found[1])) {
                $one->words .= ", $found[1]";
            }
            if ($taken === [] && preg_match('/^(?:nice |good |very )?(big|large|small|little|medium) (?:ones?|sized?)\b/u', $said, $found) === 1 && count($one->amounts) === 1 && $one->amounts[0]->unit === 'each') {
                $size = ['big' => 'large', 'little' => 'small'][$found[1]] ?? $found[1];
                $one->amounts = [new Amount($one->amounts[0]->quantity, 'each', $size, 0, 0)];
                $this->used[$n] = true;
            }
        }
    }

    private function warn(Sentence $sentence): void
    {
        $words = $sentence->words;
        foreach (array_intersect_key($words->mentions, $words->negated) as $mention) {
            if (preg_match('/\b(?:if|unless|in case|when) (?:you|u|we) (?:do not|dont|cant|cannot|havent) (?:\w+ ){0,2}(?:any )?$/u', Phrase::said($words, 0, $mention->from).' ') === 1) {
                // "if you do not have pumpkin" warns of nothing
                continue;
            }
            $this->warned[$mention->ingredient] ??= [$words, [], $sentence->text];
            $this->warned[$mention->ingredient][1][] = [$sentence->from, $sentence->to];
        }
    }

    /** Whether a food comes in pieces that somebody weighed. */
    private function isCountable(Mention $food): bool
    {
        $one = $this->catalogue->get($food->ingredient);

        return ! $one->inGroup('composite-head') && PieceWeight::of($one, 'each', null) !== null;
    }

    /** Whether a number of pieces is put in: at the head of the sentence, or behind a word that takes it. */
    private function isPlaced(Words $words, int $first, string $prefix): bool
    {
        $from = 0;
        foreach (array_slice($words->tokens, 0, $first) as $n => $token) {
            $from = $token->is(':') ? $n + 1 : $from;
        }
        $open = array_filter(array_slice($words->tokens, $from, $first - $from), static fn (Token $token): bool => $token->kind === Token::WORD && ! in_array($token->text, self::OPENINGS, true));
        $forms = Compiled::tables()['formWords']['phrases'];
        if (array_filter($open, static fn (Token $token): bool => ! isset($forms[$token->stem])) === []) {
            return true;
        }

        return preg_match('/\b(?:add|adding|added|take|taking|need|want|use|using|put|putting|goes|go|get|got|have|crack|beat|mash|grate|stir|mix|tip|throw|start with|begin with|going with|poached|boiled|cooked|its|thats|is|are|was|were|gets|takes|needs|want|got|chuck|drop|blend|blitz|whisk|in)\b(?: \w+){0,6}\s*$/u', $prefix) === 1;
    }

    /** A food of a list without words of its own between it and the joint. */
    private function isBare(Words $words, Mention $food, int $end): bool
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

    private function isThere(Words $words, Mention $food): bool
    {
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

    /** Whether a mention is only what is being made: biscuits, a cake, treats. */
    private function isProduct(Mention $mention): bool
    {
        return $mention->ambiguous && Catalogue::isInGroup($mention->ingredient, ['composite-head']);
    }

    /**
     * "One tablespoon of oil, rapeseed", "for the flour … buckwheat": a word beside the kind names which one it is.
     */
    private function named(Words $words, Mention $food, Clause $clause, Sentence $sentence): ?Mention
    {
        $isKind = Catalogue::isInGroup($food->ingredient, ['category-word']);
        $plain = Tokenizer::stem(mb_strtolower(trim(Phrase::said($words, $food->from, $food->to))));
        if ($isKind) {
            for ($k = $food->to; $k < min($clause->to, $food->to + 4); $k++) {
                $token = $words->tokens[$k];
                if ($token->kind === Token::WORD && ! LineReader::isHarmless($token) && ($id = $this->catalogue->lexicon->idOf("$token->text $plain")) !== null && $id !== $food->ingredient) {
                    $this->naming[$id] = "$token->text $plain";

                    return $food->as($id);
                }
            }

            return null;
        }
        if (preg_match('/\b(?:for|as) (?:the |my |a )?(flour|oil)\b/u', Phrase::said($words, 0, $food->from), $kind) === 1 && ($id = $this->catalogue->lexicon->idOf("$plain $kind[1]")) !== null) {
            $this->naming[$id] = "$plain $kind[1]";

            return $food->as($id);
        }

        return null;
    }

    /** The serving that a mention speaks of again: "the rice flour" is the brown rice flour of before. */
    private function known(Mention $mention, string $said = ''): ?Serving
    {
        if (isset($this->servings[$mention->ingredient])) {
            return $this->servings[$mention->ingredient];
        }
        $food = $this->catalogue->get($mention->ingredient);
        foreach (array_reverse($this->servings) as $one) {
            if ($one->food === '') {
                continue;
            }
            $known = $this->catalogue->get($one->food);
            if (($said !== '' && str_ends_with(mb_strtolower($one->plain), " $said")) || $known->isNamedBy($food) || $known->isCoveredBy($mention->ingredient) || $known->like === $mention->ingredient || $food->like === $one->food) {
                return $one;
            }
        }

        return null;
    }

    /** Whether a food without an amount is another word for one that has its amount. */
    private function isNamedElsewhere(Serving $serving): bool
    {
        $food = $this->catalogue->get($serving->food);
        $words = explode(' ', mb_strtolower($serving->plain));
        foreach ($this->servings as $other) {
            if ($other === $serving || $other->amounts === [] || $other->food === '') {
                continue;
            }
            $known = $this->catalogue->get($other->food);
            if ($known->isNamedBy($food) || $known->isCoveredBy($serving->food) || array_diff($words, explode(' ', mb_strtolower($other->plain))) === []) {
                return true;
            }
        }

        return false;
    }

    private function firstWord(Words $words): string
    {
        foreach ($words->tokens as $token) {
            if ($token->kind === Token::WORD && ! in_array($token->text, self::OPENINGS, true)) {
                return $token->text;
            }
        }

        return '';
    }
}
