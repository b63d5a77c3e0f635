<?php

declare(strict_types=1);

namespace App\Devices;

use GdImage;

/**
 * Makes rows of print run straight that were photographed at a slant or round a tub: each column of the picture is moved up or down along
 * a parabola, the one at which ink and gaps between rows stand apart most.
 */
final class Straightening
{
    /** The picture is judged at this width. */
    private const WIDTH = 600;

    private const STRIPS = 40;

    /** Darker (or lighter) than what is round it by so much is ink. */
    private const INK = 16;

    /** The most that is looked for: a row that rises by so much of the picture's width from side to side, and one that hangs so deep. */
    private const SLANT = 0.16;

    private const SAG = 0.08;

    /** @return array{GdImage, float, float} the picture, its slant and its sag as shares of its width */
    public static function of(GdImage $image): array
    {
        $small = imagescale($image, self::WIDTH, -1, IMG_BILINEAR_FIXED) ?: $image;
        $profiles = self::profiles($small);
        [$slant, $sag] = [0.0, 0.0];
        [$stepA, $stepB] = [self::SLANT / 10, self::SAG / 5];
        [$best, $slant, $sag] = self::bestOf($profiles, [0.0, 10, $stepA], [0.0, 5, $stepB]);
        for ($n = 0; $n < 3; $n++) {
            $stepA /= 3;
            $stepB /= 3;
            [$best, $slant, $sag] = self::bestOf($profiles, [$slant, 3, $stepA], [$sag, 3, $stepB]);
        }
        // no better than as it was taken: left alone
        if ($best < 1.03 * self::apart($profiles, 0.0, 0.0)) {
            return [$image, 0.0, 0.0];
        }

        return [self::moved($image, $slant, $sag), $slant, $sag];
    }

    /**
     * Where a point of the straightened picture was in the one that was given.
     *
     * @return array{int, int}
     */
    public static function back(float $x, float $y, int $width, float $slant, float $sag, float $scale): array
    {
        $y += self::down($x / $width, $slant, $sag, $width) - self::edge($width, $slant, $sag);

        return [(int) round($x / $scale), (int) round($y / $scale)];
    }

    private static function edge(int $width, float $slant, float $sag): int
    {
        return (int) ceil($width * (abs($slant) / 2 + abs($sag)));
    }

    /**
     * @param  list<array<int, int>>  $profiles
     * @param  array{float, int, float}  $slants  the middle, how many to each side, how far apart
     * @param  array{float, int, float}  $sags
     * @return array{float, float, float}
     */
    private static function bestOf(array $profiles, array $slants, array $sags): array
    {
        $best = [-1.0, 0.0, 0.0];
        for ($a = -$slants[1]; $a <= $slants[1]; $a++) {
            for ($b = -$sags[1]; $b <= $sags[1]; $b++) {
                [$slant, $sag] = [$slants[0] + $a * $slants[2], $sags[0] + $b * $sags[2]];
                $apart = self::apart($profiles, $slant, $sag);
                if ($apart > $best[0]) {
                    $best = [$apart, $slant, $sag];
                }
            }
        }

        return $best;
    }

    /**
     * How much ink each row of each strip has.
     *
     * @return list<array<int, int>> by row, rows without ink left out
     */
    private static function profiles(GdImage $small): array
    {
        [$width, $height] = [imagesx($small), imagesy($small)];
        $round = imagescale(imagescale($small, 30, max(2, (int) (30 * $height / $width)), IMG_BILINEAR_FIXED) ?: $small, $width, $height, IMG_BILINEAR_FIXED) ?: $small;
        $profiles = array_fill(0, self::STRIPS, []);
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                if ((imagecolorat($round, $x, $y) & 255) - (imagecolorat($small, $x, $y) & 255) > self::INK) {
                    $strip = intdiv($x * self::STRIPS, $width);
                    $profiles[$strip][$y] = ($profiles[$strip][$y] ?? 0) + 1;
                }
            }
        }

        return $profiles;
    }

    /** @param  list<array<int, int>>  $profiles */
    private static function apart(array $profiles, float $slant, float $sag): float
    {
        $rows = [];
        foreach ($profiles as $strip => $profile) {
            $down = self::down(($strip + 0.5) / self::STRIPS, $slant, $sag, self::WIDTH);
            foreach ($profile as $y => $ink) {
                $to = $y - $down;
                $rows[$to] = ($rows[$to] ?? 0) + $ink;
            }
        }
        $sum = 0.0;
        foreach ($rows as $ink) {
            $sum += $ink * $ink;
        }

        return $sum;
    }

    private static function down(float $across, float $slant, float $sag, int $width): int
    {
        $side = 2 * $across - 1;

        return (int) round($width * ($slant * $side / 2 + $sag * ($side * $side - 1 / 3)));
    }

    private static function moved(GdImage $image, float $slant, float $sag): GdImage
    {
        [$width, $height] = [imagesx($image), imagesy($image)];
        $edge = self::edge($width, $slant, $sag);
        $moved = imagecreatetruecolor($width, $height + 2 * $edge);
        imagefill($moved, 0, 0, imagecolorat($image, intdiv($width, 2), 0));
        for ($x = 0; $x < $width; $x++) {
            imagecopy($moved, $image, $x, $edge - self::down($x / $width, $slant, $sag, $width), $x, 0, 1, $height);
        }

        return $moved;
    }
}
