<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Making\Task;
use MildBowl\Core\Values\Minute;

/** The work in order, and when it is done. */
final readonly class BakeAnswer
{
    /**
     * @param  list<Task>  $tasks  each with its place in time
     * @param  ?Minute  $readyAt  null where nobody said when it begins
     * @param  list<string>  $warnings
     */
    public function __construct(public array $tasks, public int $handsOnMinutes, public int $elapsedMinutes, public ?Minute $readyAt, public array $warnings) {}
}
