<?php

declare(strict_types=1);

namespace MildBowl\Core\Kitchen;

/** A swap that a kitchen added, or what it thinks of a known one. */
final readonly class OwnSwap
{
    public const RATINGS = ['good', 'bad'];

    /** @param  float  $ratio  grams put in for a gram taken out */
    public function __construct(public string $out, public string $in, public float $ratio, public ?string $rating, public string $note) {}

    /** What worked here comes first; what failed comes last. */
    public function rank(): float
    {
        return match ($this->rating) {
            'good' => 0.0,
            'bad' => 1.5,
            default => 0.05,
        };
    }
}
