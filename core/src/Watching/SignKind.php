<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Data\Compiled;

/** What is watched in a dog after it ate. By sign-kinds.csv. */
enum SignKind: string
{
    case Gut = 'gut';
    case Skin = 'skin';
    case Ears = 'ears';
    case Vomiting = 'vomiting';
    case Energy = 'energy';

    /** Days after a food on which such a sign may still come of it. */
    public function windowDays(): int
    {
        return (int) Compiled::signs()['kinds'][$this->value]['windowDays'];
    }

    /** Days that are watched before such a sign is said not to have come. */
    public function watchDays(): int
    {
        return (int) Compiled::signs()['kinds'][$this->value]['watchDays'];
    }

    /** What is seen of it: "itch". */
    public function label(): string
    {
        return Compiled::signs()['kinds'][$this->value]['name'];
    }

    /** A bad day of it, told of the dog: "it itched". */
    public function said(): string
    {
        return Compiled::signs()['kinds'][$this->value]['said'];
    }

    /** Whether a sign of this score makes its day a bad one. */
    public function isBad(float $score, float $threshold): bool
    {
        return $score > 0.0 && $score >= $this->badFrom($threshold);
    }

    /** The score from which on a day is a bad one. Of some kinds any sign makes it one, however slight: 0, but none is none. */
    public function badFrom(float $threshold): float
    {
        return Compiled::signs()['kinds'][$this->value]['anyIsBad'] ? 0.0 : $threshold;
    }
}
