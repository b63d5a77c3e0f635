<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use OutOfBoundsException;

final class UnknownIngredient extends OutOfBoundsException
{
    public static function named(string $id): self
    {
        return new self("The catalogue holds no ingredient \"$id\".");
    }
}
