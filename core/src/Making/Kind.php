<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

/** What a step of the work is, as the contract names it. */
enum Kind: string
{
    case Prepare = 'prepare';
    case Soak = 'soak';
    case Mix = 'mix';
    case Rest = 'rest';
    case Chill = 'chill';
    case Shape = 'shape';
    case Preheat = 'preheat';
    case Heat = 'heat';
    case Look = 'look';
    case Turn = 'turn';
    case Stir = 'stir';
    case Core = 'core';
    case Cool = 'cool';
    case Set = 'set';
    case Freeze = 'freeze';
    case Dry = 'dry';
    case Bag = 'bag';

    /** Whether it happens while something is in the heat. */
    public function isWithinHeat(): bool
    {
        return $this === self::Look || $this === self::Turn || $this === self::Stir;
    }

    /** Whether it makes something firm, dry or done by itself, while the hands are free. */
    public function finishes(): bool
    {
        return in_array($this, [self::Heat, self::Dry, self::Chill, self::Set, self::Freeze], true);
    }
}
