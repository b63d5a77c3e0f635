<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;

/** Rescues of a recipe, the best first, and how the table would be split where one batch cannot serve all. */
final readonly class RescueAnswer
{
    /**
     * @param  list<Rescued>  $rescues
     * @param  list<list<Dog>>  $tables
     * @param  ?string  $why  why not every dog is served; null when all are
     */
    public function __construct(public array $rescues, public array $tables, public ?string $why) {}
}
