<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** A food named in a line. */
final readonly class Mention
{
    public function __construct(
        public string $ingredient,
        public int $from,
        public int $to,
        public bool $alternative = false,
        public bool $ambiguous = false,
    ) {}

    public function as(string $ingredient): self
    {
        return new self($ingredient, $this->from, $this->to, $this->alternative, $this->ambiguous);
    }

    public function asAlternative(): self
    {
        return new self($this->ingredient, $this->from, $this->to, true, $this->ambiguous);
    }
}
