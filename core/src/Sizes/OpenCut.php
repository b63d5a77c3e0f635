<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Baking\Shapes\Shape;
use MildBowl\Core\Baking\Shapes\TwoSided;

/** A shape with the sizes that are to stay; the others are asked for. */
final readonly class OpenCut
{
    /** @param  array<string, float>  $given */
    private function __construct(public Shape $shape, public array $given) {}

    /**
     * What is asked for is not given: of a log the slice where it is given across, of a finger the length where both were.
     *
     * @param  array<string, float>  $sizes
     */
    public static function of(Shape $shape, array $sizes): self
    {
        $keeps = ['thicknessMm', 'sliceMm', 'depthMm', 'sheetWidthMm', 'sheetLengthMm', 'cavities'];
        if ($shape instanceof TwoSided) {
            $keeps[] = isset($sizes['widthMm']) ? 'widthMm' : 'lengthMm';
        }
        if ($shape->id() === 'log' && ! isset($sizes['sliceMm'])) {
            $keeps[] = 'diameterMm';
        }

        return new self($shape, array_intersect_key($sizes, array_flip($keeps)));
    }

    public function isCounted(): bool
    {
        return $this->shape->lies() === Lies::Uncounted;
    }

    /** Whether a piece of it is rolled to a thickness. */
    public function isRolled(): bool
    {
        foreach ($this->shape->sizes() as $size) {
            if ($size->key === 'thicknessMm') {
                return true;
            }
        }

        return false;
    }

    /** The size that lies between the teeth whatever else is chosen; null where none is given. */
    public function thickMm(): ?float
    {
        return $this->given['thicknessMm'] ?? $this->given['sliceMm'] ?? $this->given['depthMm'] ?? $this->given['diameterMm'] ?? null;
    }

    public function rolledTo(float $thicknessMm): self
    {
        return new self($this->shape, ['thicknessMm' => $thicknessMm] + $this->given);
    }
}
