<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Lexicon;

/** A line cut into words, with the foods it names and which of them it only warns of. */
final readonly class Words
{
    /**
     * @param  string  $clean  the text as tokens point into it
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, true>  $taken  tokens that belong to names and set phrases
     * @param  array<int, true>  $negated  indexes of mentions that are only kept out
     */
    private function __construct(
        public string $text,
        public string $clean,
        public array $tokens,
        public array $mentions,
        public array $taken,
        public array $negated,
    ) {}

    public static function of(string $text, Lexicon $lexicon): self
    {
        $clean = Tokenizer::clean($text);
        $tokens = Tokenizer::tokenize($clean);
        [$mentions, $taken] = MentionFinder::find($tokens, $lexicon, false);

        return new self($text, $clean, $tokens, $mentions, $taken, Negation::of($tokens, $mentions));
    }
}
