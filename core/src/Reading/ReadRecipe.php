<?php

declare(strict_types=1);

namespace MildBowl\Core\Reading;

/** A recipe as read: its ingredient lines and its steps; where it was made otherwise, the lines as they were made. */
final readonly class ReadRecipe
{
    /**
     * @param  list<ReadLine>  $lines
     * @param  list<ReadStep>  $steps
     * @param  list<string>  $otherAnimals  animals named that the tool cannot judge for
     * @param  list<ReadLine>  $leftOut  lines that were written, and nothing of them went in
     */
    public function __construct(
        public array $lines,
        public array $steps,
        public array $otherAnimals,
        public array $leftOut = [],
    ) {}
}
