<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/** Pieces cut from a rolled sheet by a width and a length: fingers, strips, and the cutters that fill a share of their box. */
final readonly class TwoSided implements Shape
{
    /**
     * @param  float  $area  share of width × length that it covers: bone 0.62, heart 0.72, star 0.5 (reference, page 5)
     * @param  float  $slender  its width as a share of its length where nothing else was said
     * @param  bool  $lengthways  whether its length is drawn across
     */
    private function __construct(private string $id, private string $label, private float $area, private float $slender, private string $path, private bool $lengthways) {}

    public static function rectangle(): self
    {
        return new self('rectangle', 'finger', 1.0, 0.4, Drawing::BOX, true);
    }

    public static function strip(): self
    {
        return new self('strip', 'strip', 1.0, 0.2, Drawing::BOX, true);
    }

    public static function bone(): self
    {
        return new self('bone', 'bone', 0.62, 0.5, Drawing::BONE, true);
    }

    public static function heart(): self
    {
        return new self('heart', 'heart', 0.72, 1.0, Drawing::HEART, false);
    }

    public static function star(): self
    {
        return new self('star', 'star', 0.5, 1.0, Drawing::STAR, false);
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
        return [Size::mm('widthMm', 'wide', 15), Size::mm('lengthMm', 'long', 35), Size::thickness()];
    }

    public function pieceMl(array $sizes): float
    {
        return $this->area * $sizes['widthMm'] * $sizes['lengthMm'] * $sizes['thicknessMm'] / 1000;
    }

    public function largestMm(array $sizes): float
    {
        return max($sizes['widthMm'], $sizes['lengthMm'], $sizes['thicknessMm']);
    }

    public function thicknessMm(array $sizes): float
    {
        return $sizes['thicknessMm'];
    }

    public function footprintMm(array $sizes): array
    {
        return [$sizes['lengthMm'], $sizes['widthMm']];
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
        return false;
    }

    public function lies(): Lies
    {
        return Lies::InRows;
    }

    public function fitted(array $given, float $mm3, float $biteMm): ?array
    {
        $thick = Fit::thick($given, $biteMm);
        if ($thick === null) {
            return null;
        }
        $area = $mm3 / $thick / $this->area;
        if (isset($given['widthMm'])) {
            [$width, $length] = [$given['widthMm'], min($biteMm, $area / $given['widthMm'])];
        } elseif (isset($given['lengthMm'])) {
            [$width, $length] = [min($given['lengthMm'], $area / $given['lengthMm']), $given['lengthMm']];
        } else {
            $length = min($biteMm, sqrt($area / $this->slender));
            $width = max(min(Fit::SMALLEST_MM, $area / max($length, 1e-9)), $this->slender * $length);
        }
        $width = isset($given['widthMm']) ? $width : Fit::mm($width);
        // what rounding took from the width may go into the length, as far as the bite allows
        $length = isset($given['lengthMm']) || $width <= 0.0 ? $length : Fit::mm(min($biteMm, $area / $width, max($length, $width)));
        $tooSmall = (! isset($given['widthMm']) && $width < Fit::SMALLEST_MM) || (! isset($given['lengthMm']) && $length < Fit::SMALLEST_MM);

        return $tooSmall || $length > $biteMm || $width > $biteMm || $width <= 0.0 || $length <= 0.0 ? null : ['widthMm' => $width, 'lengthMm' => $length, 'thicknessMm' => $thick];
    }

    public function drawing(): Drawing
    {
        return $this->lengthways ? new Drawing($this->path, ['lengthMm'], ['widthMm'], 'thicknessMm') : new Drawing($this->path, ['widthMm'], ['lengthMm'], 'thicknessMm');
    }
}
