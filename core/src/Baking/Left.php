<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Values\Range;

/** What a line brings once some of it was poured off, or stays behind in a sieve. */
final readonly class Left
{
    /** @param  array<string, float>  $substances  best values: g, mg or µg as the name says */
    public function __construct(public ?Range $kcal, public array $substances) {}

    public function times(float $share): self
    {
        return new self($this->kcal?->times($share), array_map(static fn (float $amount): float => $amount * $share, $this->substances));
    }
}
