<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Values\Day;

/** What was seen of a dog on a day. 0 is none, 10 the worst, for every kind. */
final readonly class Sign
{
    public const WORST = 10.0;

    public function __construct(public Day $on, public SignKind $kind, public float $score) {}
}
