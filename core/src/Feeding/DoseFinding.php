<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Screening\Finding;

/** A dose that is too high or high, and the substance whose bringers it stands on. */
final readonly class DoseFinding
{
    public function __construct(public string $substance, public Finding $finding) {}
}
