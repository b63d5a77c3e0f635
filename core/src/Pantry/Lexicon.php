<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Language\Tokenizer;

/**
 * Which words name which food: the names of names.csv, and the words a kitchen added. A kitchen's own words win over ours; that they
 * name no poison is checked where they come in.
 */
final readonly class Lexicon
{
    /**
     * @param  array<string, int>  $first  most words of a shipped name that begins with this one
     * @param  array<string, array{string, int}>  $phrases  ingredient id ('' for a set phrase that names none), and 1 when the words may mean
     *                                                      something else outside an ingredient list
     * @param  array<string, int>  $ownFirst
     * @param  array<string, array{string, int}>  $ownPhrases
     */
    private function __construct(public array $first, public array $phrases, public array $ownFirst = [], public array $ownPhrases = []) {}

    public static function shipped(): self
    {
        $lexicon = Compiled::tables()['lexicon'];

        return new self($lexicon['first'], $lexicon['phrases']);
    }

    /** @param  array<string, string>  $names  ingredient id by the words for it */
    public function with(array $names): self
    {
        [$first, $phrases] = [$this->ownFirst, $this->ownPhrases];
        foreach ($names as $words => $id) {
            $key = Tokenizer::key((string) $words);
            $phrases[$key] = [$id, 0];
            $parts = explode(' ', $key);
            $first[$parts[0]] = max($first[$parts[0]] ?? 0, count($parts));
        }

        return new self($this->first, $this->phrases, $first, $phrases);
    }

    public function isShipped(): bool
    {
        return $this->ownPhrases === [];
    }

    /** The id that words stand for, read as in a recipe; null when nobody knows them. */
    public function idOf(string $words): ?string
    {
        $key = Tokenizer::key($words);
        $id = $this->ownPhrases[$key][0] ?? $this->phrases[$key][0] ?? '';

        return $id === '' ? null : $id;
    }

    /** @return list<string> every name of a food in names.csv */
    public static function namesOf(string $ingredient): array
    {
        return Compiled::tables()['names'][$ingredient] ?? [];
    }
}
