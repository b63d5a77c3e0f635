<?php

declare(strict_types=1);

namespace App\Backup;

use App\Http\Requests\PhotoRequest;
use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use App\Support\Kinds;
use App\Support\Picture;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Puts a checked backup in the place of what a kitchen holds: all of it, or nothing is changed. */
final readonly class Restoring
{
    private const BYTES_AT_ONCE = 2_000_000;

    private const ROWS_AT_ONCE = 500;

    private const TOLD_AT_ONCE = 200;

    public function __construct(private CurrentKitchen $current) {}

    public static function isEmpty(Kitchen $kitchen): bool
    {
        foreach (KitchenTables::all() as $table) {
            if (! in_array($table->name, [KitchenTables::KITCHEN, 'changes', 'deliveries'], true) && DB::table($table->name)->where('kitchen_id', $kitchen->id)->exists()) {
                return false;
            }
        }

        return true;
    }

    /** @throws BackupRefused */
    public function restore(Kitchen $kitchen, BackupFile $file): void
    {
        $tables = array_intersect_key(KitchenTables::all(), $file->manifest['tables']);
        DB::transaction(function () use ($kitchen, $file, $tables): void {
            DB::selectOne('SELECT changed FROM kitchens WHERE id = ? FOR UPDATE', [$kitchen->id]);
            DB::statement("SET LOCAL TIME ZONE 'UTC'");
            DB::statement('CREATE TEMPORARY TABLE incoming_rows (number integer PRIMARY KEY, line json) ON COMMIT DROP');
            foreach (array_reverse(KitchenTables::all()) as $table) {
                if ($table->name !== KitchenTables::KITCHEN) {
                    DB::delete("DELETE FROM \"$table->name\" WHERE kitchen_id = ?", [$kitchen->id]);
                }
            }
            foreach ($tables as $table) {
                $this->table($kitchen, $file, $table);
            }
            DB::statement('DROP TABLE incoming_rows');
            $this->everyPageReadsAnew($kitchen);
            $this->everythingCanBeTold($kitchen);
        });
    }

    private function table(Kitchen $kitchen, BackupFile $file, KeptTable $table): void
    {
        DB::delete('DELETE FROM incoming_rows');
        $this->take($file, $table);
        $columns = $file->manifest['tables'][$table->name]['columns'];
        $plain = array_values(array_diff($columns, [$table->fileColumn()]));
        $into = implode(', ', array_map(static fn (string $name): string => "\"$name\"", $plain));
        $from = implode(', ', array_map(static fn (string $name): string => "kept.\"$name\"", $plain));
        $rows = "FROM incoming_rows CROSS JOIN LATERAL json_populate_record(NULL::\"$table->name\", line) AS kept";
        try {
            if ($table->name === KitchenTables::KITCHEN) {
                DB::update("UPDATE kitchens SET ($into) = (SELECT $from $rows) WHERE id = ?", [$kitchen->id]);
            } elseif ($table->fileColumn() !== null) {
                $this->pictures($kitchen, $file, $table, $into, $from, $rows);
            } else {
                // in one statement: a row may refer to a later one of the same table
                DB::insert("INSERT INTO \"$table->name\" (kitchen_id, $into) SELECT ?, $from $rows ORDER BY number", [$kitchen->id]);
            }
        } catch (QueryException $refused) {
            throw BackupRefused::damaged("tables/$table->name.jsonl", self::inWords($refused));
        }
        if (in_array('seq', $columns, true)) {
            DB::statement("SELECT setval(pg_get_serial_sequence('$table->name', 'seq'), greatest((SELECT max(seq) FROM \"$table->name\"), 1))");
        }
    }

    private function take(BackupFile $file, KeptTable $table): void
    {
        $rows = [];
        $bytes = 0;
        foreach ($file->lines($table->name) as $number => $line) {
            array_push($rows, $number, $line);
            $bytes += strlen($line);
            if ($bytes > self::BYTES_AT_ONCE || count($rows) >= 2 * self::ROWS_AT_ONCE) {
                self::put($rows);
                [$rows, $bytes] = [[], 0];
            }
        }
        self::put($rows);
    }

    /** @param  list<int|string>  $rows number and line of each */
    private static function put(array $rows): void
    {
        if ($rows !== []) {
            DB::insert('INSERT INTO incoming_rows VALUES '.implode(', ', array_fill(0, intdiv(count($rows), 2), '(?, ?)')), $rows);
        }
    }

    private function pictures(Kitchen $kitchen, BackupFile $file, KeptTable $table, string $into, string $from, string $rows): void
    {
        foreach (DB::select("SELECT number, line->>'id' AS id FROM incoming_rows ORDER BY number") as $one) {
            $bytes = $file->file($table->name, (string) $one->id);
            $wrong = Picture::problemOf($bytes, PhotoRequest::MOST);
            if ($wrong !== null) {
                throw BackupRefused::damaged("$table->name/$one->id", $wrong);
            }
            DB::insert("INSERT INTO \"$table->name\" (kitchen_id, $into, \"{$table->fileColumn()}\") SELECT ?, $from, decode(?, 'base64') $rows WHERE number = ?", [$kitchen->id, base64_encode($bytes), $one->number]);
        }
    }

    /** The database's reason, without its own prose around it. */
    private static function inWords(QueryException $refused): string
    {
        preg_match('/(?:ERROR|FEHLER):\s*(.+?)(?:\n(?:DETAIL:\s*)?\s*(.+?))?(?:\n|$| \(Connection)/', (string) ($refused->errorInfo[2] ?? ''), $said);

        return trim(($said[1] ?? 'its rows do not fit').(isset($said[2]) ? ' ('.$said[2].')' : ''));
    }

    /** What stands on open pages is of before, whatever their count says. */
    private function everyPageReadsAnew(Kitchen $kitchen): void
    {
        DB::update('UPDATE kitchens SET changed = 1 + greatest(changed, (SELECT coalesce(max(number), 0) FROM changes WHERE kitchen_id = kitchens.id)) WHERE id = ?', [$kitchen->id]);
    }

    /** What fits the tables and still says nothing that the kitchen can tell is noticed now, not by whoever opens it. */
    private function everythingCanBeTold(Kitchen $kitchen): void
    {
        $this->current->open($kitchen->refresh());
        foreach (Kinds::ROWS as $kind => $model) {
            $model::query()->select('id')->orderBy('id')->chunk(self::TOLD_AT_ONCE, static function ($rows) use ($kind): void {
                try {
                    /** @var list<string> $ids */
                    $ids = array_values($rows->pluck('id')->all());
                    json_encode(Kinds::told($kind, $ids), JSON_THROW_ON_ERROR);
                } catch (\Throwable $cannot) {
                    throw BackupRefused::damaged("tables/$kind.jsonl", 'a row of it says what no kitchen can tell: '.mb_substr($cannot->getMessage(), 0, 200));
                }
            });
        }
    }
}
