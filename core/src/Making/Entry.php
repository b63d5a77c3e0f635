<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

/** One entry of the log of a batch. It is never changed: a later one corrects it, or says that it was a slip. */
final readonly class Entry
{
    /**
     * @param  string  $at  the moment it happened, ISO 8601 in UTC with milliseconds: two of them compare as texts
     * @param  string  $by  who did it
     * @param  array<string, mixed>  $said  what was said, by the keys of its kind
     * @param  ?string  $corrects  the entry whose place it takes
     */
    public function __construct(public string $id, public string $at, public string $by, public EntryKind $kind, public array $said = [], public ?string $corrects = null) {}

    public function text(string $key): ?string
    {
        $value = $this->said[$key] ?? null;

        return is_string($value) ? $value : null;
    }

    public function number(string $key): ?float
    {
        $value = $this->said[$key] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    /** Seconds since 1970. */
    public function seconds(): float
    {
        [$whole, $part] = [strtotime(substr($this->at, 0, 19).'Z'), substr($this->at, 20, 3)];

        return (float) $whole + (float) $part / 1000;
    }

    /** The same entry in the place of the one it corrects. */
    public function inPlaceOf(self $first): self
    {
        return new self($this->id, $first->at, $this->by, $this->kind, $this->said, $this->corrects);
    }
}
