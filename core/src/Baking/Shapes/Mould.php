<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** The hollows of a mould: as many as the baker's own has, filled as often as the dough lasts. */
final readonly class Mould implements Shape
{
    public function id(): string
    {
        return 'mould';
    }

    public function label(): string
    {
        return 'mould';
    }

    public function sizes(): array
    {
        return [Size::ml('cavityMl', 'each holds', 6), Size::count('cavities', 'hollows', 40)];
    }

    public function pieceMl(array $sizes): float
    {
        return $sizes['cavityMl'];
    }

    public function largestMm(array $sizes): float
    {
        return Fit::ballMm($sizes['cavityMl']);
    }

    public function thicknessMm(array $sizes): float
    {
        return Fit::ballMm($sizes['cavityMl']);
    }

    public function footprintMm(array $sizes): array
    {
        return [Fit::ballMm($sizes['cavityMl']), Fit::ballMm($sizes['cavityMl'])];
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
        return false;
    }

    public function lies(): Lies
    {
        return Lies::InMoulds;
    }

    public function fitted(array $given, float $mm3, float $biteMm): ?array
    {
        $ml = Fit::halfMl($mm3 / 1000, $biteMm);

        return $ml === null ? null : ['cavityMl' => $ml, 'cavities' => $given['cavities'] ?? 24.0];
    }

    public function drawing(): null
    {
        return null;
    }
}
