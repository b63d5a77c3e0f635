<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Heaps dropped from a spoon or a scoop. */
final readonly class Scoop implements Shape
{
    public function id(): string
    {
        return 'scoop';
    }

    public function label(): string
    {
        return 'scoop';
    }

    public function sizes(): array
    {
        return [Size::ml('ml', 'holds', 5)];
    }

    public function pieceMl(array $sizes): float
    {
        return $sizes['ml'];
    }

    public function largestMm(array $sizes): float
    {
        return Fit::ballMm($sizes['ml']);
    }

    public function thicknessMm(array $sizes): float
    {
        return Fit::ballMm($sizes['ml']);
    }

    public function footprintMm(array $sizes): array
    {
        return [Fit::ballMm($sizes['ml']), Fit::ballMm($sizes['ml'])];
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
        $ml = Fit::halfMl($mm3 / 1000, $biteMm);

        return $ml === null ? null : ['ml' => $ml];
    }

    public function drawing(): null
    {
        return null;
    }
}
