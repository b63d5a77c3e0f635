<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use Illuminate\Support\Facades\DB;
use MildBowl\Core\Questions\RequestRefused;

/** The tables that a kitchen tells and takes as CSV, by their names. */
final class Tables
{
    private const ALL = ['foods' => Foods::class, 'batches' => BatchTable::class, 'ledger' => Ledger::class, 'diary' => Diary::class, 'weights' => Weights::class];

    private const MOST_PROBLEMS = 200;

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::ALL);
    }

    public static function named(string $name): Table
    {
        return app(self::ALL[$name]);
    }

    /** @return \Generator<int, string> */
    public static function text(Table $table): \Generator
    {
        $rows = (static function () use ($table): \Generator {
            yield array_map(strval(...), array_keys($table->columns()));
            yield from $table->rows();
        })();

        return Csv::write($rows);
    }

    /**
     * Takes a file in, row by row: all of it, or nothing where a row cannot be.
     *
     * @param  bool  $isOnlyLooked  nothing is kept: what would become of each row is told
     * @return array{rows: int, new: int, same: int, changed: int, unknownColumns: list<string>, problems: list<array{row: int, column: string, said: string, message: string}>, taken: bool}
     *
     * @throws RequestRefused where it is no such table
     */
    public static function take(Table $table, string $content, bool $isOnlyLooked): array
    {
        $rows = Csv::read($content);
        $head = $rows === [] ? [] : array_keys($rows[0][1]);
        $known = array_map(mb_strtolower(...), array_map(strval(...), array_keys($table->columns())));
        $missing = array_diff(array_keys(array_filter($table->columns())), $head);
        if ($rows !== [] && $missing !== []) {
            throw RequestRefused::outOfRange('/content', 'This table lacks the column "'.implode('", "', $missing).'". Its first row names the columns: '.implode(', ', array_keys($table->columns())).'.');
        }
        $counts = ['new' => 0, 'same' => 0, 'changed' => 0];
        $problems = [];
        DB::beginTransaction();
        foreach ($rows as [$number, $cells]) {
            try {
                DB::transaction(static function () use ($table, $cells, &$counts): void {
                    $counts[$table->take(new Row($cells))]++;
                });
            } catch (CellRefused $refused) {
                $problems[] = ['row' => $number, 'column' => $refused->column, 'said' => mb_substr($cells[mb_strtolower($refused->column)] ?? '', 0, 80), 'message' => $refused->getMessage()];
            }
        }
        $isTaken = ! $isOnlyLooked && $problems === [];
        if ($isTaken) {
            $table->finish();
            DB::commit();
        } else {
            DB::rollBack();
        }

        return ['rows' => count($rows)] + $counts + ['unknownColumns' => array_values(array_diff($head, $known)), 'problems' => array_slice($problems, 0, self::MOST_PROBLEMS), 'taken' => $isTaken];
    }
}
