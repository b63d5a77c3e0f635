<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Kitchen;
use Carbon\CarbonImmutable;

/**
 * Everything a kitchen keeps as one JSON document, as schemas/kitchen-export.json tells it: the rows of a backup, pictures in base64.
 */
final class KitchenJson
{
    /** @param  \Closure(string): void  $out  is given one part after the other: it is never whole in memory */
    public static function write(Kitchen $kitchen, CarbonImmutable $now, \Closure $out): void
    {
        KitchenRows::atOneMoment(static function () use ($kitchen, $now, $out): void {
            $head = ['format' => BackupWriter::FORMAT, 'version' => BackupWriter::VERSION, 'made' => $now->utc()->format('Y-m-d\TH:i:s\Z'), 'schema' => KitchenTables::newestMigration()];
            $out(substr(json_encode($head, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), 0, -1).',"tables":{');
            $tables = 0;
            foreach (KitchenTables::all() as $table) {
                $out(($tables++ === 0 ? '' : ',')."\n\"$table->name\":[");
                $rows = 0;
                foreach (KitchenRows::of($table, $kitchen->id) as $line) {
                    $out(($rows++ === 0 ? '' : ',')."\n".self::withItsPicture($table, $kitchen, $line));
                }
                $out(']');
            }
            $out("}}\n");
        });
    }

    private static function withItsPicture(KeptTable $table, Kitchen $kitchen, string $line): string
    {
        $column = $table->fileColumn();
        if ($column === null) {
            return $line;
        }
        $row = json_decode($line, true, flags: JSON_THROW_ON_ERROR);

        return json_encode([$column => base64_encode(KitchenRows::file($table, $kitchen->id, (string) $row['id']))] + $row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
