<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What to work into a dough. */
final readonly class DoughAnswer
{
    /** @param  ?DoughAddition  $add  null where nothing is to be added */
    public function __construct(public ?float $wetness, public ?DoughAddition $add, public string $says) {}
}
