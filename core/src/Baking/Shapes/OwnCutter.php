<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** A cutter of any outline, of which only the area is known. */
final readonly class OwnCutter implements Shape
{
    public function id(): string
    {
        return 'area';
    }

    public function label(): string
    {
        return 'own cutter';
    }

    public function sizes(): array
    {
        return [Size::mm2('areaMm2', 'area', 500), Size::thickness()];
    }

    public function pieceMl(array $sizes): float
    {
        return $sizes['areaMm2'] * $sizes['thicknessMm'] / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return max($this->acrossMm($sizes), $sizes['thicknessMm']);
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['thicknessMm'];
    }

    public function footprintMm(array $sizes): array
    {
        return [$this->acrossMm($sizes), $this->acrossMm($sizes)];
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
        $area = $thick === null ? 0.0 : floor(min($mm3 / $thick, M_PI / 4 * $biteMm ** 2));

        return $thick === null || $area < M_PI / 4 * Fit::SMALLEST_MM ** 2 ? null : ['areaMm2' => $area, 'thicknessMm' => $thick];
    }

    public function drawing(): null
    {
        return null;
    }

    /**
     * Across of a disc of the same area.
     *
     * @param  array<string, float>  $sizes
     */
    private function acrossMm(array $sizes): float
    {
        return sqrt($sizes['areaMm2'] * 4 / M_PI);
    }
}
