<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Values\Range;

/**
 * One amount of a line: a number and the unit it counts. `unit` is an id of units.csv or measures.csv, or
 * "each", "slice", "stalk", "leaf", "sprig", "bunch", "tin", "packet", "juice-of", "zest-of".
 */
final readonly class Amount
{
    /** The size of contents that were weighed without their liquid: "(112 g drained)". */
    public const DRAINED = 'drained';

    /**
     * @param  ?string  $size  small, medium or large, for a counted piece
     * @param  int  $from  index of the first token that belongs to it
     * @param  int  $to  index after the last
     * @param  ?self  $contents  what one tin or packet holds, when said
     * @param  bool  $each  whether it is of every food it stands beside ("2 tbsp each of")
     */
    public function __construct(
        public Range $quantity,
        public string $unit,
        public ?string $size,
        public int $from,
        public int $to,
        public ?self $contents = null,
        public bool $each = false,
    ) {}

    /** The same amount where its tokens begin so many later. */
    public function moved(int $tokens): self
    {
        return new self($this->quantity, $this->unit, $this->size, $this->from - $tokens, $this->to - $tokens, $this->contents, $this->each);
    }

    public function ofEach(int $to): self
    {
        return new self($this->quantity, $this->unit, $this->size, $this->from, $to, $this->contents, true);
    }
}
