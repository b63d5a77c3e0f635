<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** One recipe from outside, with its list and its method fit to be read as ours. */
final readonly class Clipping
{
    /** @param  ?list<Doubt>  $doubts  null where nobody asked */
    public function __construct(
        public string $title,
        public string $text,
        public string $steps,
        public ?string $yield = null,
        public ?float $prepMinutes = null,
        public ?float $bakeMinutes = null,
        public ?string $source = null,
        public ?array $doubts = null,
    ) {}

    /** @param  list<Doubt>  $doubts */
    public function withDoubts(array $doubts): self
    {
        return new self($this->title, $this->text, $this->steps, $this->yield, $this->prepMinutes, $this->bakeMinutes, $this->source, $doubts);
    }
}
