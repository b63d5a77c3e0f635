<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

/** Whether a part is with the body when that is heated. */
enum Joins: string
{
    case Before = 'before';
    case After = 'after';

    /** @return list<string> */
    public static function ids(): array
    {
        return array_column(self::cases(), 'value');
    }
}
