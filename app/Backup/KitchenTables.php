<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/**
 * Which tables hold a kitchen, asked of the database itself: a backup is made before an upgrade too, when tables are older than the code,
 * and a table that is added is in it without anybody thinking of it.
 */
final class KitchenTables
{
    public const KITCHEN = 'kitchens';

    /** Of the kitchen's own row: what belongs to this installation rather than to the kitchen. The address of a calendar is a secret. */
    private const NOT_TOLD = ['id', 'slug', 'calendar_token', 'changed', 'swept_on'];

    /** @return array<string, KeptTable> by name, each after those it refers to */
    public static function all(): array
    {
        $columns = [];
        foreach (DB::select("SELECT table_name, column_name, udt_name, is_nullable FROM information_schema.columns WHERE table_schema = 'public' ORDER BY table_name, ordinal_position") as $row) {
            $columns[$row->table_name][$row->column_name] = ['type' => $row->udt_name, 'nullable' => $row->is_nullable === 'YES'];
        }
        $keys = [];
        foreach (DB::select("SELECT c.conrelid::regclass::text AS name, a.attname AS column FROM pg_constraint c CROSS JOIN LATERAL unnest(c.conkey) WITH ORDINALITY AS k(number, place) JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = k.number WHERE c.contype = 'p' AND c.connamespace = 'public'::regnamespace ORDER BY 1, k.place") as $row) {
            $keys[$row->name][] = $row->column;
        }
        $refers = [];
        foreach (DB::select("SELECT conrelid::regclass::text AS name, confrelid::regclass::text AS other FROM pg_constraint WHERE contype = 'f' AND connamespace = 'public'::regnamespace AND conrelid <> confrelid") as $row) {
            $refers[$row->name][] = $row->other;
        }

        $tables = [self::KITCHEN => self::table(self::KITCHEN, array_diff_key($columns[self::KITCHEN], array_flip(self::NOT_TOLD)), ['name'])];
        foreach (array_keys($columns) as $name) {
            if (isset($columns[$name]['kitchen_id'])) {
                $tables += self::withWhatItRefersTo($name, $columns, $keys, $refers, $tables);
            }
        }

        return $tables;
    }

    /**
     * @param  array<string, array<string, array{type: string, nullable: bool}>>  $columns
     * @param  array<string, list<string>>  $keys
     * @param  array<string, list<string>>  $refers
     * @param  array<string, KeptTable>  $done
     * @return array<string, KeptTable>
     */
    private static function withWhatItRefersTo(string $name, array $columns, array $keys, array $refers, array $done): array
    {
        foreach ($refers[$name] ?? [] as $other) {
            if (! isset($done[$other])) {
                $done += self::withWhatItRefersTo($other, $columns, $keys, $refers, $done);
            }
        }

        return $done + [$name => self::table($name, array_diff_key($columns[$name], ['kitchen_id' => 1]), array_values(array_diff($keys[$name], ['kitchen_id'])))];
    }

    /**
     * @param  array<string, array{type: string, nullable: bool}>  $types
     * @param  list<string>  $key
     */
    private static function table(string $name, array $types, array $key): KeptTable
    {
        return new KeptTable($name, array_keys($types), $key, $types);
    }

    public static function newestMigration(): string
    {
        $newest = DB::table('migrations')->max('migration');

        return is_string($newest) ? $newest : '';
    }
}
