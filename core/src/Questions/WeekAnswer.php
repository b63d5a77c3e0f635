<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** A week's chart. */
final readonly class WeekAnswer
{
    /**
     * @param  list<WeekDog>  $dogs
     * @param  list<WeekLasting>  $treats
     */
    public function __construct(public ?string $from, public array $dogs, public array $treats) {}
}
