<?php

declare(strict_types=1);

namespace App\Printing;

/** A shape at its true size: the line round it, in millimetres from its upper left corner. */
final readonly class Outline
{
    private const BENDS = 16;

    /** @param  list<array{float, float}>  $points  of a closed line */
    private function __construct(public array $points, public float $width, public float $height) {}

    /** @param  string  $path  SVG, in a square of 1 × 1, as the shapes of core tell theirs */
    public static function ofPath(string $path, float $width, float $height): self
    {
        preg_match_all('/([a-zA-Z])|(-?(?:\d+\.?\d*|\.\d+))/', $path, $signs, PREG_SET_ORDER);
        $points = [];
        [$x, $y] = [0.0, 0.0];
        $command = '';
        $numbers = [];
        $need = ['M' => 2, 'L' => 2, 'H' => 1, 'h' => 1, 'v' => 1, 'C' => 6, 'a' => 7];
        foreach ($signs as $sign) {
            if ($sign[1] !== '') {
                [$command, $numbers] = [$sign[1], []];

                continue;
            }
            $numbers[] = (float) $sign[2];
            if (count($numbers) < ($need[$command] ?? 99)) {
                continue;
            }
            $from = [$x, $y];
            [$x, $y] = match ($command) {
                'M', 'L' => [$numbers[0], $numbers[1]],
                'H' => [$numbers[0], $y],
                'h' => [$x + $numbers[0], $y],
                'v' => [$x, $y + $numbers[0]],
                'C' => [$numbers[4], $numbers[5]],
                default => [$x + $numbers[5], $y + $numbers[6]],
            };
            array_push($points, ...match ($command) {
                'C' => self::curve($from, $numbers),
                'a' => self::arc($from, [$x, $y], $numbers),
                default => [[$x, $y]],
            });
            $numbers = [];
        }

        // a curve need not reach the edges of its square: the piece is as wide and as long as it is said to be
        $across = array_column($points, 0);
        $down = array_column($points, 1);
        if ($points === [] || max($across) - min($across) <= 0.0 || max($down) - min($down) <= 0.0) {
            return new self([], $width, $height);
        }

        return new self(array_map(static fn (array $one): array => [($one[0] - min($across)) / (max($across) - min($across)) * $width, ($one[1] - min($down)) / (max($down) - min($down)) * $height], $points), $width, $height);
    }

    /**
     * @param  array{float, float}  $from
     * @param  list<float>  $by  two handles and the end
     * @return list<array{float, float}>
     */
    private static function curve(array $from, array $by): array
    {
        $points = [];
        for ($n = 1; $n <= self::BENDS; $n++) {
            $t = $n / self::BENDS;
            $at = static fn (int $axis): float => (1 - $t) ** 3 * $from[$axis] + 3 * (1 - $t) ** 2 * $t * $by[$axis] + 3 * (1 - $t) * $t ** 2 * $by[2 + $axis] + $t ** 3 * $by[4 + $axis];
            $points[] = [$at(0), $at(1)];
        }

        return $points;
    }

    /**
     * An arc of an ellipse that is not turned, by its ends (SVG 2, appendix B.2.4).
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  list<float>  $by  radii, turn, large, sweep, end
     * @return list<array{float, float}>
     */
    private static function arc(array $from, array $to, array $by): array
    {
        [$rx, $ry, $isLarge, $isSweep] = [$by[0], $by[1], $by[3] === 1.0, $by[4] === 1.0];
        [$hx, $hy] = [($from[0] - $to[0]) / 2, ($from[1] - $to[1]) / 2];
        $lambda = ($hx / $rx) ** 2 + ($hy / $ry) ** 2;
        if ($lambda > 1.0) {
            [$rx, $ry] = [$rx * sqrt($lambda), $ry * sqrt($lambda)];
        }
        $root = sqrt(max(0.0, ($rx ** 2 * $ry ** 2 - $rx ** 2 * $hy ** 2 - $ry ** 2 * $hx ** 2) / ($rx ** 2 * $hy ** 2 + $ry ** 2 * $hx ** 2))) * ($isLarge === $isSweep ? -1 : 1);
        [$cx, $cy] = [$root * $rx * $hy / $ry, -$root * $ry * $hx / $rx];
        $start = atan2(($hy - $cy) / $ry, ($hx - $cx) / $rx);
        $end = atan2((-$hy - $cy) / $ry, (-$hx - $cx) / $rx);
        if ($isSweep && $end <= $start) {
            $end += 2 * M_PI;
        } elseif (! $isSweep && $end >= $start) {
            $end -= 2 * M_PI;
        }
        [$mx, $my] = [$cx + ($from[0] + $to[0]) / 2, $cy + ($from[1] + $to[1]) / 2];
        $points = [];
        for ($n = 1; $n <= self::BENDS; $n++) {
            $angle = $start + ($end - $start) * $n / self::BENDS;
            $points[] = [$mx + $rx * cos($angle), $my + $ry * sin($angle)];
        }

        return $points;
    }
}
