<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What a dog may still have of a batch today, and what holds it there. */
final readonly class DayMay
{
    /**
     * @param  ?float  $pieces  down to a quarter; null where nothing limits
     * @param  ?string  $why  it is not cleared, in words
     */
    public function __construct(public string $batch, public ?float $pieces, public ?string $heldBy, public ?string $why = null) {}
}
