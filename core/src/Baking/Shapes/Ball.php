<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Balls rolled by hand. */
final readonly class Ball implements Shape
{
    public function id(): string
    {
        return 'ball';
    }

    public function label(): string
    {
        return 'ball';
    }

    public function sizes(): array
    {
        return [Size::mm('diameterMm', 'across', 25)];
    }

    public function pieceMl(array $sizes): float
    {
        return M_PI / 6 * $sizes['diameterMm'] ** 3 / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return $sizes['diameterMm'];
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['diameterMm'];
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
        $across = Fit::mm(min($biteMm, ($mm3 * 6 / M_PI) ** (1 / 3)));

        return $across < Fit::SMALLEST_MM ? null : ['diameterMm' => $across];
    }

    public function drawing(): Drawing
    {
        return new Drawing(Drawing::CIRCLE, ['diameterMm'], ['diameterMm'], null);
    }
}
