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
     * @param  list<GiftFood>  $foods  heaviest first
     * @param  array{jar: int, fridge: int, freezer: int}  $keeps  days, by place
     * @param  ?float  $pieceGrams  of one, baked; null where no piece comes of it
     * @param  ?float  $petFoodRatio  kcal by the convention of pet-food labels (3.5-8.5-3.5) to kcal by this kitchen's own; null where nobody knows what a food is made of
     */
    public function __construct(
        public array $rows, public ?string $stops, public string $assumes, public int $keepsDays, public array $foods, public array $keeps,
        public ?float $pieceKcal, public ?float $pieceGrams, public ?float $petFoodRatio,
    ) {}
}
