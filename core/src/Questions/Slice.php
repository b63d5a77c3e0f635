<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** One slice of the cut plan, and who gets which part of it. */
final readonly class Slice
{
    /** @param  list<array{dog: string, dogId: ?string, share: float, without: list<string>}>  $parts */
    public function __construct(public int $number, public array $parts) {}
}
