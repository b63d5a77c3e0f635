<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

/** Why a dog may not have a recipe, and whether a person's word could settle it. */
final readonly class Obstacle
{
    public function __construct(public string $why, public bool $confirmable) {}
}
