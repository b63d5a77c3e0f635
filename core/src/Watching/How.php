<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** How a dog took what it was offered. */
enum How: string
{
    case First = 'first';
    case Again = 'again';
    case Left = 'left';
    case Refused = 'refused';

    public function isTaken(): bool
    {
        return $this === self::First || $this === self::Again;
    }

    public function label(): string
    {
        return match ($this) {
            self::First => 'took it first',
            self::Again => 'came back for more',
            self::Left => 'left it',
            self::Refused => 'refused it',
        };
    }
}
