<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

/** What a dog thinks of a food, as far as it showed it. */
enum Liking: string
{
    case Unknown = 'unknown';
    case Refused = 'refused';
    case Mixed = 'mixed';
    case Liked = 'liked';
}
