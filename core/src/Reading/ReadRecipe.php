<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** A recipe as read: its ingredient lines and its steps. */
final readonly class ReadRecipe
{
    /**
     * @param  list<ReadLine>  $lines
     * @param  list<ReadStep>  $steps
     * @param  list<string>  $otherAnimals  animals named that the tool cannot judge for
     */
    public function __construct(
        public array $lines,
        public array $steps,
        public array $otherAnimals,
    ) {}
}
