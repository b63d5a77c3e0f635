<?php

declare(strict_types=1);

namespace App\Exchange\Csv;

use Illuminate\Database\QueryException;
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
        $known = array_map(mb_strtolower(...), array_map(strval(...), array_keys($table->columns())));
        $head = null;
        $many = 0;
        /** @var array<string, int> $counts */
        $counts = [];
        $problems = [];
        DB::beginTransaction();
        try {
            foreach (Csv::rows($content) as [$number, $cells]) {
                $head ??= self::head($table, array_keys($cells));
                $many++;
                $refused = self::one($table, $cells, $counts);
                if ($refused !== null) {
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
        } catch (\Throwable $stopped) {
            DB::rollBack();
            throw $stopped;
        }

        return ['rows' => $many, 'new' => $counts['new'] ?? 0, 'same' => $counts['same'] ?? 0, 'changed' => $counts['changed'] ?? 0] + ['unknownColumns' => array_values(array_diff($head ?? [], $known)), 'problems' => array_slice($problems, 0, self::MOST_PROBLEMS), 'taken' => $isTaken];
    }

    /**
     * @param  array<string, string>  $cells
     * @param  array<string, int>  $counts  by what became of a row
     */
    private static function one(Table $table, array $cells, array &$counts): ?CellRefused
    {
        // a nested transaction of the framework is never released: thousands of them would lie in one another
        DB::unprepared('SAVEPOINT csv_row');
        try {
            $became = $table->take(new Row($cells));
            $counts[$became] = ($counts[$became] ?? 0) + 1;
            $refused = null;
        } catch (CellRefused $cell) {
            $refused = $cell;
        } catch (RequestRefused $request) {
            $refused = new CellRefused((string) array_key_first($cells), $request->getMessage());
        } catch (QueryException $query) {
            // another code is a rule of the database that no reader of the table knows
            $refused = $query->getCode() === '23505' ? new CellRefused((string) array_key_first($cells), 'There is one like it already.') : throw $query;
        }
        DB::unprepared($refused === null ? 'RELEASE SAVEPOINT csv_row' : 'ROLLBACK TO SAVEPOINT csv_row; RELEASE SAVEPOINT csv_row');

        return $refused;
    }

    /**
     * @param  list<string>  $head
     * @return list<string>
     *
     * @throws RequestRefused where a column is missing that has to be there
     */
    private static function head(Table $table, array $head): array
    {
        $missing = array_diff(array_keys(array_filter($table->columns())), $head);

        return $missing === [] ? $head : throw RequestRefused::outOfRange('/content', 'This table lacks the column "'.implode('", "', $missing).'". Its first row names the columns: '.implode(', ', array_keys($table->columns())).'.');
    }
}
