<?php

declare(strict_types=1);

namespace MildBowl\Core\Hearing;

use MildBowl\Core\Reading\Words;

/** What was heard of one recipe. */
final readonly class Heard
{
    /**
     * @param  list<Serving>  $servings  in the order they were told
     * @param  array<string, array{Words, list<array{int, int}>, string}>  $warned  by food
     * @param  array<int, true>  $used  numbers of the sentences something was taken from
     */
    public function __construct(public array $servings, public array $warned, public array $used) {}
}
