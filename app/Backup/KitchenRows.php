<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/**
 * A kitchen's rows as lines of JSON, one a row, in an order that is always the same. PostgreSQL writes them, so every figure and moment is
 * written exactly and comes back exactly; only a handful are in memory at a time.
 */
final class KitchenRows
{
    private const AT_ONCE = 100;

    /**
     * One moment of the kitchen, whoever writes meanwhile.
     *
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    public static function atOneMoment(\Closure $do): mixed
    {
        // within a write (and a test) the kitchen is held already
        if (DB::transactionLevel() > 0) {
            return self::inUtc($do);
        }

        return DB::transaction(static function () use ($do): mixed {
            DB::statement('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');

            return self::inUtc($do);
        });
    }

    /**
     * @template T
     *
     * @param  \Closure(): T  $do
     * @return T
     */
    private static function inUtc(\Closure $do): mixed
    {
        DB::statement("SET LOCAL TIME ZONE 'UTC'");

        return $do();
    }

    /** @return \Generator<int, string> each a JSON object without a line break in it */
    public static function of(KeptTable $table, int $kitchen): \Generator
    {
        $quoted = static fn (string $name): string => '"'.$name.'"';
        $told = [];
        foreach ($table->columns as $column) {
            $told[] = $column === $table->fileColumn() ? "encode(sha256(\"$column\"), 'hex') AS \"$column\"" : $quoted($column);
        }
        $whose = $table->name === KitchenTables::KITCHEN ? 'id' : 'kitchen_id';
        $order = implode(', ', array_map($quoted, $table->key));
        DB::statement('DECLARE kept_rows NO SCROLL CURSOR FOR SELECT row_to_json(kept)::text AS line FROM (SELECT '.implode(', ', $told)." FROM \"{$table->name}\" WHERE $whose = $kitchen ORDER BY $order) AS kept");
        try {
            do {
                $rows = DB::select('FETCH '.self::AT_ONCE.' FROM kept_rows');
                foreach ($rows as $row) {
                    // a line break can stand only between the parts of kept JSON: within text it is written \n
                    yield strtr($row->line, ["\n" => ' ', "\r" => ' ']);
                }
            } while ($rows !== []);
        } finally {
            DB::statement('CLOSE kept_rows');
        }
    }

    /** The bytes of one picture. */
    public static function file(KeptTable $table, int $kitchen, string $id): string
    {
        $row = DB::selectOne("SELECT encode(\"{$table->fileColumn()}\", 'base64') AS bytes FROM \"{$table->name}\" WHERE kitchen_id = ? AND id = ?", [$kitchen, $id]);

        return (string) base64_decode($row->bytes, true);
    }
}
