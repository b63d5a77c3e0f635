<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Reading\Place;

/** One thing that a rescue or a swap changes in a recipe. */
final readonly class Change
{
    public const ADD = 'add';

    /**
     * @param  string  $action  keep, swap, adjust, remove or add
     * @param  ?string  $to  what is written instead; null where the line goes
     * @param  ?Place  $place  where the line stands in the recipe as it was; null for what is added
     */
    public function __construct(public string $line, public string $action, public ?string $to, public string $reason, public ?Place $place) {}
}
