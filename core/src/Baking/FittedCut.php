<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** The largest piece of a shape that stays under a volume and a safe bite, in sizes that a ruler can do. */
final class FittedCut
{
    /** Smaller than this nothing is cut by hand (reference, page 2: training pieces 5–10 mm). */
    public const SMALLEST_MM = 5.0;

    /** Width of a piece as a share of its length where nothing else was said. */
    private const SLENDER = ['rectangle' => 0.4, 'strip' => 0.2, 'bone' => 0.5, 'heart' => 1.0, 'star' => 1.0];

    private const AREA = ['rectangle' => 1.0, 'strip' => 1.0, 'bone' => 0.62, 'heart' => 0.72, 'star' => 0.5];

    /**
     * @param  array<string, float>  $given  sizes that stay as they are; thickness is 6 mm when left out
     * @param  float  $ml  most that a piece may be
     * @return ?Cut null when no piece that can be cut is small enough
     */
    public static function largest(string $shape, array $given, float $ml, ?float $biteMm): ?Cut
    {
        $bite = $biteMm ?? INF;
        $mm3 = $ml * 1000;
        $thick = $given['thicknessMm'] ?? min(6.0, $bite);
        if (in_array('thicknessMm', Cut::shapes()[$shape], true) && ($thick > $bite || $thick <= 0.0)) {
            return null;
        }
        $area = $mm3 / $thick;
        $sizes = match ($shape) {
            'round' => ['diameterMm' => self::mm(min($bite, sqrt($area * 4 / M_PI))), 'thicknessMm' => $thick],
            'square' => ['sideMm' => self::mm(min($bite, sqrt($area))), 'thicknessMm' => $thick],
            'rectangle', 'strip', 'bone', 'heart', 'star' => self::twoSided($shape, $given, $area, $bite, $thick),
            'area' => ['areaMm2' => floor(min($area, M_PI / 4 * $bite ** 2)), 'thicknessMm' => $thick],
            'log' => self::log($given, $mm3, $bite),
            'ball' => ['diameterMm' => self::mm(min($bite, ($mm3 * 6 / M_PI) ** (1 / 3)))],
            'scoop' => ['ml' => floor(2 * min($ml, M_PI / 6 * ($bite / 10) ** 3)) / 2],
            'mould' => ['cavityMl' => floor(2 * min($ml, M_PI / 6 * ($bite / 10) ** 3)) / 2, 'cavities' => $given['cavities'] ?? 24.0],
            'grid' => self::grid($given, $mm3, $bite),
            default => null,
        };
        if ($sizes === null) {
            return null;
        }
        foreach ($sizes as $key => $size) {
            $least = match (true) {
                isset($given[$key]), in_array($key, ['thicknessMm', 'sliceMm', 'depthMm'], true) => 0.0,
                $key === 'areaMm2' => M_PI / 4 * self::SMALLEST_MM ** 2,
                $key === 'ml', $key === 'cavityMl' => 0.5,
                in_array($key, ['cavities', 'columns', 'rows'], true) => 1.0,
                default => self::SMALLEST_MM,
            };
            if ($size < $least || $size <= 0.0) {
                return null;
            }
        }

        return new Cut($shape, $sizes);
    }

    private static function mm(float $mm): float
    {
        return floor($mm + 1e-6);
    }

    /**
     * @param  array<string, float>  $given
     * @return array<string, float>
     */
    private static function twoSided(string $shape, array $given, float $area, float $bite, float $thick): array
    {
        $factor = self::AREA[$shape];
        if (isset($given['widthMm'])) {
            [$width, $length] = [$given['widthMm'], min($bite, $area / $factor / $given['widthMm'])];
        } elseif (isset($given['lengthMm'])) {
            [$width, $length] = [min($given['lengthMm'], $area / $factor / $given['lengthMm']), $given['lengthMm']];
        } else {
            $length = min($bite, sqrt($area / $factor / self::SLENDER[$shape]));
            $width = max(min(self::SMALLEST_MM, $area / $factor / max($length, 1e-9)), self::SLENDER[$shape] * $length);
        }
        $width = isset($given['widthMm']) ? $width : self::mm($width);
        // what rounding took from the width may go into the length, as far as the bite allows
        $length = isset($given['lengthMm']) || $width <= 0.0 ? $length : self::mm(min($bite, $area / $factor / $width, max($length, $width)));

        return $length > $bite || $width > $bite ? ['widthMm' => 0.0, 'lengthMm' => 0.0, 'thicknessMm' => $thick] : ['widthMm' => $width, 'lengthMm' => $length, 'thicknessMm' => $thick];
    }

    /**
     * @param  array<string, float>  $given
     * @return array<string, float>
     */
    private static function log(array $given, float $mm3, float $bite): array
    {
        if (isset($given['diameterMm'])) {
            return ['diameterMm' => $given['diameterMm'] > $bite ? 0.0 : $given['diameterMm'], 'sliceMm' => floor(2 * min($bite, $mm3 / (M_PI / 4 * $given['diameterMm'] ** 2))) / 2];
        }
        $slice = min($given['sliceMm'] ?? $given['thicknessMm'] ?? 6.0, INF);

        return ['diameterMm' => $slice > $bite ? 0.0 : self::mm(min($bite, sqrt($mm3 / $slice * 4 / M_PI))), 'sliceMm' => $slice];
    }

    /**
     * The fewest squares of a tray that are small enough, as square as they come.
     *
     * @param  array<string, float>  $given
     * @return array<string, float>|null
     */
    private static function grid(array $given, float $mm3, float $bite): ?array
    {
        $wide = $given['sheetWidthMm'] ?? 200.0;
        $long = $given['sheetLengthMm'] ?? 300.0;
        $deep = $given['depthMm'] ?? $given['thicknessMm'] ?? min(12.0, $bite);
        if ($deep > $bite) {
            return null;
        }
        $best = null;
        $least = max(1, (int) ceil($wide / min($bite, $wide) - 1e-9));
        for ($columns = $least; $wide / $columns >= self::SMALLEST_MM; $columns++) {
            $rows = (int) max(ceil($long / $bite - 1e-9), ceil($wide * $long * $deep / ($columns * $mm3) - 1e-9), 1);
            if ($long / $rows < self::SMALLEST_MM) {
                continue;
            }
            $slant = abs(log(($wide / $columns) / ($long / $rows)));
            $score = $columns * $rows * (1 + $slant);
            if ($best === null || $score < $best[2]) {
                $best = [$columns, $rows, $score];
            }
        }

        return $best === null ? null : ['sheetWidthMm' => $wide, 'sheetLengthMm' => $long, 'depthMm' => $deep, 'columns' => (float) $best[0], 'rows' => (float) $best[1]];
    }
}
