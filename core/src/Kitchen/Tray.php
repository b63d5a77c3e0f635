<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** The baker's own tray: what fits between its rims, the gap left between pieces, how many go into the oven at once. */
final readonly class Tray
{
    public const GAP_MM = 10.0;

    public function __construct(public float $widthMm, public float $lengthMm, public float $gapMm = self::GAP_MM, public int $atOnce = 1) {}
}
