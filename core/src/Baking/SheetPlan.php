<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Kitchen\Tray;

/**
 * Pieces laid out on the baker's own tray at true scale: how many on a sheet, how many sheets and oven rounds.
 * Straight rows along or across, or staggered rows for round pieces, whichever holds more.
 */
final readonly class SheetPlan
{
    private const MOST_DRAWN = 3000;

    /**
     * @param  list<array{float, float}>  $at  centres of the pieces of a full sheet, in mm from its corner
     * @param  array{float, float}  $pieceMm  of a piece across and along the tray
     * @param  array{float, float}  $edgesMm  what stays free beside and below the last row
     */
    private function __construct(
        public int $perSheet,
        public int $sheets,
        public int $lastSheet,
        public int $rounds,
        public bool $staggered,
        public array $pieceMm,
        public array $at,
        public array $edgesMm,
        public ?string $says,
    ) {}

    /** null where the cut does not say how large a piece is. */
    public static function of(Cut $cut, Tray $tray, float $count): ?self
    {
        $footprint = $cut->footprintMm();
        if ($footprint === null) {
            return null;
        }
        $whole = max(0, (int) floor($count + 1e-9));
        [$along, $across] = $footprint;
        $layouts = match ($cut->lies()) {
            Lies::InMoulds => self::moulds($cut, $footprint, $whole, $count),
            Lies::AsSheet => self::grid($cut, $footprint, $whole),
            Lies::InRows => [self::rows($tray, $across, $along), self::rows($tray, $along, $across)],
            Lies::Staggered => [self::rows($tray, $across, $along), self::rows($tray, $along, $across), self::staggered($tray, $along)],
            Lies::Uncounted => null,
        };
        if (! is_array($layouts)) {
            return $layouts;
        }
        usort($layouts, static fn (array $a, array $b): int => count($b['at']) <=> count($a['at']));
        $best = $layouts[0];
        $perSheet = count($best['at']);
        if ($perSheet === 0) {
            return new self(0, 0, 0, 0, false, $best['piece'], [], [$tray->widthMm, $tray->lengthMm], 'A piece is larger than the tray: cut smaller, or take a larger tray.');
        }
        $sheets = (int) ceil($whole / $perSheet);

        return new self(
            $perSheet, $sheets, $whole === 0 ? 0 : $whole - ($sheets - 1) * $perSheet, (int) ceil($sheets / $tray->atOnce), $best['staggered'],
            $best['piece'], array_slice($best['at'], 0, self::MOST_DRAWN), $best['edges'],
            $sheets > 1 && $whole - ($sheets - 1) * $perSheet < $perSheet / 4 ? 'The last sheet is nearly empty: a smaller gap may save it.' : null,
        );
    }

    /** @return array{at: list<array{float, float}>, piece: array{float, float}, edges: array{float, float}, staggered: bool} */
    private static function rows(Tray $tray, float $across, float $along): array
    {
        $columns = (int) floor(($tray->widthMm + $tray->gapMm) / ($across + $tray->gapMm) + 1e-9);
        $rows = (int) floor(($tray->lengthMm + $tray->gapMm) / ($along + $tray->gapMm) + 1e-9);
        $at = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $at[] = [round($column * ($across + $tray->gapMm) + $across / 2, 2), round($row * ($along + $tray->gapMm) + $along / 2, 2)];
            }
        }

        return [
            'at' => $at, 'piece' => [$across, $along], 'staggered' => false,
            'edges' => [max(0.0, $tray->widthMm - $columns * ($across + $tray->gapMm) + $tray->gapMm), max(0.0, $tray->lengthMm - $rows * ($along + $tray->gapMm) + $tray->gapMm)],
        ];
    }

    /** @return array{at: list<array{float, float}>, piece: array{float, float}, edges: array{float, float}, staggered: bool} */
    private static function staggered(Tray $tray, float $diameter): array
    {
        $pitch = $diameter + $tray->gapMm;
        $step = $pitch * sqrt(3) / 2;
        $at = [];
        $right = $bottom = 0.0;
        for ($row = 0, $y = $diameter / 2; $y + $diameter / 2 <= $tray->lengthMm + 1e-9; $row++, $y += $step) {
            for ($x = $diameter / 2 + ($row % 2 === 1 ? $pitch / 2 : 0.0); $x + $diameter / 2 <= $tray->widthMm + 1e-9; $x += $pitch) {
                $at[] = [round($x, 2), round($y, 2)];
                $right = max($right, $x + $diameter / 2);
            }
            $bottom = $y + $diameter / 2;
        }

        return ['at' => $at, 'piece' => [$diameter, $diameter], 'staggered' => true, 'edges' => [max(0.0, $tray->widthMm - $right), max(0.0, $tray->lengthMm - $bottom)]];
    }

    /** @param  array{float, float}  $footprint */
    private static function moulds(Cut $cut, array $footprint, int $whole, float $count): self
    {
        $cavities = (int) $cut->sizes['cavities'];
        $trays = max(1, (int) ceil($count / $cavities - 1e-9));
        $last = $whole - ($trays - 1) * $cavities;

        return new self(
            $cavities, $trays, max(0, $last), $trays, false, $footprint, [], [0.0, 0.0],
            $count <= 0.0 ? null : "The last tray of hollows fills to $last of $cavities; ".number_format($trays * $cavities / $count, 2).' of the recipe would fill '.($trays === 1 ? 'it' : "all $trays").'.',
        );
    }

    /** @param  array{float, float}  $footprint */
    private static function grid(Cut $cut, array $footprint, int $whole): self
    {
        [$along, $across] = $footprint;
        $at = [];
        for ($row = 0; $row < $cut->sizes['rows']; $row++) {
            for ($column = 0; $column < $cut->sizes['columns']; $column++) {
                $at[] = [round(($column + 0.5) * $across, 2), round(($row + 0.5) * $along, 2)];
            }
        }
        $per = count($at);
        $sheets = (int) ceil($whole / $per);

        return new self($per, $sheets, $whole === 0 ? 0 : $whole - ($sheets - 1) * $per, $sheets, false, [$across, $along], array_slice($at, 0, self::MOST_DRAWN), [0.0, 0.0],
            $sheets > 1 ? 'There is more dough than this tray holds at that depth.' : null);
    }
}
