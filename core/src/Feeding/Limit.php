<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** One thing that holds a dog's ration: so many pieces a day and no more. */
final readonly class Limit
{
    /**
     * @param  array<string, float|string|null>  $made  the figures it was made from, for whoever opens it
     */
    public function __construct(
        public string $code,
        public float $piecesPerDay,
        public array $made = [],
    ) {}
}
