<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** One step of the method, with the foods it names. */
final readonly class ReadStep
{
    /**
     * @param  list<string>  $foods  ingredient ids, less those it warns of
     * @param  array<string, string>  $phrases  food id => dictionary key of the words that named it
     * @param  list<string>  $keys
     */
    public function __construct(
        public string $text,
        public array $foods,
        public array $phrases,
        public array $keys,
    ) {}

    /**
     * Whether one of these phrase keys occurs in the step.
     *
     * @param  list<string>  $phrases
     */
    public function says(array $phrases): bool
    {
        return Tokenizer::holds($this->keys, $phrases);
    }

    public static function read(string $text): self
    {
        $tokens = Tokenizer::tokenize(Tokenizer::clean($text));
        [$mentions] = MentionFinder::find($tokens, true);
        $negated = Negation::of($tokens, $mentions);
        $foods = $phrases = [];
        foreach ($mentions as $index => $mention) {
            if (isset($negated[$index])) {
                continue;
            }
            $foods[$mention->ingredient] = true;
            $words = [];
            for ($i = $mention->from; $i < $mention->to; $i++) {
                $words[] = $tokens[$i]->stem;
            }
            $phrases[$mention->ingredient] = implode(' ', $words);
        }

        return new self($text, array_map(strval(...), array_keys($foods)), $phrases, array_map(static fn (Token $token): string => $token->stem, $tokens));
    }
}
