<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What to leave out next, for how long, and what to go on giving so that it tells something. */
final readonly class NextTest
{
    /**
     * @param  list<string>  $leaveOut
     * @param  list<string>  $keep
     */
    public function __construct(public array $leaveOut, public array $keep, public int $days, public string $why) {}
}
