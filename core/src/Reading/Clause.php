<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** A part of a line that is about one food, or about an amount that nobody said of what. */
final readonly class Clause
{
    /**
     * @param  int  $from  index of its first token
     * @param  int  $to  index after the last
     * @param  list<Amount>  $shared  amounts that stand elsewhere in the line and are of this food too ("2 tbsp each of")
     */
    public function __construct(public int $from, public int $to, public array $shared = []) {}
}
