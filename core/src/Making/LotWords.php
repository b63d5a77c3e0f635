<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Feeding\Lot;
use MildBowl\Core\Feeding\Lots;
use MildBowl\Core\Kitchen\Tray;

/** What the lots of one dough are called at the oven, and how many sheets each fills. */
final readonly class LotWords
{
    public function __construct(private Lots $lots, private ?Tray $tray) {}

    /** null where there is only one. */
    public function of(Lot $lot): ?string
    {
        if (count($this->lots->all) === 1) {
            return null;
        }

        return $lot->name ?? ($lot->dogs === [] ? 'the rest' : 'for '.implode(', ', array_map(static fn (Dog $dog): string => $dog->name, $lot->dogs)));
    }

    /** What is taken in one's hands: "them", "soft ones", "sheets 3 to 4". */
    public function taken(Lot $lot, int $firstSheet, int $sheets): string
    {
        $name = $this->of($lot);
        $name = $lot->name ?? ($name !== null && str_starts_with($name, 'for ') ? "those $name" : $name);
        $sheet = $this->sheetsOf($lot) > $sheets ? ($sheets === 1 ? "sheet $firstSheet" : "sheets $firstSheet to ".($firstSheet + $sheets - 1)) : null;

        return match (true) {
            $name === null && $sheet === null => 'them',
            $name === null => (string) $sheet,
            $sheet === null => $name,
            default => "$name ($sheet)",
        };
    }

    public function sheetsOf(Lot $lot): int
    {
        return $this->tray === null ? 1 : max(1, SheetPlan::of($lot->cut, $this->tray, $lot->batch->count->best)->sheets ?? 1);
    }
}
