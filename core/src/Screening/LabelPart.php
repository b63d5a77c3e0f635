<?php

declare(strict_types=1);

namespace MildBowl\Core\Screening;

use MildBowl\Core\Reading\ReadLine;

/** One part of a printed ingredient list. */
final readonly class LabelPart
{
    /**
     * @param  bool  $trace  stands after "may contain"
     * @param  bool  $isSpelled  what it is made of follows in brackets
     * @param  non-empty-list<ReadLine>  $lines  the part as read; two where it joins two foods with "and"
     */
    public function __construct(
        public string $text,
        public ?float $percent,
        public int $depth,
        public bool $trace,
        public array $lines,
        public bool $isSpelled = false,
    ) {}

    /** The same part, of which it is told whether its contents are written out. */
    public function spelled(bool $isSpelled): self
    {
        return new self($this->text, $this->percent, $this->depth, $this->trace, $this->lines, $isSpelled);
    }
}
