<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Pieces of which only the number is known: how large one is, and whether it fits a mouth, nobody can say. */
final readonly class Counted implements Shape
{
    private function __construct(private string $id, private string $label) {}

    public static function pieces(): self
    {
        return new self('pieces', 'just a count');
    }

    public static function slices(): self
    {
        return new self('slices', 'slices of a cake');
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->label;
    }

    public function sizes(): array
    {
        return [Size::count('count', 'pieces', 24)];
    }

    public function pieceMl(array $sizes): null
    {
        return null;
    }

    public function largestMm(array $sizes): null
    {
        return null;
    }

    public function thicknessMm(array $sizes): null
    {
        return null;
    }

    public function footprintMm(array $sizes): null
    {
        return null;
    }

    public function count(array $sizes): float
    {
        return $sizes['count'];
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
        return Lies::Uncounted;
    }

    public function fitted(array $given, float $mm3, float $biteMm): null
    {
        return null;
    }

    public function drawing(): null
    {
        return null;
    }
}
