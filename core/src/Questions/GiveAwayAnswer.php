<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What the card of a gift says. */
final readonly class GiveAwayAnswer
{
    /**
     * @param  list<GiveAwayRow>  $rows
     * @param  int  $keepsDays  in the jar or the fridge, whichever is longer
     * @param  ?string  $stops  why no dog may have it; null when nothing stands against it
     */
    public function __construct(public array $rows, public ?string $stops, public string $assumes, public int $keepsDays) {}
}
