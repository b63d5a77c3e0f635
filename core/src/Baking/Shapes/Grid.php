<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** A tray spread to a depth and scored into columns and rows. */
final readonly class Grid implements Shape
{
    public function id(): string
    {
        return 'grid';
    }

    public function label(): string
    {
        return 'tray in squares';
    }

    public function sizes(): array
    {
        return [
            Size::mm('sheetWidthMm', 'tray wide', 200), Size::mm('sheetLengthMm', 'tray long', 300), Size::mm('depthMm', 'deep', 12),
            Size::count('columns', 'columns', 8), Size::count('rows', 'rows', 12),
        ];
    }

    public function pieceMl(array $sizes): float
    {
        return $sizes['sheetWidthMm'] * $sizes['sheetLengthMm'] * $sizes['depthMm'] / ($sizes['columns'] * $sizes['rows']) / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return max(...[...$this->footprintMm($sizes), $sizes['depthMm']]);
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['depthMm'];
    }

    public function footprintMm(array $sizes): array
    {
        return [$sizes['sheetLengthMm'] / $sizes['rows'], $sizes['sheetWidthMm'] / $sizes['columns']];
    }

    public function count(array $sizes): null
    {
        return null;
    }

    public function used(): float
    {
        return 1.0;
    }

    public function hasCells(): bool
    {
        return true;
    }

    public function isFlat(): bool
    {
        return true;
    }

    public function lies(): Lies
    {
        return Lies::AsSheet;
    }

    /** The fewest squares of a tray that are small enough, as square as they come. */
    public function fitted(array $given, float $mm3, float $biteMm): ?array
    {
        $wide = $given['sheetWidthMm'] ?? 200.0;
        $long = $given['sheetLengthMm'] ?? 300.0;
        $deep = $given['depthMm'] ?? $given['thicknessMm'] ?? min(12.0, $biteMm);
        if ($deep > $biteMm || $deep <= 0.0) {
            return null;
        }
        $best = null;
        $least = max(1, (int) ceil($wide / min($biteMm, $wide) - 1e-9));
        for ($columns = $least; $wide / $columns >= Fit::SMALLEST_MM; $columns++) {
            $rows = (int) max(ceil($long / $biteMm - 1e-9), ceil($wide * $long * $deep / ($columns * $mm3) - 1e-9), 1);
            if ($long / $rows < Fit::SMALLEST_MM) {
                continue;
            }
            $slant = abs(log(($wide / $columns) / ($long / $rows)));
            $score = $columns * $rows * (1 + $slant);
            if ($best === null || $score < $best[2]) {
                $best = [$columns, $rows, $score];
            }
        }

        return $best === null ? null : ['sheetWidthMm' => $wide, 'sheetLengthMm' => $long, 'depthMm' => $deep, 'columns' => (float) $best[0], 'rows' => (float) $best[1]];
    }

    public function drawing(): Drawing
    {
        return new Drawing(Drawing::BOX, ['sheetWidthMm', 'columns'], ['sheetLengthMm', 'rows'], 'depthMm');
    }
}
