<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** One ingredient line as understood. */
final readonly class ReadLine
{
    /**
     * @param  int  $row  number of the row of the text it stands in, from 0
     * @param  list<Amount>  $amounts
     * @param  ?string  $ingredient  the food the line is about; null when not recognised
     * @param  list<string>  $others  further foods named in the line, screened too
     * @param  list<string>  $alternatives  foods offered instead ("or rice flour")
     * @param  list<string>  $forms  mashed, cooked, tinned …
     * @param  ?string  $condition  "leave out if …", as written
     * @param  list<string>  $unread  words that nobody understood
     * @param  list<string>  $keys  dictionary keys of all its words, for phrases that settle or trigger a rule
     * @param  ?string  $purpose  "dusting", "greasing" or "taste" when no amount is given for that reason
     * @param  list<array{from: int, length: int, role: string}>  $words  which bytes of the cleaned text became what
     */
    public function __construct(
        public string $text,
        public int $row,
        public ?string $section,
        public array $amounts,
        public ?string $ingredient,
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
    ) {}

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
        return Tokenizer::holds($this->keys, $phrases);
    }

    /** @return list<string> every food the line names */
    public function foods(): array
    {
        $foods = $this->ingredient === null ? [] : [$this->ingredient];

        return array_values(array_unique([...$foods, ...$this->others, ...$this->alternatives]));
    }
}
