<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Hearing\Baking;
use MildBowl\Core\Hearing\HeardRecipe;

/** One recipe from outside, with its list and its method fit to be read as ours. */
final readonly class Clipping
{
    /**
     * @param  ?list<Doubt>  $doubts  null where nobody asked
     * @param  ?HeardRecipe  $heard  what a talk told, line by line; null for what was written
     * @param  ?Baking  $baking  the heat, the time and the size that its method gives; null where it gives none
     */
    public function __construct(
        public string $title,
        public string $text,
        public string $steps,
        public ?string $yield = null,
        public ?float $prepMinutes = null,
        public ?float $bakeMinutes = null,
        public ?string $source = null,
        public ?array $doubts = null,
        public ?HeardRecipe $heard = null,
        public ?Baking $baking = null,
    ) {}

    public function with(string $text, string $steps, ?Baking $baking): self
    {
        return new self($this->title, $text, $steps, $this->yield, $this->prepMinutes, $this->bakeMinutes, $this->source, $this->doubts, $this->heard, $baking ?? $this->baking);
    }

    /** @param  list<Doubt>  $doubts */
    public function withDoubts(array $doubts): self
    {
        return new self($this->title, $this->text, $this->steps, $this->yield, $this->prepMinutes, $this->bakeMinutes, $this->source, $doubts, $this->heard, $this->baking);
    }
}
