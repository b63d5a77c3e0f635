<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

/** How often a dog took what a food was in, of the times it was offered. */
final readonly class Taste
{
    /** Times a thing is offered before anything is said of it. */
    private const FEWEST = 3;

    private const LIKED_FROM = 0.8;

    private const REFUSED_TO = 0.34;

    public function __construct(public float $took, public int $of) {}

    public function liking(): Liking
    {
        return match (true) {
            $this->of < self::FEWEST => Liking::Unknown,
            $this->took >= self::LIKED_FROM * $this->of => Liking::Liked,
            $this->took <= self::REFUSED_TO * $this->of => Liking::Refused,
            default => Liking::Mixed,
        };
    }
}
