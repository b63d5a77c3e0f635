<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use MildBowl\Core\Questions\RequestRefused;

/**
 * CSV as RFC 4180 has it: rows that end with CR LF, cells between commas, quoted where they have to be, UTF-8. What a spreadsheet would
 * run as a formula gets an apostrophe before it on the way out, and loses it on the way in. Read in are also the ways in which spreadsheets
 * of other countries write it: semicolons or tabs, a byte order mark, line feeds alone.
 */
final class Csv
{
    public const LONGEST = 12_000_000;

    private const MOST_ROWS = 100_000;

    private const MOST_COLUMNS = 100;

    private const FORMULA = '/^\'*[=+\-@\t\r]/';

    /** @param  iterable<list<string>>  $rows with the head first */
    public static function write(iterable $rows): \Generator
    {
        foreach ($rows as $row) {
            yield implode(',', array_map(self::cell(...), $row))."\r\n";
        }
    }

    private static function cell(string $text): string
    {
        if (preg_match(self::FORMULA, $text) === 1 && ! is_numeric($text)) {
            $text = "'$text";
        }

        return preg_match('/[",\r\n;\t]|^\s|\s$/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }

    private static function uncell(string $text): string
    {
        return str_starts_with($text, "'") && preg_match(self::FORMULA, $text) === 1 ? substr($text, 1) : $text;
    }

    /**
     * @return list<array{int, array<string, string>}> the number of the row in the file, the head being the first, and its cells by the head's words
     *
     * @throws RequestRefused where it is no table
     */
    public static function read(string $content): array
    {
        return iterator_to_array(self::rows($content), false);
    }

    /**
     * The same one by one: a long table is never in memory whole.
     *
     * @return \Generator<int, array{int, array<string, string>}>
     *
     * @throws RequestRefused where it is no table
     */
    public static function rows(string $content): \Generator
    {
        if (strlen($content) > self::LONGEST) {
            throw RequestRefused::outOfRange('/content', 'That file has more than 12 MB: bring it in parts.');
        }
        if (! mb_check_encoding($content, 'UTF-8')) {
            // as older spreadsheets of western Europe write it
            $content = mb_convert_encoding($content, 'UTF-8', 'Windows-1252');
        }
        $content = (string) preg_replace('/^\x{FEFF}/u', '', $content);
        if (str_contains($content, "\0")) {
            throw RequestRefused::outOfRange('/content', 'This is no CSV file: it holds signs with the number 0. Save the table as CSV, in UTF-8.');
        }
        $file = fopen('php://temp', 'r+') ?: throw RequestRefused::outOfRange('/content', 'That file could not be read.');
        fwrite($file, $content);
        rewind($file);
        $separator = self::separatorOf((string) strtok($content, "\r\n"));
        $head = null;
        $number = 0;
        $many = 0;
        while (($cells = fgetcsv($file, null, $separator, '"', '')) !== false) {
            $number++;
            if ($cells === [null]) {
                continue;
            }
            $cells = array_map(static fn (?string $one): string => self::uncell($one ?? ''), $cells);
            if ($head === null) {
                $head = self::head($cells);

                continue;
            }
            if (++$many > self::MOST_ROWS) {
                throw RequestRefused::outOfRange('/content', 'That table has more than '.number_format(self::MOST_ROWS).' rows: bring it in parts.');
            }
            yield [$number, array_combine($head, array_slice(array_pad($cells, count($head), ''), 0, count($head)))];
        }
        fclose($file);

        if ($head === null) {
            throw RequestRefused::outOfRange('/content', 'This file is empty: its first row names the columns.');
        }
    }

    /**
     * @param  list<string>  $cells
     * @return list<string>
     */
    private static function head(array $cells): array
    {
        $head = array_map(static fn (string $one): string => mb_strtolower(trim($one)), $cells);
        if (count($head) > self::MOST_COLUMNS) {
            throw RequestRefused::outOfRange('/content', 'That table has more than '.self::MOST_COLUMNS.' columns.');
        }
        $named = array_filter($head, static fn (string $one): bool => $one !== '');
        if (count(array_unique($named)) < count($named)) {
            throw RequestRefused::outOfRange('/content', 'Two columns of this table have the same name: give each its own.');
        }

        return array_map(static fn (int $n, string $one): string => $one === '' ? "column $n" : $one, range(1, count($head)), $head);
    }

    private static function separatorOf(string $row): string
    {
        $counts = array_map(static fn (string $one): int => substr_count($row, $one), [',' => ',', ';' => ';', "\t" => "\t"]);
        arsort($counts);

        return (string) array_key_first($counts);
    }
}
