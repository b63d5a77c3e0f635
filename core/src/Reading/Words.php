<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Lexicon;

/** A line cut into words, with the foods it names, which of them it only warns of, and its amounts. */
final readonly class Words
{
    /**
     * @param  string  $text  as it was written
     * @param  string  $clean  the text as tokens point into it
     * @param  list<Token>  $tokens
     * @param  list<Mention>  $mentions
     * @param  array<int, bool>  $taken  tokens that belong to names (true) and set phrases (false)
     * @param  array<int, true>  $negated  indexes of mentions that are only kept out
     * @param  list<Amount>  $amounts
     */
    private function __construct(
        public string $text,
        public string $clean,
        public array $tokens,
        public array $mentions,
        public array $taken,
        public array $negated,
        public array $amounts,
    ) {}

    public static function of(string $text, Lexicon $lexicon): self
    {
        $clean = Tokenizer::clean($text);
        $tokens = Tokenizer::tokenize($clean);
        [$mentions, $taken] = MentionFinder::find($tokens, $lexicon, false);
        $amounts = AmountReader::read($tokens, $taken);
        $mentions = self::withoutUnits($mentions, $amounts);

        return new self($text, $clean, $tokens, $mentions, $taken, Negation::of($tokens, $mentions), $amounts);
    }

    /** @return list<Mention> that are not kept out */
    public function kept(): array
    {
        return array_values(array_diff_key($this->mentions, $this->negated));
    }

    /**
     * The same line, in which some foods are none.
     *
     * @param  callable(Mention): bool  $isNone
     */
    public function without(callable $isNone): self
    {
        $mentions = $negated = [];
        foreach ($this->mentions as $index => $mention) {
            if (! $isNone($mention)) {
                if (isset($this->negated[$index])) {
                    $negated[count($mentions)] = true;
                }
                $mentions[] = $mention;
            }
        }

        return count($mentions) === count($this->mentions) ? $this : new self($this->text, $this->clean, $this->tokens, $mentions, $this->taken, $negated, $this->amounts);
    }

    /**
     * A part of the line, read as it was read in the whole.
     *
     * @param  int  $from  index of its first token
     * @param  int  $to  index after the last
     * @param  string  $text  the part as it was written
     */
    public function part(int $from, int $to, string $text): self
    {
        $start = $this->tokens[$from]->offset;
        $last = $this->tokens[$to - 1];
        $mentions = $negated = $taken = [];
        foreach ($this->mentions as $index => $mention) {
            if ($mention->from >= $from && $mention->to <= $to) {
                if (isset($this->negated[$index])) {
                    $negated[count($mentions)] = true;
                }
                $mentions[] = $mention->moved($from);
            }
        }
        for ($i = $from; $i < $to; $i++) {
            if (isset($this->taken[$i])) {
                $taken[$i - $from] = $this->taken[$i];
            }
        }

        return new self(
            $text, substr($this->clean, $start, $last->offset + $last->length - $start),
            array_map(static fn (Token $token): Token => $token->moved($start), array_slice($this->tokens, $from, $to - $from)),
            $mentions, $taken, $negated,
            array_map(static fn (Amount $amount): Amount => $amount->moved($from), array_values(array_filter($this->amounts, static fn (Amount $amount): bool => $amount->from >= $from && $amount->to <= $to))),
        );
    }

    /**
     * "2 cloves garlic", "the juice of a lemon": the counted word is no food.
     *
     * @param  list<Mention>  $mentions
     * @param  list<Amount>  $amounts
     * @return list<Mention>
     */
    private static function withoutUnits(array $mentions, array $amounts): array
    {
        $squeezed = array_filter($amounts, static fn (Amount $amount): bool => $amount->unit === 'juice-of' || $amount->unit === 'zest-of');
        foreach ($mentions as $index => $mention) {
            $next = $mentions[$index + 1] ?? null;
            if ($mention->ingredient === 'clove' && $next !== null && str_starts_with($next->ingredient, 'garlic') && $next->from <= $mention->to + 1) {
                unset($mentions[$index]);
            }
            foreach ($squeezed as $amount) {
                if ($mention->from >= $amount->from && $mention->to <= $amount->to && $mention->ingredient !== 'citrus-peel') {
                    unset($mentions[$index]);
                }
            }
        }

        return array_values($mentions);
    }
}
