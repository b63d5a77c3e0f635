<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** Pieces a day for a dog of one weight. */
final readonly class GiveAwayRow
{
    /**
     * @param  string  $shows  what holds it there, in words
     * @param  ?int  $daysItLasts  the whole batch, for one such dog, no longer than it keeps; null where it gets none
     */
    public function __construct(public float $kg, public float $lb, public ?float $piecesPerDay, public float $kcal, public string $shows, public bool $breakFirst, public ?int $daysItLasts) {}
}
