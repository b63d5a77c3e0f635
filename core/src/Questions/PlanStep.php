<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** One thing to do before an occasion. */
final readonly class PlanStep
{
    /**
     * @param  'bake'|'cool'|'freeze'|'keep'|'thaw'|'leave'|'serve'  $kind
     * @param  ?string  $at  the time of day; null: any time of it
     */
    public function __construct(public string $kind, public string $on, public ?string $at, public string $text) {}
}
