<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Values\Figure;

/** What an occasion borrows, or why it cannot be. */
final readonly class OccasionAnswer
{
    /**
     * @param  ?int  $daysWithout  days after it without other treats
     * @param  list<Borrowed>  $borrows  by day, none where it is not possible
     * @param  ?float  $leftKcal  of the budget of its day, after what it had and what other occasions take
     * @param  list<string>  $countedWith  other occasions that take from these days
     */
    public function __construct(
        public bool $possible,
        public ?string $why,
        public float $mostPieces,
        public ?float $kcal,
        public ?float $budgetKcal,
        public ?int $daysWithout,
        public ?float $holdBackGrams,
        public string $says,
        public array $borrows = [],
        public ?float $leftKcal = null,
        public array $countedWith = [],
    ) {}

    public static function refused(string $why, float $mostPieces): self
    {
        return new self(false, $why, $mostPieces, null, null, null, null, $mostPieces > 0 ? $why.' At most '.Figure::of($mostPieces).'.' : $why);
    }
}
