<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Pantry\Ingredient;

/** One ingredient line as understood. */
final readonly class ReadLine
{
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
     * @param  list<string>  $odd  numbers that nobody can mean
     * @param  list<string>  $unsettled  forms that its food has no figures for
     * @param  list<string>  $keys  dictionary keys of all its words, for phrases that settle or trigger a rule
     * @param  ?string  $purpose  "dusting", "greasing" or "taste" when no amount is given for that reason
     * @param  list<array{from: int, length: int, role: string}>  $words  which bytes of the cleaned text became what
     * @param  array<string, Said>  $saidOfOthers  of alternatives, by food
     * @param  bool  $isHeading  whether it is a heading that names a food no line holds
     * @param  ?Used  $made  what of it really went in; null: all that is written
     * @param  bool  $isAdded  whether it stands nowhere and was added while it was made
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
        public array $odd,
        public array $unsettled,
        public array $keys,
        public ?string $purpose,
        public bool $lookAlikes,
        public array $words,
        public string $clean,
        private Said $said,
        private array $saidOfOthers,
        public bool $isHeading = false,
        public ?Used $made = null,
        public bool $isAdded = false,
    ) {
        $foods = $food === null ? [] : [$food->id => $food];
        foreach ($others as $one) {
            $foods[$one->id] ??= $one;
        }
        foreach ($alternatives as $one) {
            $foods[$one->id] ??= $one;
        }
        $this->foods = array_values($foods);
    }

    public function asHeading(): self
    {
        return $this->but(isHeading: true);
    }

    /** The same line where only so much of it went in. An amount that was weighed is no odd one any more. */
    public function asMade(Used $made): self
    {
        return $this->but(made: $made);
    }

    /** The same line where it was written nowhere. */
    public function asAdded(): self
    {
        return $this->but(isAdded: true);
    }

    private function but(bool $isHeading = false, ?Used $made = null, bool $isAdded = false): self
    {
        return new self(
            $this->text, $this->place, $this->section, $this->amounts, $this->food, $this->others, $this->alternatives, $this->forms, $this->condition, $this->unread,
            $made?->grams === null ? $this->odd : [], $this->unsettled, $this->keys, $this->purpose, $this->lookAlikes, $this->words, $this->clean, $this->said, $this->saidOfOthers,
            $isHeading, $made, $isAdded,
        );
    }

    public function hasForm(string $form): bool
    {
        return in_array($form, $this->forms, true);
    }

    /** What is said of one of its foods: words about an alternative settle nothing of the others. */
    public function saidOf(Ingredient $food): Said
    {
        return $this->saidOfOthers[$food->id] ?? $this->said;
    }

    /** @return list<Ingredient> every food the line names, its own first */
    public function foods(): array
    {
        return $this->foods;
    }

    /** Whether the line is about a food and every word of it was understood. */
    public function isUnderstood(): bool
    {
        return $this->food !== null && $this->unread === [] && $this->odd === [];
    }
}
