<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

/** What can be written down of a batch while it is made. */
enum EntryKind: string
{
    /** a step was begun: what is in the heat goes in */
    case Begun = 'begun';
    case Done = 'done';
    case Skipped = 'skipped';
    case Timer = 'timer';
    /** so many seconds more on a timer */
    case More = 'more';
    case Stopped = 'stopped';
    /** something went in otherwise than it is written */
    case Made = 'made';
    /** how the dough feels under the hand */
    case Felt = 'felt';
    /** a dog had some, or would not */
    case Tasted = 'tasted';
    case Core = 'core';
    case Count = 'count';
    case Weight = 'weight';
    case Waste = 'waste';
    /** how full the last mould is */
    case Mould = 'mould';
    case Note = 'note';
    case Photo = 'photo';
    case Bag = 'bag';
    case Finished = 'finished';
    case GivenUp = 'given-up';
    /** an earlier entry was a slip */
    case Undone = 'undone';

    /** Whether it may still be written down when the batch is finished. */
    public function comesAfterwards(): bool
    {
        return in_array($this, [self::Note, self::Photo, self::Bag, self::Waste, self::Undone], true);
    }
}
