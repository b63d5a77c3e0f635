<?php

declare(strict_types=1);

namespace MildBowl\Core\Telling;

use MildBowl\Core\Values\Level;

/** One rule as it stands in the book. */
final readonly class RuleBookRow
{
    public function __construct(
        public string $id,
        public string $kind,
        public string $code,
        public Level $level,
        public bool $emergency,
        public string $trigger,
        public ?string $threshold,
        public string $message,
        public string $advice,
        public string $source,
        public ?string $example,
    ) {}
}
