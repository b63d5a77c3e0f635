<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Language\Alignment;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Clauses;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Objects;
use MildBowl\Core\Reading\Words;
use MildBowl\Core\Values\Range;

/**
 * Hears what of a talk goes into the bowl. An amount with its food is taken unless the words before it say that it is somebody else's, or
 * only perhaps; a number of pieces and a food without an amount are taken where the sentence puts them in. Later words add, correct or sum up.
 */
final class Listener
{
    /** Sentences after which an amount without a food is still of the last one. */
    private const REACH = 4;

    /** An amount behind these is of a dog, or of what comes out. */
    private const NOT_OF_TOPIC = '/\b(?:slices?|sliced|thin|thick|deep|roll|rolled|cut|long|wide|pipe|piped|dollop|bake[ds]?|dry|dried|oven|minutes?|hours?|weighs?|weighed in|dogs?|pupp(?:y|ies)|feed|mould|mold|holes?|balls?|biscuits?|treats?|pieces?|my two|a day)\b/u';

    private Bowl $bowl;

    private readonly Kinds $kinds;

    private readonly Warnings $warnings;

    private readonly Retractions $retractions;

    private readonly Admission $admission;

    /** @var array<int, true> sentences of which something was used */
    private array $used = [];

    private ?Serving $topic = null;

    private int $topicAt = -100;

    /** Which part of the treat is being told: a food of the cake that comes again in its frosting comes on top. */
    private int $part = 0;

    /** Whether the list that goes on was told of others, or of another day. */
    private bool $isAside = false;

    /** Whether the talk counts in grams. */
    private bool $isInGrams = false;

    public function __construct(private readonly Catalogue $catalogue)
    {
        $this->bowl = new Bowl($catalogue);
        $this->kinds = new Kinds($catalogue);
        $this->warnings = new Warnings($catalogue);
        $this->retractions = new Retractions;
        $this->admission = new Admission($catalogue, $this->warnings);
    }

    /**
     * @param  list<Sentence>  $sentences  of one recipe
     * @param  ?Words  $title  what it was called before it was told
     */
    public function hear(array $sentences, ?Words $title = null): Heard
    {
        foreach ($sentences as $sentence) {
            $this->isInGrams = $this->isInGrams || array_filter($sentence->words->amounts, static fn (Amount $one): bool => $one->unit === 'g') !== [];
        }
        $before = null;
        $named = $title === null ? [] : array_values(array_filter($title->kept(), static fn (Mention $one): bool => ! Product::isNamedBy($one, $title)));
        if (count($named) === 1) {
            // "Tray one is beef lung. It's 600 grams."
            $this->topic = $this->bowl->servings[$named[0]->ingredient] = new Serving($named[0]->ingredient, Phrase::said($title, $named[0]->from, $named[0]->to), Phrase::said($title, $named[0]->from, $named[0]->to), 0);
            $this->topic->isOnlyNamed = true;
            $this->topicAt = 0;
        }
        foreach ($sentences as $n => $sentence) {
            if (Turns::isFromTheTop(Phrase::said($sentence->words, 0, 12))) {
                $before = $this->bowl;
                $this->bowl = new Bowl($this->catalogue);
                $this->topic = null;
            }
            $this->sentence($sentence, $n);
        }
        if ($before !== null && count($this->bowl->servings) < 2) {
            // nothing was told anew
            $this->bowl->servings += $before->servings;
        }
        $this->bowl->clear();
        foreach ($sentences as $sentence) {
            $this->warnings->ofNever($sentence);
        }

        return new Heard(array_values($this->bowl->servings), $this->warnings->without($this->bowl), $this->used);
    }

    private function sentence(Sentence $sentence, int $n): void
    {
        $words = $sentence->words;
        $this->warnings->hear($sentence);
        $asksFrom = $sentence->isQuestion() ? Turns::asksFrom($words) : PHP_INT_MAX;
        if ($asksFrom === 0 || $words->tokens === []) {
            return;
        }
        $said = Phrase::said($words, 0, count($words->tokens));
        array_map($this->remove(...), $this->retractions->denied($words, $said));
        $this->retractions->report('', []);
        $this->retractions->doubt($said, $this->topic, $n);
        $known = $this->bowl->servings;
        if (Turns::isConditional($words) || Turns::isSelling($said) || Turns::isOfOthers($said)) {
            return;
        }
        $this->part += Turns::isOtherPart($said) ? 1 : 0;
        $taken = [];
        $objects = Objects::of($words->tokens, $words->mentions, $words->taken);
        $end = $heldFrom = 0;
        $this->isAside = false;
        $goesOn = false;
        $last = null;
        foreach (Clauses::of($words, $this->catalogue) as $clause) {
            if ($clause->from >= $asksFrom) {
                break;
            }
            if (Turns::isForOthers($words, $clause)) {
                $end = max($end, $clause->to);

                continue;
            }
            $piece = new Piece($sentence, $clause, $objects, $end, $taken !== [], $goesOn, $heldFrom, $n);
            $serving = $this->piece($piece);
            $end = max([$end, ...array_map(static fn (Amount|Mention $one): int => $one->to <= $clause->to ? $one->to : 0, [...$words->mentions, ...$words->amounts])]);
            $goesOn = $serving !== null;
            if ($serving !== null) {
                $this->told($words, $last, $heldFrom, (int) $piece->first);
                if ($last !== null && $last !== $serving && ($piece->foods[0]->from ?? -1) === $piece->first && Turns::isInstead(Phrase::said($words, $heldFrom, (int) $piece->first))) {
                    // "50 g of lard, no, let's say sunflower oil"
                    $this->remove($last);
                    $this->topic = $serving;
                }
                Aftermath::before($piece->prefix, $serving);
                $heldFrom = $piece->foods === [] ? $piece->end : $piece->foods[0]->to;
                $last = $serving;
                $taken[] = $serving;
                $this->used[$n] = true;
            }
        }
        if ($taken === [] && ($this->nameOnly($sentence, $n) || $this->justOne($said, $n))) {
            return;
        }
        array_map($this->remove(...), Retractions::leftOut($words, $said, $this->bowl));
        $this->retractions->report($said, array_values(array_filter($taken, static fn (Serving $one): bool => ! in_array($one, $known, true))));
        foreach ($taken as $one) {
            $worse = $this->retractions->betterThan($one, $n);
            if ($worse !== null) {
                $this->remove($worse);
                $this->topic = $one;
            }
        }
        if ($last !== null) {
            $this->told($words, $last, $heldFrom, count($words->tokens));
        } else {
            $this->afterwards($words, $said, $n);
        }
        if (Turns::isWaterKept($said) && ! isset($this->bowl->servings['water'])) {
            // "I keep the water. You need about 100 ml of that."
            $this->topic = $this->bowl->servings['water'] = new Serving('water', 'water', 'water', $n);
            $this->topic->isOnlyNamed = true;
            $this->topicAt = $n;
        }
    }

    /** What a sentence says of a food it named, up to the next one. */
    private function told(Words $words, ?Serving $serving, int $from, int $to): void
    {
        if ($serving !== null && ! Aftermath::of(Phrase::said($words, $from, $to), $serving, $this->ingredient($serving), true)) {
            $this->remove($serving);
        }
    }

    /** What a sentence that put nothing in says of the last food. */
    private function afterwards(Words $words, string $said, int $n): void
    {
        $sort = $this->topic !== null && $n - $this->topicAt <= self::REACH ? $this->kinds->sortOf($said, $this->topic) : null;
        if ($this->topic !== null && $sort !== null) {
            $this->topic = $this->bowl->rename($this->topic, ...$sort);

            return;
        }
        $last = $n - $this->topicAt <= 1 ? $this->topic : null;
        if ($last === null && $this->topic !== null && $n - $this->topicAt <= self::REACH) {
            // "I've steamed it already", said a little later
            Aftermath::done($said, $this->topic);
        }
        if ($last === null || ($words->amounts !== [] && Aftermath::isTakenBack($said) && ! Aftermath::isJokeBefore($said))) {
            return;
        }
        if (! Aftermath::of($said, $last, $this->ingredient($last), false)) {
            $this->remove($last);
        } elseif ($words->mentions === [] && $words->amounts === []) {
            Aftermath::forms($words, $last);
        }
    }

    private function ingredient(Serving $serving): ?Ingredient
    {
        return $serving->food === '' ? null : $this->catalogue->get($serving->food);
    }

    private function remove(Serving $serving): void
    {
        $this->bowl->without($serving->food);
        $this->topic = $this->topic === $serving ? null : $this->topic;
    }

    /** "Dill. A tablespoon, dried.": a food that is a sentence is spoken of next. */
    private function nameOnly(Sentence $sentence, int $n): bool
    {
        $words = $sentence->words;
        $foods = array_values(array_filter($words->kept(), static fn (Mention $one): bool => ! $one->within && ! Product::isNamedBy($one, $words)));
        if (count($foods) !== 1 || $words->amounts !== [] || count($words->tokens) > 8 || ! Turns::isAtHead($words, $foods[0]->from) || ! Turns::isAtEnd($words, $foods[0]->to)) {
            return false;
        }
        $piece = new Piece($sentence, Clauses::of($words, $this->catalogue)[0], Objects::of($words->tokens, $words->mentions, $words->taken), 0, false, false, 0, $n);
        $last = $piece->n - $this->topicAt <= self::REACH ? $this->topic : null;
        if ($last !== null && $last->amounts !== [] && $last->food !== '' && $this->catalogue->get($foods[0]->ingredient)->isNamedBy($this->catalogue->get($last->food))) {
            // "A pound of flour. Wholemeal."
            $this->topic = $this->bowl->rename($last, $foods[0]->ingredient, Phrase::of($words, $foods[0], $piece->clause)[0]);

            return true;
        }
        $isNew = $this->bowl->known($foods[0]) === null;
        $serving = $this->take($piece, $this->kinds->of($piece, $foods[0]) ?? $foods[0], [], null);
        $serving->isOnlyNamed = $serving->isOnlyNamed || $isNew;
        $isOne = preg_match('/^(?:and |so |okay |right )*(?:now|then|next|in goes) (?:\w+ )?(?:the|our|an|your|my)\b/u', Phrase::said($words, 0, $foods[0]->from)) === 1;
        if ($isNew && $isOne && $this->admission->isCountable($foods[0]) && ! str_ends_with($words->tokens[$foods[0]->to - 1]->text, 's')) {
            // "now the egg"
            $serving->amounts = [new Amount(Range::exact(1), 'each', null, 0, 0)];
            $serving->isSure = $serving->isOnlyNamed = false;
        }

        return true;
    }

    /** "And then our egg. Just the one." */
    private function justOne(string $said, int $n): bool
    {
        if ($this->topic === null || $this->topic->amounts !== [] || $n - $this->topicAt > 1 || preg_match('/^(?:and |so |its |thats )?(?:just|only) (?:the )?one(?: of (?:them|those))?$/u', $said) !== 1) {
            return false;
        }
        $this->topic->amounts = [new Amount(Range::exact(1), 'each', null, 0, 0)];
        $this->used[$n] = true;

        return true;
    }

    /** The food of a clause when it goes in; null when nothing does. */
    private function piece(Piece $piece): ?Serving
    {
        if ($piece->first === null || $this->admission->isDrunk($piece)) {
            return null;
        }
        // "the original had a cup of sugar, a cup of lard and raisins"
        $this->isAside = ($this->isAside && preg_match('/^(?:and|or|plus)?$/u', $piece->prefix) === 1) || $this->admission->isOfNoBowl($piece, $this->bowl);
        if ($this->isAside) {
            return null;
        }
        $foods = $this->kinds->ofNow($piece->words, $piece->foods);
        if ($foods === []) {
            return $this->nameless($piece) ?? $this->ofTopic($piece);
        }
        $food = $this->kinds->best($piece->words, $foods);
        [$amounts, $after, $isGuessed] = $this->amountsOf($piece, $food);
        if ($amounts === [] && Turns::isHolding(Phrase::said($piece->words, $piece->heldFrom, $food->from))) {
            return null;
        }
        $food = $this->kinds->of($piece, $food) ?? $this->kinds->ofTopic($piece, $food, $this->topic) ?? $food;
        $amounts = Measures::lastSaid($amounts, $piece->words, $corrected);
        $isArticle = count($amounts) === 1 && $amounts[0]->unit === 'each' && $amounts[0]->size === null && $amounts[0]->to > 0 && $piece->words->tokens[$amounts[0]->from]->is('a', 'an');
        $kind = ($amounts === [] || $isArticle) && $piece->n - $this->topicAt <= 1 && $this->kinds->isSortOf($piece, $food, $this->topic) ? $this->topic : null;
        $amounts = $kind === null ? $amounts : $kind->amounts;
        if (! ($amounts === [] ? $this->admission->uncounted($piece, $food, $this->bowl) : $this->admission->counted($piece, $food, $amounts, $after, $this->bowl, $this->topicAt))) {
            $known = $amounts === [] ? $this->admission->spokenOf($piece, $food, $this->bowl) : null;
            $this->topic = $known ?? $this->topic;
            $this->topicAt = $known === null ? $this->topicAt : $piece->n;

            return null;
        }
        if ($kind !== null) {
            $this->bowl->without($kind->food);
        }
        $serving = $this->take($piece, $food, $amounts, $corrected);
        $serving->isSure = $serving->isSure && ! $isGuessed;
        if ($kind !== null) {
            // "cooked white fish, haddock"
            $serving->words = trim(trim(str_replace($kind->plain, '', $kind->words), ' ,')." $serving->words");
            $serving->spans = [...$kind->spans, ...$serving->spans];
        }
        foreach ($after as $one) {
            Measures::again($serving, $one, Phrase::said($piece->words, $food->to, $one->from), $piece->words);
            $serving->words .= Phrase::formsIn(Phrase::behind($piece->words, $one->to, count($piece->words->tokens)), $serving->words);
        }

        return $serving;
    }

    /**
     * The amounts of a food, and what is said of them once more behind it.
     *
     * @return array{list<Amount>, list<Amount>, bool} the third: whether a bare number was taken for grams
     */
    private function amountsOf(Piece $piece, Mention $food): array
    {
        $words = $piece->words;
        $amounts = Measures::inTheSameUnit($piece->amounts, $words);
        [$amounts, $isGuessed] = Measures::inGrams($amounts, $words, $food, $this->isInGrams, $this->admission->isCountable($food));
        // a number far behind a food counts something else
        $amounts = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->from < $food->to + 6 || $one->contents !== null || Unit::in('metric', $one->unit) !== null));
        $before = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->to <= $food->from));
        if ($before === [] && ($tin = Served::vesselOf($words, $food, $this->bowl->known($food) !== null)) !== null) {
            $before = [$tin];
        }
        if ($before === []) {
            return [$amounts, [], $isGuessed];
        }
        $after = array_values(array_filter($amounts, static fn (Amount $one): bool => $one->from >= $food->to && (Measures::isOfThat($one, $words) || Measures::isOfTheSame($one, $before, Phrase::said($words, $food->to, $one->from)))));

        return [$before, $after, $isGuessed];
    }

    /** A measured word that nobody knows: a line of its own, to be asked about. */
    private function nameless(Piece $piece): ?Serving
    {
        [$name, $amount] = Nameless::of($piece) ?? Nameless::before($piece) ?? [null, null];
        if ($name === null || $amount === null) {
            return null;
        }
        $serving = $this->bowl->servings["? $name"] ??= new Serving('', $name, $name, $piece->n);
        $serving->isSure = false;
        Measures::settle($serving, [$amount], '', $piece->words, null, false);
        $serving->spans[] = [$piece->sentence->from, $piece->sentence->to];

        return $serving;
    }

    /** An amount without a food: of the last food spoken of, if it measures something. */
    private function ofTopic(Piece $piece): ?Serving
    {
        $topic = $this->topic;
        if ($topic === null || $piece->n - $this->topicAt > self::REACH || ! Measures::isSummedUp(Phrase::said($piece->words, $piece->end, $piece->amounts === [] ? 0 : $piece->amounts[array_key_last($piece->amounts)]->from)) && preg_match(self::NOT_OF_TOPIC, Phrase::said($piece->words, 0, $piece->amounts === [] ? 0 : $piece->amounts[array_key_last($piece->amounts)]->to + 1)) === 1) {
            return null;
        }
        $own = array_values(array_filter($piece->amounts, static fn (Amount $one): bool => ! Served::isOfSomethingElse($one, $piece->words)));
        $amounts = Measures::inTheUnitOf($topic, Served::notThick($topic, $own, $piece->words), $piece->prefix, $piece->words);
        $isNext = $topic->amounts === [] && $piece->n - $this->topicAt <= 1 && $piece->end === 0 && Turns::isAtHead($piece->words, $piece->amounts[0]->from ?? 0);
        $amounts = array_values(array_filter($amounts, static fn (Amount $one): bool => $isNext || Unit::in('metric', $one->unit) !== null || $one->contents !== null || ($one->unit === 'tin' && $one->quantity->best > 1)));
        if ($amounts === [] || ($topic->amounts !== [] && Served::isOfADog($amounts[0]))) {
            return null;
        }
        $last = $amounts[array_key_last($amounts)];
        $amounts = Measures::lastSaid($amounts, $piece->words, $corrected);
        Measures::settle($topic, $amounts, $piece->prefix, $piece->words, $corrected, true);
        $topic->words .= Phrase::behind($piece->words, $last->to, count($piece->words->tokens));
        $topic->spans[] = [$piece->sentence->from, $piece->sentence->to];
        $this->topicAt = $piece->n;

        return $topic;
    }

    /** @param  list<Amount>  $amounts */
    private function take(Piece $piece, Mention $food, array $amounts, ?string $corrected): Serving
    {
        $words = $piece->words;
        $written = $this->kinds->writing($food->ingredient);
        [$phrase, $plain] = $written !== null ? [$written.$this->kinds->formsOf($food->ingredient, $words), $written] : Phrase::of($words, $food, $piece->clause);
        $isThere = Turns::isThere($words, $food);
        $isAnother = $amounts !== [] && ! $isThere && ! Catalogue::isInGroup($food->ingredient, ['category-word']) && ! Measures::isMore($amounts[0], $piece->prefix, $words);
        $serving = $this->bowl->servings[$food->ingredient] ?? ($isAnother ? null : $this->bowl->known($food, $isThere ? mb_strtolower($plain) : ''));
        $kind = $serving === null && $amounts !== [] ? $this->bowl->kindOf($food, $amounts[0]) : null;
        if ($kind !== null) {
            // "Flour! Two cups! Two cups of the brown flour"
            $this->bowl->without($kind->food);
        }
        $raw = $serving === null && $amounts !== [] ? $this->bowl->rawOf($food->ingredient) : null;
        $isNew = $serving === null;
        $serving ??= new Serving($food->ingredient, $phrase, $plain, $piece->n);
        if ($raw !== null) {
            // "200 g of lentils, I boil them, and you want 300 g of cooked lentils for this"
            $serving->earlier = [Written::amounts($raw->amounts).' '.$raw->plain];
            $serving->isSure = false;
            $serving->spans = $raw->spans;
            $this->bowl->without($raw->food);
        }
        if ($isNew) {
            $this->bowl->servings[$food->ingredient] = $serving;
        } elseif ((strlen($phrase) > strlen($serving->words) && ($serving->amounts === [] || ($amounts !== [] && str_contains(mb_strtolower($phrase), mb_strtolower($serving->words))))) || (Tokenizer::stem(mb_strtolower($phrase)) === mb_strtolower($serving->words))) {
            $serving->words = $phrase;
        }
        $serving->isSure = $serving->isSure && preg_match('/\boptional/u', Phrase::said($words, 0, count($words->tokens))) !== 1;
        if ($amounts !== []) {
            Measures::settle($serving, $amounts, $piece->prefix, $words, $corrected, ! $isNew, $serving->part !== $this->part);
            $serving->part = $this->part;
        }
        $serving->at = $piece->n;
        $last = $words->tokens[$piece->clause->to - 1];
        [$from, $to] = Alignment::of($piece->sentence->text, $words->clean, $words->tokens[$piece->clause->from]->offset, $last->offset + $last->length);
        $serving->spans[] = [$piece->sentence->from + $from, $piece->sentence->from + $to];
        $this->topic = $serving;
        $this->topicAt = $piece->n;

        return $serving;
    }
}
