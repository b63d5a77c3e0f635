<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\Clause;
use MildBowl\Core\Reading\Mention;
use MildBowl\Core\Reading\Objects;
use MildBowl\Core\Reading\Words;

/** A clause of a sentence as somebody tells it: the foods and the amounts that may go into the bowl, and the words before them. */
final readonly class Piece
{
    public Words $words;

    /** @var list<Mention> */
    public array $foods;

    /** @var list<Amount> */
    public array $amounts;

    /** The words between what was told before and the first food or amount. */
    public string $prefix;

    /** Its first food's or amount's token; null when there is none. */
    public ?int $first;

    /**
     * @param  int  $end  token behind the foods and amounts before this clause
     * @param  bool  $any  whether something of the sentence went in
     * @param  bool  $goesOn  whether the clause just before did
     * @param  int  $heldFrom  token behind the last food that went in
     * @param  int  $n  number of the sentence
     */
    public function __construct(public Sentence $sentence, public Clause $clause, public Objects $objects, public int $end, public bool $any, public bool $goesOn, public int $heldFrom, public int $n)
    {
        $words = $this->words = $sentence->words;
        $within = static fn (Amount|Mention $one): bool => $one->from >= $clause->from && $one->to <= $clause->to;
        $warned = [];
        foreach (array_intersect_key($words->mentions, $words->negated) as $one) {
            $warned[$one->ingredient] = $one->from;
        }
        $starts = array_map(static fn (Amount $one): int => $one->to, $words->amounts);
        // "but not a blue cheese, blue cheese can make a dog really poorly"
        $isWarned = static fn (Mention $one): bool => $one->from > ($warned[$one->ingredient] ?? PHP_INT_MAX) && ! in_array($one->from, $starts, true);
        // "turkey's got to hit 165": it is spoken of
        $isSubject = static fn (Mention $one): bool => preg_match('/[\'’]s$/u', $words->tokens[$one->to - 1]->raw) === 1
            && ($words->tokens[$one->to] ?? null)?->is('got', 'about', 'around', 'not', 'been', 'gone', 'going', 'done', 'ready', 'fine', 'good', 'lovely', 'my', 'the', 'a', 'in', 'on', 'only', 'still', 'had') === true;
        $this->foods = array_values(array_filter($words->kept(), static fn (Mention $one): bool => $within($one) && ! $one->within && ! $isWarned($one) && ! $isSubject($one) && ($one->ingredient !== 'raw-bone' || in_array($one->from, $starts, true)) && ! Turns::isLikened(Phrase::said($words, max(0, $one->from - 5), $one->from)) && ! Product::isNamedBy($one, $words)));
        $all = [...array_filter($words->amounts, $within), ...$clause->shared];
        $this->amounts = array_values(array_filter($all, static fn (Amount $one): bool => Served::serves($one, $words)));
        $starts = array_map(static fn (Amount|Mention $one): int => $one->from, [...$this->foods, ...$this->amounts]);
        $this->first = $starts === [] ? null : min($starts);
        $this->prefix = $this->first === null ? '' : Phrase::said($words, $end, $this->first);
    }

    /** The words behind a food, as far as they are looked at. */
    public function behind(Mention $food, int $count): string
    {
        return Phrase::said($this->words, $food->to, $food->to + $count);
    }

    /** Whether a food stands where a word puts it in: add, stir in, sprinkle with. */
    public function isObject(Mention $food): bool
    {
        return $this->objects->at[$food->from] ?? false;
    }
}
