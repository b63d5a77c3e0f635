<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Kitchen;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\File;

/**
 * Writes a whole kitchen into one zip file: mildbowl.json (what it is and what is in it, each with its sum), tables/NAME.jsonl (a row a
 * line), photos/ID. The same kitchen at the same moment gives the same bytes.
 */
final class BackupWriter
{
    /** The version of the file's layout. A later one is refused by this program. */
    public const VERSION = 1;

    public const FORMAT = 'mildbowl-kitchen';

    /**
     * @param  string  $path  where the file is to be; it stands there whole or not at all
     *
     * @throws BackupRefused
     */
    public static function write(Kitchen $kitchen, string $path, CarbonImmutable $now, Reason $reason): void
    {
        $folder = dirname($path).'/.'.basename($path).'.'.bin2hex(random_bytes(4));
        try {
            File::ensureDirectoryExists($folder, 0700);
            KitchenRows::atOneMoment(static fn () => self::archive($kitchen, $folder, $now, $reason));
            if (! @chmod("$folder/whole.zip", 0600) || ! @rename("$folder/whole.zip", $path)) {
                throw BackupRefused::noRoom('it could not be put in its place');
            }
        } finally {
            File::deleteDirectory($folder);
        }
    }

    private static function archive(Kitchen $kitchen, string $folder, CarbonImmutable $now, Reason $reason): void
    {
        $zip = new \ZipArchive();
        if ($zip->open("$folder/whole.zip", \ZipArchive::CREATE | \ZipArchive::EXCL) !== true) {
            throw BackupRefused::noRoom('the file could not be begun');
        }
        $said = [];
        $files = [];
        foreach (KitchenTables::all() as $table) {
            $said[$table->name] = self::rows($table, $kitchen->id, "$folder/$table->name.jsonl");
            $files["tables/$table->name.jsonl"] = "$folder/$table->name.jsonl";
            if ($table->fileColumn() !== null) {
                foreach (self::pictures($table, $kitchen->id, "$folder/$table->name.jsonl", $folder) as $name => $file) {
                    $files[$name] = $file;
                }
            }
        }
        $manifest = ['format' => self::FORMAT, 'version' => self::VERSION, 'made' => $now->utc()->format('Y-m-d\TH:i:s\Z'), 'reason' => $reason->value, 'kitchen' => $kitchen->name, 'schema' => KitchenTables::newestMigration(), 'tables' => $said];
        self::put("$folder/mildbowl.json", json_encode($manifest, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
        foreach (['mildbowl.json' => "$folder/mildbowl.json"] + $files as $name => $file) {
            $zip->addFile($file, $name);
            // pictures are pressed already
            $zip->setCompressionName($name, str_starts_with($name, 'photos/') ? \ZipArchive::CM_STORE : \ZipArchive::CM_DEFLATE);
            $zip->setMtimeName($name, $now->getTimestamp());
        }
        if (! @$zip->close()) {
            throw BackupRefused::noRoom($zip->getStatusString());
        }
    }

    /** @return array{columns: list<string>, rows: int, sha256: string} */
    private static function rows(KeptTable $table, int $kitchen, string $path): array
    {
        $file = @fopen($path, 'wb') ?: throw BackupRefused::noRoom('its rows could not be written');
        $sum = hash_init('sha256');
        $rows = 0;
        foreach (KitchenRows::of($table, $kitchen) as $line) {
            hash_update($sum, "$line\n");
            if (@fwrite($file, "$line\n") !== strlen($line) + 1) {
                throw BackupRefused::noRoom('its rows could not be written');
            }
            $rows++;
        }
        if (! fclose($file)) {
            throw BackupRefused::noRoom('its rows could not be written');
        }

        return ['columns' => $table->columns, 'rows' => $rows, 'sha256' => hash_final($sum)];
    }

    /** @return \Generator<string, string> the name of each in the archive, and where it lies */
    private static function pictures(KeptTable $table, int $kitchen, string $rows, string $folder): \Generator
    {
        $lines = fopen($rows, 'rb') ?: throw BackupRefused::noRoom('its rows could not be read again');
        while (($line = fgets($lines)) !== false) {
            $id = (string) json_decode($line, true, flags: JSON_THROW_ON_ERROR)['id'];
            self::put("$folder/$id", KitchenRows::file($table, $kitchen, $id));
            yield "$table->name/$id" => "$folder/$id";
        }
        fclose($lines);
    }

    private static function put(string $path, string $bytes): void
    {
        if (@file_put_contents($path, $bytes) !== strlen($bytes)) {
            throw BackupRefused::noRoom('a part of it could not be written');
        }
    }
}
