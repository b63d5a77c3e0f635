<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Reading\ReadLine;

/** What may stand in for a line. */
final readonly class SwapsAnswer
{
    /**
     * @param  list<string>  $jobs  what it is to do in the dough
     * @param  list<SwapCandidate>  $candidates  the best first
     */
    public function __construct(public ReadLine $line, public array $jobs, public SwapFigures $before, public array $candidates) {}
}
