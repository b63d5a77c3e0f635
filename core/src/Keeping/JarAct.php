<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

/** One thing that somebody did at the jars. It is never changed: a later one takes it back. */
final readonly class JarAct
{
    /**
     * @param  string  $at  ISO 8601 in UTC with milliseconds
     * @param  array<string, mixed>  $said  by the keys of its kind, read and checked
     * @param  ?string  $corrects  the act that is taken back
     */
    public function __construct(public string $id, public string $at, public string $by, public JarActKind $kind, public array $said, public ?string $corrects = null) {}
}
