<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** How pieces of a shape lie in the oven. */
enum Lies
{
    /** in straight rows on the tray */
    case InRows;

    /** round: in rows that may be staggered */
    case Staggered;

    /** in the hollows of a mould */
    case InMoulds;

    /** as a sheet that fills its tray */
    case AsSheet;

    /** nobody knows: only counted */
    case Uncounted;
}
