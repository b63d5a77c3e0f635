<?php

declare(strict_types=1);

namespace App\Exchange;

/** Something that lies in a file from outside and could be taken into this kitchen. */
final readonly class Offered
{
    /**
     * @param  string  $kind  one of ShelfFile::KINDS
     * @param  array<string, mixed>  $fields  by the words of the API
     * @param  'new'|'same'|'other'  $state  whether this kitchen has it: not yet, exactly so, or another of that name
     * @param  ?string  $problem  why it cannot be taken, in words
     */
    public function __construct(public int $number, public string $kind, public string $name, public array $fields, public string $state, public ?string $problem, public ?string $id, public ?string $parent, public ?string $picture) {}

    public function with(string $state, ?string $problem): self
    {
        return new self($this->number, $this->kind, $this->name, $this->fields, $state, $problem, $this->id, $this->parent, $this->picture);
    }

    /** @return array<string, mixed> as the page shows it */
    public function told(): array
    {
        $text = $this->fields['text'] ?? $this->fields['ingredients'] ?? $this->fields['note'] ?? '';

        return ['number' => $this->number, 'kind' => $this->kind, 'name' => $this->name, 'state' => $this->state, 'problem' => $this->problem, 'text' => is_string($text) ? mb_substr($text, 0, 400) : '', 'hasPicture' => $this->picture !== null];
    }
}
