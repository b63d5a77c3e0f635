<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Discs cut from a rolled sheet. */
final readonly class Round implements Shape
{
    public function id(): string
    {
        return 'round';
    }

    public function label(): string
    {
        return 'round';
    }

    public function sizes(): array
    {
        return [Size::mm('diameterMm', 'across', 25), Size::thickness()];
    }

    public function pieceMl(array $sizes): float
    {
        return M_PI / 4 * $sizes['diameterMm'] ** 2 * $sizes['thicknessMm'] / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return max($sizes['diameterMm'], $sizes['thicknessMm']);
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['thicknessMm'];
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
        return Fit::REROLLED;
    }

    public function hasCells(): bool
    {
        return false;
    }

    public function isFlat(): bool
    {
        return true;
    }

    public function lies(): Lies
    {
        return Lies::Staggered;
    }

    public function fitted(array $given, float $mm3, float $biteMm): ?array
    {
        $thick = Fit::thick($given, $biteMm);
        $across = $thick === null ? 0.0 : Fit::mm(min($biteMm, sqrt($mm3 / $thick * 4 / M_PI)));

        return $thick === null || $across < Fit::SMALLEST_MM ? null : ['diameterMm' => $across, 'thicknessMm' => $thick];
    }

    public function drawing(): Drawing
    {
        return new Drawing(Drawing::CIRCLE, ['diameterMm'], ['diameterMm'], 'thicknessMm');
    }
}
