<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

/** What goes into an oven at one time, and how long it keeps it. */
final readonly class Load
{
    /**
     * @param  int  $celsius  of an oven without a fan, when it goes in
     * @param  int  $lastCelsius  when it comes out
     * @param  float  $minutes  until all of it is out
     * @param  list<Task>  $last  after which nothing of it is in there any more
     */
    public function __construct(public int $celsius, public int $lastCelsius, public float $minutes, public array $last) {}
}
