<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

/** Rows of one file with each cell as what its column holds: a figure, yes or no, a list, or a text. What is empty in a figure is null. */
final readonly class Rows
{
    /** @return list<array<string, mixed>> */
    public static function of(string $folder, string $file): array
    {
        $kinds = Columns::kinds($file);
        $rows = [];
        foreach ((new Table($folder, $file))->rows() as $row) {
            $typed = [];
            foreach ($row as $column => $cell) {
                $typed[$column] = self::cell($kinds[$column], $cell);
            }
            $rows[] = $typed;
        }

        return $rows;
    }

    /** @return array<string, array<string, mixed>> by what stands in one column */
    public static function by(string $folder, string $file, string $column): array
    {
        $rows = [];
        foreach (self::of($folder, $file) as $row) {
            $key = $row[$column];
            assert(is_string($key));
            $rows[$key] = $row;
        }

        return $rows;
    }

    private static function cell(string $kind, string $cell): mixed
    {
        $divider = strpbrk($kind, ';|');
        $parts = $divider === false ? [] : Table::parts($cell, $divider[0]);

        return match (rtrim($kind, '?;|')) {
            'number' => Table::number($cell),
            'flag' => $cell === '1',
            'when', 'when-dog' => self::clauses($parts),
            'parts' => self::ratios($parts),
            'threshold' => array_map(self::threshold(...), $parts),
            default => $divider === false ? $cell : $parts,
        };
    }

    /**
     * @param  list<string>  $parts  `kind:value|value`
     * @return array<string, list<string>> values by kind of clause
     */
    private static function clauses(array $parts): array
    {
        $clauses = [];
        foreach ($parts as $part) {
            [$kind, $values] = [...explode(':', $part, 2), ''];
            $clauses[$kind] = Table::parts($values);
        }

        return $clauses;
    }

    /**
     * @param  list<string>  $parts  `food=ratio`
     * @return array<string, float> ratio by food
     */
    private static function ratios(array $parts): array
    {
        $ratios = [];
        foreach ($parts as $part) {
            [$food, $ratio] = [...explode('=', $part, 2), ''];
            $ratios[$food] = (float) $ratio;
        }

        return $ratios;
    }

    /** @return array{float, string} from how much on, and what happens */
    private static function threshold(string $part): array
    {
        [$at, $sign] = [...explode('=', $part, 2), ''];

        return [(float) $at, $sign];
    }
}
