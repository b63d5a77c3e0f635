<?php

declare(strict_types=1);

namespace App\Printing;

/**
 * Sets blocks into a box: in the largest type that fits, down to one that can still be read; then what may be left out goes, and that is
 * said. Each run of words gets its place, so paper and page show the same.
 *
 * @phpstan-type Run array{x: float, y: float, size: float, bold: bool, text: string}
 * @phpstan-type Line array{points: list<array{float, float}>}
 */
final readonly class Setting
{
    /** pt: what a label is set in where there is room. */
    private const LARGEST = 11.0;

    /** pt: letters like x are 0.9 mm high, the least that Regulation (EU) No 1169/2011 lets small labels have. */
    public const SMALLEST = 5.4;

    private const STEP = 0.2;

    /** mm */
    private const EDGE = 2.5;

    /**
     * @param  list<Run>  $runs  mm from the upper left corner of the box; y is that of the upper edge of the line
     * @param  list<Line>  $lines
     * @param  list<string>  $leftOut
     */
    private function __construct(public array $runs, public array $lines, public array $leftOut, public bool $fits, public float $size) {}

    /** @param  list<Block>  $blocks */
    public static function of(array $blocks, float $width, float $height): self
    {
        $leftOut = [];
        while (true) {
            for ($size = self::LARGEST; $size >= self::SMALLEST - 1e-9; $size -= self::STEP) {
                [$runs, $lines, $used] = self::set($blocks, $size, $width - 2 * self::EDGE);
                if ($used <= $height - 2 * self::EDGE) {
                    return new self($runs, $lines, $leftOut, true, round($size, 1));
                }
            }
            $last = null;
            foreach ($blocks as $n => $block) {
                $last = $block->mayGo === null ? $last : $n;
            }
            if ($last === null) {
                return new self([], [], $leftOut, false, self::SMALLEST);
            }
            $leftOut[] = (string) $blocks[$last]->mayGo;
            array_splice($blocks, $last, 1);
        }
    }

    /**
     * @param  list<Block>  $blocks
     * @return array{list<Run>, list<Line>, float}
     */
    private static function set(array $blocks, float $base, float $width): array
    {
        $runs = $lines = [];
        $y = 0.0;
        foreach ($blocks as $n => $block) {
            $size = max(self::SMALLEST, $base * $block->size);
            $step = $size * Type::MM * Type::LEADING;
            $y += $n === 0 ? 0.0 : $block->space * $step;
            if ($block->outline !== null) {
                if ($block->outline->width > $width) {
                    return [[], [], INF];
                }
                $lines[] = ['points' => array_map(static fn (array $one): array => [$one[0] + self::EDGE, $one[1] + $y + self::EDGE], $block->outline->points)];
                $y += $block->outline->height;

                continue;
            }
            foreach (self::rows($block->runs, $size, $width) as $row) {
                foreach ($row as [$x, $words, $isBold]) {
                    $runs[] = ['x' => round($x + self::EDGE, 2), 'y' => round($y + self::EDGE, 2), 'size' => round($size, 1), 'bold' => $isBold, 'text' => $words];
                }
                $y += $step;
            }
        }

        return [$runs, $lines, $y];
    }

    /**
     * @param  list<array{string, bool}>  $runs
     * @return list<list<array{float, string, bool}>> by row: where each run begins
     */
    private static function rows(array $runs, float $size, float $width): array
    {
        $rows = [[]];
        $x = 0.0;
        $space = Type::width(' ', $size, false);
        foreach (self::units($runs) as [$parts, $isNewRow]) {
            $wide = array_sum(array_map(static fn (array $one): float => Type::width($one[0], $size, $one[1]), $parts));
            $gap = $rows[count($rows) - 1] === [] ? 0.0 : $space;
            if ($isNewRow || ($gap > 0.0 && $x + $gap + $wide > $width)) {
                $rows[] = [];
                [$x, $gap] = [0.0, 0.0];
            }
            // what is longer than the label is broken where it has to be
            $pieces = $wide <= $width ? $parts : array_merge(...array_map(static fn (array $one): array => array_map(static fn (string $sign): array => [$sign, $one[1]], mb_str_split($one[0])), $parts));
            foreach ($pieces as [$words, $isBold]) {
                if ($wide > $width && $x + $gap + Type::width($words, $size, $isBold) > $width) {
                    $rows[] = [];
                    [$x, $gap] = [0.0, 0.0];
                }
                $x = self::put($rows[count($rows) - 1], $x, $gap, $words, $isBold, $size);
                $gap = 0.0;
            }
        }

        return array_values(array_filter($rows, static fn (array $row): bool => $row !== []));
    }

    /**
     * Words of one weight are one run: fewer places, and copied out of the PDF they read as they should.
     *
     * @param  list<array{float, string, bool}>  $row
     * @return float where the next may begin
     */
    private static function put(array &$row, float $x, float $gap, string $words, bool $isBold, float $size): float
    {
        $last = array_key_last($row);
        if ($last === null || $row[$last][2] !== $isBold) {
            $row[] = [$x + $gap, $words, $isBold];

            return $x + $gap + Type::width($words, $size, $isBold);
        }
        $row[$last][1] .= ($gap > 0.0 ? ' ' : '').$words;

        return $row[$last][0] + Type::width($row[$last][1], $size, $isBold);
    }

    /**
     * @param  list<array{string, bool}>  $runs
     * @return list<array{list<array{string, bool}>, bool}> what stands together without a space, and whether it begins a row
     */
    private static function units(array $runs): array
    {
        $units = [];
        $isOpen = false;
        foreach ($runs as [$text, $isBold]) {
            $isJoined = $isOpen && preg_match('/^\s/u', $text) !== 1;
            foreach (explode("\n", $text) as $n => $row) {
                foreach (preg_split('/\s+/u', trim($row), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $m => $word) {
                    if ($isJoined && $n === 0 && $m === 0 && $units !== []) {
                        $units[count($units) - 1][0][] = [$word, $isBold];
                    } else {
                        $units[] = [[[$word, $isBold]], $n > 0 && $m === 0];
                    }
                }
            }
            $isOpen = preg_match('/\S$/u', $text) === 1;
        }

        return $units;
    }
}
