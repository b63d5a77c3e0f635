<?php

declare(strict_types=1);

namespace App\Support;

use RuntimeException;

/** Two people wrote in one field. Whoever comes second is shown both, and chooses. */
final class Conflict extends RuntimeException
{
    /** @param  list<array{field: string, before: mixed, mine: mixed, theirs: mixed}>  $conflicts */
    public function __construct(public readonly array $conflicts, public readonly int $version)
    {
        parent::__construct('Somebody else changed this meanwhile: choose which of the two is to stand.');
    }
}
