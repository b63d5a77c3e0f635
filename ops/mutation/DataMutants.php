<?php

declare(strict_types=1);

namespace MildBowl\Ops\Mutation;

/** Every small wrong change of a file of reference data: a row gone, a figure off, a word of a list gone, one word for another. */
final class DataMutants
{
    /** Columns of words for people: what they say is kept in the golden answers, and a change of wording is no slip. */
    private const PROSE = [
        'message',
        'advice',
        'figure',
        'source',
        'meaning',
        'remark',
        'note',
        'known',
        'label',
        'name',
        'sign',
        'what',
        'reason',
        'example',
    ];

    /** Columns that hold several values, and what stands between them; such a column may hold one. */
    private const LISTS = [
        'names' => '|',
        'words' => '|',
        'unless' => '|',
        'aliases' => '|',
        'except' => '|',
        'thresholds' => '|',
        'who' => '|',
        'textures' => '|',
        'groups' => ';',
        'group' => ';',
        'when' => ';',
        'jobs' => ';',
        'parents' => ';',
        'in' => ';',
    ];

    /** @return list<Mutant> */
    public static function of(string $root, string $file): array
    {
        $lines = file("$root/$file", FILE_IGNORE_NEW_LINES) ?: [];
        $isTable = str_ends_with($file, '.csv');
        $columns = $isTable ? str_getcsv($lines[0], escape: '') : [];
        $values = [];
        $rows = [];
        foreach ($lines as $n => $line) {
            if ($line === '' || ($isTable && $n === 0)) {
                continue;
            }
            $rows[$n] = $isTable ? array_combine($columns, str_getcsv($line, escape: '')) : [];
            foreach ($rows[$n] as $column => $value) {
                $values[$column][$value] = true;
            }
        }
        $mutants = [];
        foreach ($rows as $n => $row) {
            $put = static function (string $kind, string $before, string $after, ?array $cells) use (&$mutants, $file, $lines, $n): void {
                $changed = $lines;
                if ($cells === null) {
                    unset($changed[$n]);
                } else {
                    $changed[$n] = self::csv($cells);
                }
                $mutants[] = new Mutant($file, $n + 1, $kind, $lines[$n], $before, $after, implode("\n", $changed)."\n");
            };
            $put('row', $lines[$n], '(gone)', null);
            foreach ($row as $column => $value) {
                if ($value === '' || in_array($column, self::PROSE, true)) {
                    continue;
                }
                foreach (self::changes($column, $value, array_keys($values[$column])) as [$kind, $after]) {
                    $put("$column $kind", $value, $after, array_replace($row, [$column => $after]));
                }
            }
        }

        return $mutants;
    }

    /**
     * @param  list<array-key>  $values  of the column
     * @return list<array{string, string}>
     */
    private static function changes(string $column, string $value, array $values): array
    {
        if (isset(self::LISTS[$column])) {
            $parts = explode(self::LISTS[$column], $value);
            $changes = [];
            foreach ($parts as $n => $_) {
                $changes[] = ['part', implode(self::LISTS[$column], array_values(array_diff_key($parts, [$n => true])))];
            }

            return $changes;
        }
        if (in_array($column, ['emergency', 'vet', 'heated', 'hard', 'terrier', 'fragile'], true)) {
            return [['flag', $value === '1' ? '0' : '1']];
        }
        if (is_numeric($value)) {
            return (float) $value === 0.0
                ? [['figure', '1']]
                : [['figure', (string) round((float) $value * 1.1, 6)], ['half', (string) round((float) $value / 2, 6)]];
        }
        // another word of the same column: one that stands near it in the alphabet, so that the choice is always the same
        $others = array_values(array_diff(array_map(strval(...), $values), [$value]));
        sort($others);

        return $others === [] ? [] : [['word', $others[crc32($value) % count($others)]]];
    }

    /** @param  array<array-key, string>  $cells */
    private static function csv(array $cells): string
    {
        return implode(
            ',',
            array_map(
                static fn (string $cell): string => preg_match('/[",\n]/', $cell) === 1 ? '"'.str_replace('"', '""', $cell).'"' : $cell,
                $cells
            )
        );
    }
}
