<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** A way to find out what a dog bears. */
enum TrialKind: string
{
    /** One new food: a quarter, a half, all of it, and then watched. */
    case NewFood = 'new-food';

    /** One food left out, to see whether signs go. */
    case LeaveOut = 'leave-out';

    /** Only a few foods for eight weeks, under a vet. */
    case Elimination = 'elimination';

    /** One food given again while only a few are eaten. */
    case Challenge = 'challenge';

    public function label(): string
    {
        return match ($this) {
            self::NewFood => 'a new food',
            self::LeaveOut => 'a food left out',
            self::Elimination => 'only a few foods',
            self::Challenge => 'one food given again',
        };
    }

    /** Whether a food is given of which nobody knows yet how the dog bears it. */
    public function bringsIn(): bool
    {
        return $this === self::NewFood || $this === self::Challenge;
    }
}
