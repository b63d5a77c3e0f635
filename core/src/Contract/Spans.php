<?php

declare(strict_types=1);

namespace MildBowl\Core\Contract;

use MildBowl\Core\Language\Alignment;
use MildBowl\Core\Reading\ReadLine;

/** Where in its row the words of a line stand, though the line was cleaned before it was read. */
final readonly class Spans
{
    /** What the row holds at the place of the line, as it was sent. */
    private string $written;

    private bool $isPlain;

    /** @param  list<string>  $rows  of the text the line stands in */
    public function __construct(array $rows, private ReadLine $line)
    {
        $place = $line->place;
        $this->written = mb_substr($rows[$place->row] ?? $line->text, $place->from, $place->to - $place->from);
        $this->isPlain = $this->written === $line->clean && preg_match('/[^\x00-\x7f]/', $this->written) !== 1;
    }

    /**
     * @param  int  $from  first byte in the line as it was cleaned
     * @return array{int, int} first code point of the row, and the one after the last
     */
    public function of(int $from, int $length): array
    {
        [$first, $last] = $this->isPlain ? [$from, $from + $length] : Alignment::of($this->written, $this->line->clean, $from, $from + $length);

        return [$this->line->place->from + $first, $this->line->place->from + $last];
    }
}
