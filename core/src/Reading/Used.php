<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

use MildBowl\Core\Values\Range;

/** What of a written line really went in: a share of what was written, or what the scale showed. */
final readonly class Used
{
    /**
     * @param  int  $row  of the text as sent, from 0
     * @param  array{int, int}|null  $span  which of its lines, where the row holds several
     * @param  ?float  $share  of what was written, from 0 to 1; null where it was weighed
     * @param  ?float  $grams  as weighed; null where a share is told
     * @param  string  $path  where it stands in the request
     */
    public function __construct(public int $row, public ?array $span, public ?float $share, public ?float $grams, public string $path) {}

    public function isNothing(): bool
    {
        return $this->share === 0.0 || $this->grams === 0.0;
    }

    /** @param  ?Range  $written  grams as written; null where they could not be weighed */
    public function of(?Range $written): ?Range
    {
        return $this->grams === null ? $written?->times($this->share ?? 1.0) : Range::exact($this->grams);
    }
}
