<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** Where in the recipe as sent something stands: the row of the list or of the method, and which of its letters. */
final readonly class Place
{
    public const TEXT = 'text';

    public const STEPS = 'steps';

    /**
     * @param  int  $row  from 0, of the text as sent
     * @param  'text'|'steps'  $in
     * @param  int  $from  first code point of the row that belongs to it
     * @param  int  $to  code point after the last
     */
    public function __construct(public int $row, public string $in, public int $from, public int $to) {}

    /** A part of this place, counted from its own beginning. */
    public function part(int $from, int $length): self
    {
        return new self($this->row, $this->in, $this->from + $from, $this->from + $from + $length);
    }

    /** A line that stands nowhere: written by the program, or of a label. */
    public static function nowhere(): self
    {
        return new self(0, self::TEXT, 0, 0);
    }
}
