<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Ingredient;

/** One step of the method, with the foods it names. */
final readonly class ReadStep
{
    /**
     * @param  list<Ingredient>  $foods  less those it warns of
     * @param  array<string, string>  $phrases  food id => dictionary key of the words that named it
     * @param  list<string>  $unread  words for what goes in that nobody understood
     */
    public function __construct(
        public string $text,
        public array $foods,
        public array $phrases,
        public Said $said,
        public array $unread,
        public Place $place,
    ) {}

    public static function read(string $text, Catalogue $catalogue, Place $place): self
    {
        $tokens = Tokenizer::tokenize(Tokenizer::clean($text));
        [$mentions, $taken] = MentionFinder::find($tokens, $catalogue->lexicon, false);
        $objects = Objects::of($tokens, $mentions, $taken);
        $negated = Negation::of($tokens, $mentions);
        $foods = $phrases = [];
        foreach ($mentions as $index => $mention) {
            $food = $catalogue->get($mention->ingredient);
            // a word that may mean something else, or a whole kind, counts where it goes in; the biscuits of a step are what is baked
            $isLoose = $mention->ambiguous || $food->inGroup('category-word');
            if (isset($negated[$index]) || ($isLoose && ! isset($objects->at[$mention->from])) || ($mention->ambiguous && $food->inGroup('composite-head'))) {
                continue;
            }
            $foods[$mention->ingredient] = $food;
            $words = [];
            for ($i = $mention->from; $i < $mention->to; $i++) {
                $words[] = $tokens[$i]->stem;
            }
            $phrases[$mention->ingredient] = implode(' ', $words);
        }

        return new self($text, array_values($foods), $phrases, Said::of($tokens), $negated === [] ? $objects->unread : [], $place);
    }
}
