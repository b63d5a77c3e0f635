<?php

declare(strict_types=1);

namespace App\Support;

use LogicException;

final class NoKitchenOpen extends LogicException
{
    public static function yet(): self
    {
        return new self('No kitchen is open: every query goes through one.');
    }
}
