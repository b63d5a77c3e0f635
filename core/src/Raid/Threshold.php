<?php

declare(strict_types=1);

namespace MildBowl\Core\Raid;

/** From so much per kg on, this is seen. */
final readonly class Threshold
{
    public function __construct(public float $at, public string $sign) {}
}
