<?php

declare(strict_types=1);

namespace MildBowl\Core\Data;

/** Full names of the tables and papers that the data cite by a short code. */
final class Sources
{
    public static function name(string $code): string
    {
        return Compiled::tables()['sources'][$code] ?? $code;
    }
}
