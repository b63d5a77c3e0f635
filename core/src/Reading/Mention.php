<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** A food named in a line. */
final readonly class Mention
{
    /** What is a part of the food before it, when it has no amount of its own: "an apple, the seeds cut out". */
    public const PARTS = ['seeds-unnamed', 'raw-bone', 'fruit-stone', 'chicken-skin', 'hake-skin', 'nut-shell', 'potato-peel', 'rib-bone-in'];

    /**
     * @param  int  $from  index of its first token
     * @param  int  $to  index after the last
     * @param  bool  $alternative  whether it is offered instead of the food before it
     * @param  bool  $ambiguous  whether its words may mean something else outside a list of ingredients
     * @param  bool  $within  whether it only names what the food behind it is of ("plum" of a plum pudding): screened, never the line's own food
     */
    public function __construct(
        public string $ingredient,
        public int $from,
        public int $to,
        public bool $alternative = false,
        public bool $ambiguous = false,
        public bool $within = false,
    ) {}

    public function as(string $ingredient): self
    {
        return new self($ingredient, $this->from, $this->to, $this->alternative, $this->ambiguous, $this->within);
    }

    public function asAlternative(): self
    {
        return new self($this->ingredient, $this->from, $this->to, true, $this->ambiguous, $this->within);
    }

    /** What the food behind it is of; its words end where that food's begin. */
    public function inside(int $to): self
    {
        return new self($this->ingredient, $this->from, max($this->from, $to), $this->alternative, $this->ambiguous, true);
    }

    /** The same mention where its tokens begin so many later. */
    public function moved(int $tokens): self
    {
        return new self($this->ingredient, $this->from - $tokens, $this->to - $tokens, $this->alternative, $this->ambiguous, $this->within);
    }
}
