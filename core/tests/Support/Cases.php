<?php

declare(strict_types=1);

namespace MildBowl\Core\Tests\Support;

use RuntimeException;

/** The case files: one case a row, `#` begins a comment. Written apart from the data they test. */
final class Cases
{
    /**
     * @return list<string>
     *
     * @throws RuntimeException when there is no such file, or nothing in it
     */
    public static function rows(string $file): array
    {
        $rows = @file(__DIR__."/../cases/$file", FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES);
        $rows = array_values(
            array_filter($rows === false ? [] : $rows, static fn (string $row): bool => trim($row) !== '' && ! str_starts_with($row, '#'))
        );

        return $rows === [] ? throw new RuntimeException("cases/$file holds no case.") : $rows;
    }

    /** @return list<list<string>> the cells of each row, which `|` divides */
    public static function cells(string $file): array
    {
        return array_map(static fn (string $row): array => array_map(trim(...), explode('|', $row)), self::rows($file));
    }
}
