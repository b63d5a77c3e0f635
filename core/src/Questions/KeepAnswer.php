<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** How long a batch keeps. */
final readonly class KeepAnswer
{
    /**
     * @param  string  $class  of keeping.csv
     * @param  string  $because  why it belongs there, and what of it has to be asked
     * @param  list<KeepPlace>  $places
     * @param  int  $thawedDays  once it is thawed
     * @param  list<KeepBag>  $split
     * @param  float  $left  pieces that were put nowhere
     */
    public function __construct(public string $class, public string $because, public array $places, public int $thawedDays, public array $split, public float $left) {}
}
