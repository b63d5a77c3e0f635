<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Reading\Words;
use MildBowl\Core\Screening\Rule;

/** What a talk warns of: foods that are named to be kept out, and those of the never list that are only spoken of. */
final class Warnings
{
    /** Of the never list, what people speak of and mean no food: a cup of tea, a beer, playdough. */
    private const CHATTED = ['caffeine-source', 'alcohol-drink', 'salt-dough-itself'];

    /** @var array<string, array{Words, list<array{int, int}>, string}> foods warned of: how, where, and the words */
    private array $warned = [];

    public function __construct(private readonly Catalogue $catalogue) {}

    public function isOf(string $food): bool
    {
        return isset($this->warned[$food]);
    }

    /** @return array<string, array{Words, list<array{int, int}>, string}> without those that are in the bowl */
    public function without(Bowl $bowl): array
    {
        return array_filter($this->warned, static fn (string $id): bool => ! $bowl->holdsSortOf($id), ARRAY_FILTER_USE_KEY);
    }

    public function hear(Sentence $sentence): void
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
    public function ofNever(Sentence $sentence): void
    {
        foreach ($sentence->words->mentions as $mention) {
            $food = $this->catalogue->get($mention->ingredient);
            if (! $mention->ambiguous && ! $food->inAny(self::CHATTED) && ! Product::isVessel($mention, $sentence->words) && Rule::forbid($food)) {
                $this->warned[$mention->ingredient] ??= [$sentence->words, [[$sentence->from, $sentence->to]], $sentence->text];
            }
        }
    }
}
