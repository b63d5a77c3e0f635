<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Parts;

use InvalidArgumentException;

/** Something that was said of a part cannot be: why, and where it was said. */
final class PartsRefused extends InvalidArgumentException
{
    public function __construct(string $message, public readonly string $path)
    {
        parent::__construct($message);
    }
}
