<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** A recipe that could be baked next. */
final readonly class Candidate
{
    /**
     * @param  list<string>  $foods  by id
     * @param  list<string>  $clearedFor  ids of dogs
     * @param  float  $there  pieces of it that still stand on the shelves
     * @param  string  $lastOn  when it was baked last; empty: never
     */
    public function __construct(public string $recipe, public string $title, public array $foods, public array $clearedFor, public float $there, public string $lastOn) {}
}
