<?php

declare(strict_types=1);

namespace MildBowl\Core\DataCompiler;

use RuntimeException;

/** One CSV file of reference data (RFC 4180, first row names the columns). */
final readonly class Table
{
    public function __construct(private string $folder, private string $name) {}

    /**
     * @return list<array<string, string>> rows by column name
     *
     * @throws RuntimeException when the file is missing or a row has another number of columns than the first
     */
    public function rows(): array
    {
        $path = "{$this->folder}/{$this->name}.csv";
        $file = is_file($path) ? fopen($path, 'r') : false;
        if ($file === false) {
            throw new RuntimeException("$path cannot be read.");
        }
        $columns = null;
        $rows = [];
        $line = 0;
        while (($cells = fgetcsv($file, escape: '')) !== false) {
            $line++;
            $cells = array_map(strval(...), $cells);
            if ($columns === null) {
                $columns = $cells;

                continue;
            }
            if (count($cells) !== count($columns)) {
                throw new RuntimeException("{$this->name}.csv, row $line: ".count($cells).' columns instead of '.count($columns).'.');
            }
            $rows[] = array_combine($columns, $cells);
        }
        fclose($file);

        return $rows;
    }

    /**
     * @param  non-empty-string  $separator
     * @return list<string> the parts of a cell that holds several values
     */
    public static function parts(string $cell, string $separator = '|'): array
    {
        return $cell === '' ? [] : array_map(trim(...), explode($separator, $cell));
    }

    public static function number(string $cell): ?float
    {
        return $cell === '' ? null : (float) $cell;
    }
}
