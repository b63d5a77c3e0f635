<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Token;
use MildBowl\Core\Language\Tokenizer;

/** What is said of a food, to look for phrases in: what sets a rule off, and what settles it. What is denied settles nothing ("not pitted"). */
final readonly class Said
{
    private const DENIALS = ['not' => true, 'never' => true, 'isnt' => true, 'arent' => true, 'wasnt' => true, 'nor' => true, 'hardly' => true];

    private function __construct(private string $words, private string $undenied) {}

    /** @param  list<Token>  $tokens */
    public static function of(array $tokens): self
    {
        $words = $undenied = ' ';
        $denied = false;
        foreach ($tokens as $token) {
            $words .= "{$token->stem} ";
            $undenied .= $denied ? '- ' : "{$token->stem} ";
            $denied = isset(self::DENIALS[$token->text]);
        }

        return new self($words, $undenied);
    }

    public static function nothing(): self
    {
        return new self(' ', ' ');
    }

    /** @param  list<string>  $phrases  dictionary keys */
    public function says(array $phrases): bool
    {
        return Tokenizer::holds($this->words, $phrases);
    }

    /** @param  list<string>  $phrases  dictionary keys */
    public function settles(array $phrases): bool
    {
        return Tokenizer::holds($this->undenied, $phrases);
    }
}
