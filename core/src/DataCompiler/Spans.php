<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

/** Columns that belong together as a span: `minutesLow` and `minutesHigh`, with `minutes` between them where there is one. */
final readonly class Spans
{
    /**
     * @param  array<string, list<array<string, string>>>  $tables  cells by file
     * @return list<string> a slip for every row whose span is out of order
     */
    public static function outOfOrder(array $tables): array
    {
        $slips = [];
        foreach ($tables as $file => $rows) {
            $lows = array_filter(array_keys($rows[0] ?? []), static fn (string $column): bool => str_ends_with($column, 'Low') && isset($rows[0][substr($column, 0, -3).'High']));
            foreach ($lows as $low) {
                $base = substr($low, 0, -3);
                foreach ($rows as $n => $row) {
                    $span = array_values(array_filter(array_map(static fn (string $column): ?float => Table::number($row[$column] ?? ''), [$low, $base, "{$base}High"]), static fn (?float $one): bool => $one !== null));
                    $sorted = $span;
                    sort($sorted);
                    if ($sorted !== $span) {
                        $slips[] = "$file.csv, row ".($n + 2).", column $low: ".implode(', ', $span).' are out of order.';
                    }
                }
            }
        }

        return $slips;
    }
}
