<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Language\Tokenizer;
use MildBowl\Core\Pantry\Ingredient;

/** One ingredient line as understood. */
final readonly class ReadLine
{
    /** Its keys in a row, to look for phrases in. */
    private string $said;

    /** @var list<Ingredient> */
    private array $foods;

    /**
     * @param  list<Amount>  $amounts
     * @param  ?Ingredient  $food  what the line is about; null when not recognised
     * @param  list<Ingredient>  $others  further foods named in the line, screened too
     * @param  list<Ingredient>  $alternatives  foods offered instead ("or rice flour")
     * @param  list<string>  $forms  mashed, cooked, tinned …
     * @param  ?string  $condition  "leave out if …", as written
     * @param  list<string>  $unread  words that nobody understood
     * @param  list<string>  $keys  dictionary keys of all its words, for phrases that settle or trigger a rule
     * @param  ?string  $purpose  "dusting", "greasing" or "taste" when no amount is given for that reason
     * @param  list<array{from: int, length: int, role: string}>  $words  which bytes of the cleaned text became what
     */
    public function __construct(
        public string $text,
        public Place $place,
        public ?string $section,
        public array $amounts,
        public ?Ingredient $food,
        public array $others,
        public array $alternatives,
        public array $forms,
        public ?string $condition,
        public array $unread,
        public array $keys,
        public ?string $purpose,
        public bool $lookAlikes,
        public array $words,
        public string $clean,
    ) {
        $this->said = ' '.implode(' ', $keys).' ';
        $foods = $food === null ? [] : [$food->id => $food];
        foreach ($others as $one) {
            $foods[$one->id] ??= $one;
        }
        foreach ($alternatives as $one) {
            $foods[$one->id] ??= $one;
        }
        $this->foods = array_values($foods);
    }

    public function hasForm(string $form): bool
    {
        return in_array($form, $this->forms, true);
    }

    /**
     * Whether one of these phrase keys occurs in the line.
     *
     * @param  list<string>  $phrases
     */
    public function says(array $phrases): bool
    {
        return Tokenizer::holds($this->said, $phrases);
    }

    /** @return list<Ingredient> every food the line names, its own first */
    public function foods(): array
    {
        return $this->foods;
    }

    /** Whether the line is about a food and every word of it was understood. */
    public function isUnderstood(): bool
    {
        return $this->food !== null && $this->unread === [];
    }
}
