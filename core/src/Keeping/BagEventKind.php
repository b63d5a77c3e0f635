<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

/** What can happen to a bag. */
enum BagEventKind: string
{
    /** it is filled and stands somewhere */
    case Put = 'put';
    case Moved = 'moved';
    /** pieces leave it: given, eaten, thrown away, poured into another */
    case Taken = 'taken';
    /** pieces come to it out of another */
    case Added = 'added';
    /** somebody counted what is in it */
    case Counted = 'counted';
    /** somebody set its best before */
    case Dated = 'dated';
    /** it thawed where it lies, or stood warm */
    case Warmed = 'warmed';
}
