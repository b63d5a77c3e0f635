<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** How long one treat lasts all dogs. */
final readonly class WeekLasting
{
    /**
     * @param  ?string  $until  the last day it is eaten unfrozen; null where no first day was said, or nobody eats it
     * @param  int  $keepsDays  unfrozen
     * @param  ?string  $says  what to do with what does not keep so long
     */
    public function __construct(public string $treat, public float $pieces, public float $piecesPerDay, public float $kcalPerPiece, public ?float $daysItLasts, public ?string $until, public int $keepsDays, public ?string $says) {}
}
