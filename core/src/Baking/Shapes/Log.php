<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Slices of a log of dough. */
final readonly class Log implements Shape
{
    public function id(): string
    {
        return 'log';
    }

    public function label(): string
    {
        return 'slices of a log';
    }

    public function sizes(): array
    {
        return [Size::mm('diameterMm', 'across', 25), Size::mm('sliceMm', 'slice', 7)];
    }

    public function pieceMl(array $sizes): float
    {
        return M_PI / 4 * $sizes['diameterMm'] ** 2 * $sizes['sliceMm'] / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return max($sizes['diameterMm'], $sizes['sliceMm']);
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['sliceMm'];
    }

    public function footprintMm(array $sizes): array
    {
        return [$sizes['diameterMm'], $sizes['diameterMm']];
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
        return false;
    }

    public function isFlat(): bool
    {
        return false;
    }

    public function lies(): Lies
    {
        return Lies::Staggered;
    }

    public function fitted(array $given, float $mm3, float $biteMm): ?array
    {
        if (isset($given['diameterMm'])) {
            $slice = floor(2 * min($biteMm, $mm3 / (M_PI / 4 * $given['diameterMm'] ** 2))) / 2;

            return $given['diameterMm'] > $biteMm || $slice <= 0.0 ? null : ['diameterMm' => $given['diameterMm'], 'sliceMm' => $slice];
        }
        $slice = $given['sliceMm'] ?? $given['thicknessMm'] ?? Fit::THICK_MM;
        $across = $slice > $biteMm ? 0.0 : Fit::mm(min($biteMm, sqrt($mm3 / $slice * 4 / M_PI)));

        return $across < Fit::SMALLEST_MM ? null : ['diameterMm' => $across, 'sliceMm' => $slice];
    }

    public function drawing(): Drawing
    {
        return new Drawing(Drawing::CIRCLE, ['diameterMm'], ['diameterMm'], 'sliceMm');
    }
}
