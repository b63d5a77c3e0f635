<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** What can be written down of a dog. */
enum DiaryKind: string
{
    /** how it took what it was offered */
    case Taken = 'taken';
    case Sign = 'sign';

    /** nothing was seen that day */
    case Well = 'well';
    case Note = 'note';
}
