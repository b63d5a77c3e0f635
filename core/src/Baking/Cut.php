<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/**
 * The shape of one piece, in mm and ml. Areas: bone 0.62 × length × width, heart 0.72, star 0.5 (reference, page 5).
 */
final readonly class Cut
{
    private const REROLLED = 0.98;

    /** @param  array<string, float>  $sizes  by the names of the contract */
    public function __construct(public string $shape, public array $sizes) {}

    /** @return array<string, list<string>> the sizes each shape needs */
    public static function shapes(): array
    {
        return [
            'round' => ['diameterMm', 'thicknessMm'],
            'square' => ['sideMm', 'thicknessMm'],
            'rectangle' => ['widthMm', 'lengthMm', 'thicknessMm'],
            'bone' => ['widthMm', 'lengthMm', 'thicknessMm'],
            'heart' => ['widthMm', 'lengthMm', 'thicknessMm'],
            'star' => ['widthMm', 'lengthMm', 'thicknessMm'],
            'area' => ['areaMm2', 'thicknessMm'],
            'strip' => ['widthMm', 'lengthMm', 'thicknessMm'],
            'log' => ['diameterMm', 'sliceMm'],
            'ball' => ['diameterMm'],
            'scoop' => ['ml'],
            'mould' => ['cavityMl', 'cavities'],
            'grid' => ['sheetWidthMm', 'sheetLengthMm', 'depthMm', 'columns', 'rows'],
            'slices' => ['count'],
            'pieces' => ['count'],
        ];
    }

    /** Volume of one piece in ml; null where the cut is a count. */
    public function pieceMl(): ?float
    {
        $s = $this->sizes;
        $mm3 = match ($this->shape) {
            'round' => M_PI / 4 * $s['diameterMm'] ** 2 * $s['thicknessMm'],
            'square' => $s['sideMm'] ** 2 * $s['thicknessMm'],
            'rectangle', 'strip' => $s['widthMm'] * $s['lengthMm'] * $s['thicknessMm'],
            'bone' => 0.62 * $s['widthMm'] * $s['lengthMm'] * $s['thicknessMm'],
            'heart' => 0.72 * $s['widthMm'] * $s['lengthMm'] * $s['thicknessMm'],
            'star' => 0.5 * $s['widthMm'] * $s['lengthMm'] * $s['thicknessMm'],
            'area' => $s['areaMm2'] * $s['thicknessMm'],
            'log' => M_PI / 4 * $s['diameterMm'] ** 2 * $s['sliceMm'],
            'ball' => M_PI / 6 * $s['diameterMm'] ** 3,
            'scoop' => $s['ml'] * 1000,
            'mould' => $s['cavityMl'] * 1000,
            'grid' => $s['sheetWidthMm'] * $s['sheetLengthMm'] * $s['depthMm'] / ($s['columns'] * $s['rows']),
            default => null,
        };

        return $mm3 === null ? null : $mm3 / 1000;
    }

    /** Pieces where the cut is a count. */
    public function count(): ?float
    {
        return $this->sizes['count'] ?? null;
    }

    /** Share of the dough that ends in pieces: scraps of a rolled sheet are rolled again. */
    public function used(): float
    {
        return in_array($this->shape, ['round', 'square', 'rectangle', 'bone', 'heart', 'star', 'area', 'strip'], true) ? self::REROLLED : 1.0;
    }

    /** Largest dimension of a piece in mm; null where the cut does not say. */
    public function largestMm(): ?float
    {
        $s = $this->sizes;

        return match ($this->shape) {
            'round' => max($s['diameterMm'], $s['thicknessMm']),
            'square' => max($s['sideMm'], $s['thicknessMm']),
            'rectangle', 'strip', 'bone', 'heart', 'star' => max($s['widthMm'], $s['lengthMm'], $s['thicknessMm']),
            'area' => max(sqrt($s['areaMm2'] * 4 / M_PI), $s['thicknessMm']),
            'log' => max($s['diameterMm'], $s['sliceMm']),
            'ball' => $s['diameterMm'],
            'scoop' => 10 * (6 * $s['ml'] / M_PI) ** (1 / 3),
            'mould' => 10 * (6 * $s['cavityMl'] / M_PI) ** (1 / 3),
            'grid' => max($s['sheetWidthMm'] / $s['columns'], $s['sheetLengthMm'] / $s['rows'], $s['depthMm']),
            default => null,
        };
    }

    /** How thick a piece lies in the oven, in mm; null where the cut does not say. */
    public function thicknessMm(): ?float
    {
        return $this->sizes['thicknessMm'] ?? $this->sizes['sliceMm'] ?? $this->sizes['depthMm'] ?? ($this->pieceMl() === null ? null : $this->largestMm());
    }

    /**
     * Length and width of a piece seen from above, in mm; null where the cut does not say.
     *
     * @return array{float, float}|null
     */
    public function footprintMm(): ?array
    {
        $s = $this->sizes;

        return match ($this->shape) {
            'round', 'log', 'ball' => [$s['diameterMm'], $s['diameterMm']],
            'square' => [$s['sideMm'], $s['sideMm']],
            'rectangle', 'strip', 'bone', 'heart', 'star' => [$s['lengthMm'], $s['widthMm']],
            'area' => array_fill(0, 2, sqrt($s['areaMm2'] * 4 / M_PI)),
            'grid' => [$s['sheetLengthMm'] / $s['rows'], $s['sheetWidthMm'] / $s['columns']],
            'scoop', 'mould' => array_fill(0, 2, (float) $this->largestMm()),
            default => null,
        };
    }

    /**
     * How a piece that is too large is broken so that no part is longer than a bite: parts along its length and its width.
     *
     * @return array{int, int}|null
     */
    public function partsFor(float $biteMm): ?array
    {
        $footprint = $this->footprintMm();

        return $footprint === null ? null : [max(1, (int) ceil($footprint[0] / $biteMm - 1e-9)), max(1, (int) ceil($footprint[1] / $biteMm - 1e-9))];
    }

    /** What is odd about these sizes, in plain words; null when nothing is. */
    public function oddity(): ?string
    {
        $thick = $this->sizes['thicknessMm'] ?? null;
        $footprint = $this->footprintMm();
        if ($thick === null || $footprint === null) {
            return null;
        }

        return match (true) {
            $thick < 1 => 'Under 1 mm a dough tears: roll it thicker.',
            $thick > min($footprint) => 'It is thicker than it is wide: cut it wider, or roll it thinner.',
            default => null,
        };
    }

    public function isFlat(): bool
    {
        return in_array($this->shape, ['round', 'square', 'area', 'grid'], true);
    }
}
