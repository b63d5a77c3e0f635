<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;

/** One step of the method, with the foods it names. */
final readonly class ReadStep
{
    /**
     * @param  list<Ingredient>  $foods  less those it warns of
     * @param  array<string, string>  $phrases  food id => dictionary key of the words that named it
     * @param  list<string>  $keys
     */
    public function __construct(
        public string $text,
        public array $foods,
        public array $phrases,
        public array $keys,
        public Place $place,
    ) {}

    /**
     * Whether one of these phrase keys occurs in the step.
     *
     * @param  list<string>  $phrases
     */
    public function says(array $phrases): bool
    {
        return Tokenizer::holds(' '.implode(' ', $this->keys).' ', $phrases);
    }

    public static function read(string $text, Catalogue $catalogue, Place $place): self
    {
        $tokens = Tokenizer::tokenize(Tokenizer::clean($text));
        [$mentions] = MentionFinder::find($tokens, $catalogue->lexicon, true);
        $negated = Negation::of($tokens, $mentions);
        $foods = $phrases = [];
        foreach ($mentions as $index => $mention) {
            if (isset($negated[$index])) {
                continue;
            }
            $foods[$mention->ingredient] = $catalogue->get($mention->ingredient);
            $words = [];
            for ($i = $mention->from; $i < $mention->to; $i++) {
                $words[] = $tokens[$i]->stem;
            }
            $phrases[$mention->ingredient] = implode(' ', $words);
        }

        return new self($text, array_values($foods), $phrases, array_map(static fn (Token $token): string => $token->stem, $tokens), $place);
    }
}
