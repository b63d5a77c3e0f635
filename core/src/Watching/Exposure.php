<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** Foods and groups that were eaten on exactly the same days: nobody can tell them apart. */
final readonly class Exposure
{
    /**
     * @param  list<string>  $together  the others of the same days
     * @param  string  $row  a byte for each day
     */
    public function __construct(public string $food, public array $together, public string $row) {}
}
