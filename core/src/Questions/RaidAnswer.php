<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Raid\NeverFood;
use MildBowl\Core\Values\Range;

/** What a raid comes to, and the sheet to read out. */
final readonly class RaidAnswer
{
    /**
     * @param  list<NeverFood>  $never
     * @param  list<RaidDose>  $doses
     * @param  list<string>  $unread
     * @param  list<string>  $sheet
     */
    public function __construct(
        public Dog $dog,
        public string $what,
        public ?string $when,
        public bool $emergency,
        public string $words,
        public ?Range $kcal,
        public ?float $shareOfDayPercent,
        public array $never,
        public array $doses,
        public array $unread,
        public array $sheet,
    ) {}
}
