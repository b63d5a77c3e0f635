<?php

declare(strict_types=1);

namespace MildBowl\Core\Making;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Values\Figure;
use MildBowl\Core\Values\Range;

/** How a dough becomes pieces: in words, and how long the hands take. */
final readonly class Shaping
{
    private function __construct(public string $text, public Range $minutes, public bool $isRolled, public bool $isCutLater) {}

    /** @param  float  $sheets  trays or sheets it takes */
    public static function of(Cut $cut, Batch $batch, float $sheets): self
    {
        $count = max(1.0, floor(($batch->count->best > 0.0 ? $batch->count->best : $cut->count() ?? 0.0) + 1e-6));
        $pieces = $count === 1.0 ? 'one piece' : 'about '.Figure::of($count).' pieces';
        $mm = static fn (string $key): string => Figure::of($cut->sizes[$key] ?? 0.0);
        $roll = WorkTime::of('roll', $sheets)->minutes;
        $byPiece = static fn (string $job): Range => WorkTime::of($job, $count)->minutes;

        return match (true) {
            $cut->shape() === 'ball' => new self("Roll balls of {$mm('diameterMm')} mm: $pieces.", $byPiece('ball'), false, false),
            $cut->shape() === 'scoop' => new self("Drop heaps of {$mm('ml')} ml: $pieces.", $byPiece('drop'), false, false),
            $cut->shape() === 'log' => new self("Roll a log of {$mm('diameterMm')} mm and slice it {$mm('sliceMm')} mm thick: $pieces.", $roll->plus($byPiece('slice')), false, false),
            $cut->lies() === Lies::InMoulds => new self("Fill the hollows of {$mm('cavityMl')} ml: $pieces.", $byPiece('fill'), false, false),
            $cut->lies() === Lies::AsSheet => new self("Spread it {$mm('depthMm')} mm deep in the tray.", WorkTime::of('spread', $sheets)->minutes, false, true),
            $cut->shape() === 'slices' => new self('Spread it in the tin.', WorkTime::of('spread')->minutes, false, true),
            $cut->shape() === 'strip' => new self("Cut strips of {$mm('widthMm')} × {$mm('lengthMm')} mm, {$mm('thicknessMm')} mm thick: $pieces.", $byPiece('cut'), false, false),
            self::rolls($cut) => new self("Roll it {$mm('thicknessMm')} mm thick and cut {$cut->form->label()}s of ".self::across($cut)." mm: $pieces.", $roll->plus($byPiece('cut')), true, false),
            default => new self("Shape $pieces.", $byPiece('ball'), false, false),
        };
    }

    /** Whether it is rolled to a thickness and cut out. */
    public static function rolls(Cut $cut): bool
    {
        return isset($cut->sizes['thicknessMm']) && $cut->shape() !== 'strip';
    }

    private static function across(Cut $cut): string
    {
        $footprint = $cut->footprintMm();

        return $footprint === null ? '?' : ($footprint[0] === $footprint[1] ? Figure::of($footprint[0]) : Figure::of($footprint[1]).' × '.Figure::of($footprint[0]));
    }
}
