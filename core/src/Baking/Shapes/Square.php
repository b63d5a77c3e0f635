<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Squares cut from a rolled sheet. */
final readonly class Square implements Shape
{
    public function id(): string
    {
        return 'square';
    }

    public function label(): string
    {
        return 'square';
    }

    public function sizes(): array
    {
        return [Size::mm('sideMm', 'side', 20), Size::thickness()];
    }

    public function pieceMl(array $sizes): float
    {
        return $sizes['sideMm'] ** 2 * $sizes['thicknessMm'] / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return max($sizes['sideMm'], $sizes['thicknessMm']);
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['thicknessMm'];
    }

    public function footprintMm(array $sizes): array
    {
        return [$sizes['sideMm'], $sizes['sideMm']];
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
        return Lies::InRows;
    }

    public function fitted(array $given, float $mm3, float $biteMm): ?array
    {
        $thick = Fit::thick($given, $biteMm);
        $side = $thick === null ? 0.0 : Fit::mm(min($biteMm, sqrt($mm3 / $thick)));

        return $thick === null || $side < Fit::SMALLEST_MM ? null : ['sideMm' => $side, 'thicknessMm' => $thick];
    }

    public function drawing(): Drawing
    {
        return new Drawing(Drawing::BOX, ['sideMm'], ['sideMm'], 'thicknessMm');
    }
}
