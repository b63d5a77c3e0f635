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
use MildBowl\Core\Screening\Rule;

/**
 * Hears what of a talk goes into the bowl. An amount with its food is taken unless the words before it say that it is somebody else's, or
 * only perhaps; a number of pieces and a food without an amount are taken where the sentence puts them in. Later words add, correct or sum up.
 */
final class Listener
{
    /** Sentences after which an amount without a food is still of the last one. */
    private const REACH = 4;

    /** Of the never list, what people speak of and mean no food: a cup of tea, a beer, playdough. */
    private const CHATTED = ['caffeine-source', 'alcohol-drink', 'salt-dough-itself'];

    /** Foods of this bowl. */
    private readonly Bowl $bowl;

    /** @var array<string, array{Words, list<array{int, int}>, string}> foods warned of: how, where, and the words */
    private array $warned = [];

    /** @var array<int, true> sentences of which something was used */
    private array $used = [];

    /** @var array<string, string> how a food is written that two words far apart name, by its id */
    private array $naming = [];

    private ?Serving $topic = null;

    private int $topicAt = -100;

    /** Which part of the treat is being told: a food of the cake that comes again in its frosting comes on top. */
    private int $part = 0;

    /** Whether the talk counts in grams. */
    private bool $isInGrams = false;

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->bowl = new Bowl($catalogue);
    }

    /**
     * @param  list<Sentence>  $sentences  of one recipe
     */
    public function hear(array $sentences): Heard
    {
        foreach ($sentences as $n => $sentence) {
            $this->sentence($sentence, $n);
        }
        foreach ($this->bowl->servings as $id => $one) {
            if ($one->food !== '' && $one->amounts === [] && $this->bowl->isNamedElsewhere($one)) {
                unset($this->bowl->servings[$id]);
            }
        }

        foreach ($sentences as $sentence) {
            $this->warnOfNever($sentence);
        }

        return new Heard(array_values($this->bowl->servings), array_diff_key($this->warned, $this->bowl->servings), $this->used);
    }

    private function sentence(Sentence $sentence, int $n): void
    {
        $words = $sentence->words;
        $this->warn($sentence);
        if ($sentence->isQuestion() || $words->tokens === []) {
            return;
        }
        $said = Phrase::said($words, 0, count($words->tokens));
        if (Turns::isConditional($words) || Turns::isSelling($said)) {
            return;
        }
        $this->part += Turns::isOtherPart($said) ? 1 : 0;
        $this->isInGrams = $this->isInGrams || array_filter($words->amounts, static fn (Amount $one): bool => $one->unit === 'g') !== [];
        $taken = [];
        $objects = Objects::of($words->tokens, $words->mentions, $words->taken);
        $end = 0;
        $goesOn = false;
        $heldFrom = 0;
        foreach (Clauses::of($words, $this->catalogue) as $clause) {
            if (Turns::isForOthers($words, $clause)) {
                $end = max($end, $clause->to);

                continue;
            }
            $serving = $this->clause($sentence, $clause, $end, $objects, $taken !== [], $goesOn, $heldFrom, $n);
            $end = max([$end, ...array_map(static fn (Amount|Mention $one): int => $one->to <= $clause->to ? $one->to : 0, [...$words->mentions, ...$words->amounts])]);
            $heldFrom = $serving === null || $serving->food === '' ? $heldFrom : self::endOf($serving, $words, $clause, $end);
            $goesOn = $serving !== null;
            if ($serving !== null) {
                $taken[] = $serving;
                $this->used[$n] = true;
            }
        }
        $of = $taken === [] ? ($this->topic !== null && $n - $this->topicAt <= 1 ? [$this->topic] : []) : [end($taken)];
        foreach ($of as $one) {
            if (! Aftermath::of($said, $one, $one->food === '' ? null : $this->catalogue->get($one->food), $taken !== [])) {
                unset($this->bowl->servings[$one->food]);
                $this->topic = null;
            }
        }
    }

    /**
     * The food of a clause when it goes in; null when nothing does.
     *
     * @param  bool  $any  whether something of the sentence went in
     * @param  bool  $goesOn  whether the clause just before did
     * @param  int  $heldFrom  token behind the last food that went in
     */
    private function clause(Sentence $sentence, Clause $clause, int $end, Objects $objects, bool $any, bool $goesOn, int $heldFrom, int $n): ?Serving
    {
        $words = $sentence->words;
        $within = static fn (Amount|Mention $one): bool => $one->from >= $clause->from && $one->to <= $clause->to;
        $foods = array_values(array_filter($words->kept(), fn (Mention $one): bool => $within($one) && ! $one->within && ! Product::isNamedBy($one, $words)));
        $all = array_values(array_filter($words->amounts, $within));
        $amounts = array_values(array_filter([...$all, ...$clause->shared], fn (Amount $one): bool => Measures::serves($one, $words)));
        $first = min([PHP_INT_MAX, ...array_map(static fn (Amount|Mention $one): int => $one->from, [...$foods, ...$amounts])]);
        if ($first === PHP_INT_MAX) {
            return null;
        }
        $prefix = Phrase::said($words, $end, $first);
        if (Turns::isNotNow($prefix)) {
            return null;
        }
        $foods = $this->ofNow($words, $foods);
        if (Turns::isYield(Phrase::said($words, $end, $foods[0]->from ?? $amounts[0]->to), $foods !== []) && ($foods === [] || $this->bowl->known($foods[0]) === null)) {
            return null;
        }
        $nameless = $foods === [] && Turns::isPlaced($words, $first, $prefix) ? $this->nameless($sentence, $clause, $amounts, $n) : null;
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
        [$amounts, $isGuessed] = Measures::inGrams($amounts, $food, $this->isInGrams, $this->isCountable($food));
        // a number far behind a food counts something else
        $amounts = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->from < $food->to + 6 || Unit::in('metric', $one->unit) !== null));
        $before = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->to <= $food->from));
        $isVague = array_filter($before, static fn (Amount $one): bool => ! in_array($one->unit, Serving::VAGUE, true)) === [];
        $isTin = ($before[0]->unit ?? '') === 'tin' && $before[0]->contents === null;
        $after = $before === [] ? [] : array_values(array_filter($amounts, fn (Amount $one): bool => $one->from >= $food->to
            && (Measures::isWeighedToo($one, $before, $words) || Measures::isToldAgain($one, Phrase::said($words, $food->to, $one->from)) || ($isVague && Measures::isMeasured([$one])) || ($isTin && Unit::isMass('metric', $one->unit)))));
        $amounts = $before === [] ? $amounts : $before;
        if ($amounts === [] && Turns::isHolding(Phrase::said($words, $heldFrom, $food->from))) {
            return null;
        }
        $isCategory = Catalogue::isInGroup($food->ingredient, ['category-word']);
        $named = $this->named($words, $food, $clause, $sentence);
        if ($named !== null) {
            [$food, $isCategory] = [$named, false];
        }
        $amounts = Measures::lastSaid($amounts, $words, $corrected);
        if ($amounts === [] && $goesOn && $this->isSpecies($food, $words)) {
            $species = $this->topic;
            $amounts = $this->bowl->without((string) $species?->food);
        }
        if ($amounts === [] && isset($this->warned[$food->ingredient])) {
            return null;
        }
        if ($amounts === []) {
            $isPutIn = ($objects->at[$food->from] ?? false) || ($goesOn && Turns::isBare($words, $food, $end)) || preg_match('/(?:^|\s)some$/u', $prefix) === 1 || preg_match('/^(?:as (?:needed|required)|enough|to bind|if needed)\b/u', Phrase::said($words, $food->to, $food->to + 3)) === 1;
            // "stir in the milk": what goes in and was never spoken of before was forgotten, not counted
            $isNew = ($objects->at[$food->from] ?? false) && ! $isCategory && $this->bowl->known($food) === null;
            if (! $isPutIn || (Turns::isThere($words, $food) && ! $isNew) || ($isCategory && ! ($objects->at[$food->from] ?? false))) {
                if (! Turns::isThere($words, $food)) {
                    return null;
                }
                $known = Turns::isAtHead($words, $food->from) ? $this->bowl->known($food) : null;
                $this->topic = $known ?? $this->topic;
                $this->topicAt = $known === null ? $this->topicAt : $n;

                return null;
            }
        } elseif (! Measures::isMeasured($amounts) && $amounts[0]->unit !== 'touch' && ($isCategory || ! $this->isCountable($food) || ! ($any || Turns::isPlaced($words, $first, $prefix)))) {
            return null;
        } elseif (Turns::isThere($words, $food) && ! Measures::isMeasured([...$amounts, ...$after])) {
            return null;
        } elseif ($isCategory && Turns::isThere($words, $food)) {
            return null;
        }

        if ($amounts !== [] && ($this->bowl->servings[$food->ingredient] ?? $this->bowl->known($food, mb_strtolower(Phrase::said($words, $food->from, $food->to)))) !== null && preg_match('/^(?:if|in case|unless|when) (?:you|it|its|the|that|youre|needed)\b/u', Phrase::said($words, $food->to, $food->to + 4)) === 1) {
            // "another quarter cup if you need it" is not in the bowl yet
            return null;
        }
        $serving = $this->take($sentence, $clause, $food, $amounts, $prefix, $n, $corrected);
        $serving->isSure = $serving->isSure && ! $isGuessed;
        if (isset($species)) {
            // "cooked white fish, haddock"
            $serving->words = trim(str_replace($species->plain, '', $species->words), ' ,')." $serving->words";
            $serving->spans = [...$species->spans, ...$serving->spans];
        }
        foreach ($after as $one) {
            if ($isTin && Unit::isMass('metric', $one->unit)) {
                $drained = ($words->tokens[$one->to] ?? null)?->is('drained') === true ? Amount::DRAINED : null;
                $serving->amounts = [new Amount($before[0]->quantity, 'tin', null, 0, 0, new Amount($one->quantity, $one->unit, $drained, 0, 0))];

                continue;
            }
            Measures::settle($serving, [$one], Phrase::said($words, $food->to, $one->from), $words, null, true);
        }

        return $serving;
    }

    /** "Five hundred grams of white fish, haddock": which one the food just before is. */
    private function isSpecies(Mention $food, Words $words): bool
    {
        return $this->topic !== null && $this->topic->food !== '' && ($words->tokens[$food->from - 1] ?? null)?->is(',') === true
            && $this->catalogue->get($food->ingredient)->isKindOf($this->catalogue->get($this->topic->food));
    }

    /** Token behind the food of a clause. */
    private static function endOf(Serving $serving, Words $words, Clause $clause, int $end): int
    {
        foreach ($words->mentions as $mention) {
            if ($mention->from >= $clause->from && $mention->to <= $clause->to && $mention->ingredient === $serving->food) {
                return $mention->to;
            }
        }

        return $end;
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
            if (! Turns::isNotNow($before)) {
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
                    $serving = $this->bowl->servings["? $token->text"] ??= new Serving('', $token->raw, $token->raw, $n);
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
        $serving = $this->bowl->servings[$food->ingredient] ?? $this->bowl->known($food, Turns::isThere($words, $food) ? mb_strtolower($plain) : '');
        $isNew = $serving === null;
        $serving ??= new Serving($food->ingredient, $phrase, $plain, $n);
        if ($isNew) {
            $this->bowl->servings[$food->ingredient] = $serving;
        } elseif ((strlen($phrase) > strlen($serving->words) && $serving->amounts === []) || (Tokenizer::stem(mb_strtolower($phrase)) === mb_strtolower($serving->words))) {
            $serving->words = $phrase;
        }
        $serving->isSure = $serving->isSure && preg_match('/\boptional/u', Phrase::said($words, 0, count($words->tokens))) !== 1;
        if ($amounts !== []) {
            Measures::settle($serving, $amounts, $prefix, $words, $corrected, ! $isNew, $serving->part !== $this->part);
            $serving->part = $this->part;
        }
        $serving->at = $n;
        $last = $words->tokens[$clause->to - 1];
        [$from, $to] = Alignment::of($sentence->text, $words->clean, $words->tokens[$clause->from]->offset, $last->offset + $last->length);
        $serving->spans[] = [$sentence->from + $from, $sentence->from + $to];
        $this->topic = $serving;
        $this->topicAt = $n;

        return $serving;
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

    /** What is on the never list and was spoken of, and does not go in, was warned of, or told of others. */
    private function warnOfNever(Sentence $sentence): void
    {
        foreach ($sentence->words->mentions as $mention) {
            $food = $this->catalogue->get($mention->ingredient);
            if (! $mention->ambiguous && ! $food->inAny(self::CHATTED) && Rule::forbid($food)) {
                $this->warned[$mention->ingredient] ??= [$sentence->words, [[$sentence->from, $sentence->to]], $sentence->text];
            }
        }
    }

    /** Whether a food comes in pieces that somebody weighed. */
    private function isCountable(Mention $food): bool
    {
        $one = $this->catalogue->get($food->ingredient);

        return ! $one->inGroup('composite-head') && PieceWeight::of($one, 'each', null) !== null;
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
        for ($k = $food->to; $k < min(count($words->tokens), $food->to + 4); $k++) {
            // "cinnamon, Ceylon if you have it", "oatmeal, the pinhead"
            if ($words->tokens[$k - 1]->is(',', 'the') && ! LineReader::isHarmless($words->tokens[$k]) && ($id = $this->catalogue->lexicon->idOf("{$words->tokens[$k]->text} $plain")) !== null && $id !== $food->ingredient) {
                $this->naming[$id] = "{$words->tokens[$k]->text} $plain";

                return $food->as($id);
            }
        }
        if (preg_match('/\b(?:for|as) (?:the |my |a )?(flour|oil)\b/u', Phrase::said($words, 0, $food->from), $kind) === 1 && ($id = $this->catalogue->lexicon->idOf("$plain $kind[1]")) !== null) {
            $this->naming[$id] = "$plain $kind[1]";

            return $food->as($id);
        }

        return null;
    }
}
