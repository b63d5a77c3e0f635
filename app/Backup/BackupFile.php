<?php

declare(strict_types=1);

namespace App\Backup;

/**
 * A file that says it is a backup. Everything it says of itself is checked before anything of it is used: what it is, how large, that each
 * part is there and as its sum says, that each row has the columns it should.
 *
 * @phpstan-type Manifest array{format: string, version: int, made: string, reason: string, kitchen: string, schema: string, tables: array<string, array{columns: list<string>, rows: int, sha256: string}>}
 */
final class BackupFile
{
    public const MANIFEST = 'mildbowl.json';

    /** More than years of a large kitchen come to. */
    private const MOST_BYTES = 2_000_000_000;

    private const MOST_PARTS = 100_000;

    private const LONGEST_ROW = 16_000_000;

    private const LONGEST_MANIFEST = 1_000_000;

    /** @param  Manifest  $manifest */
    private function __construct(public readonly string $path, public readonly array $manifest, private readonly \ZipArchive $zip) {}

    /** @throws BackupRefused where it is none, is damaged or was made by a later version */
    public static function open(string $path): self
    {
        $zip = new \ZipArchive();
        if (! is_file($path) || $zip->open($path, \ZipArchive::RDONLY | \ZipArchive::CHECKCONS) !== true) {
            throw BackupRefused::isNoZip();
        }
        self::isNoBomb($zip);
        $file = new self($path, self::manifest($zip), $zip);
        $file->holdsWhatItSays();

        return $file;
    }

    /**
     * What a file says of itself, unchecked: for a list of many.
     *
     * @return ?Manifest
     */
    public static function saidOf(string $path): ?array
    {
        $zip = new \ZipArchive();
        if ($zip->open($path, \ZipArchive::RDONLY) !== true) {
            return null;
        }
        try {
            return self::manifest($zip);
        } catch (BackupRefused) {
            return null;
        }
    }

    private static function isNoBomb(\ZipArchive $zip): void
    {
        if ($zip->numFiles > self::MOST_PARTS) {
            throw BackupRefused::tooLarge("it has $zip->numFiles parts");
        }
        $bytes = 0;
        for ($n = 0; $n < $zip->numFiles; $n++) {
            $stat = $zip->statIndex($n);
            $bytes += is_array($stat) ? $stat['size'] : 0;
            if ($bytes > self::MOST_BYTES) {
                throw BackupRefused::tooLarge('it would come to more than '.intdiv(self::MOST_BYTES, 1_000_000_000).' GB');
            }
        }
    }

    /** @return Manifest */
    private static function manifest(\ZipArchive $zip): array
    {
        $stat = $zip->statName(self::MANIFEST);
        if (! is_array($stat)) {
            throw BackupRefused::foreign('it is a zip archive without mildbowl.json in it.');
        }
        if ($stat['size'] > self::LONGEST_MANIFEST) {
            throw BackupRefused::tooLarge('its mildbowl.json is far too long');
        }
        $said = json_decode((string) $zip->getFromName(self::MANIFEST, self::LONGEST_MANIFEST), true);
        if (! is_array($said) || ($said['format'] ?? null) !== BackupWriter::FORMAT || ! is_int($said['version'] ?? null)) {
            throw BackupRefused::foreign('its mildbowl.json does not say that it is one.');
        }
        $text = static fn (string $key): string => is_string($said[$key] ?? null) ? $said[$key] : throw BackupRefused::damaged(self::MANIFEST, "\"$key\" is missing or no text");
        $made = $text('made');
        if (preg_match('/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/', $made) !== 1) {
            throw BackupRefused::damaged(self::MANIFEST, '"made" is no moment');
        }
        if ($said['version'] > BackupWriter::VERSION || $text('schema') > KitchenTables::newestMigration()) {
            throw BackupRefused::later(substr($made, 0, 10));
        }
        $tables = [];
        foreach (is_array($said['tables'] ?? null) ? $said['tables'] : [] as $name => $one) {
            $columns = is_array($one) && is_array($one['columns'] ?? null) ? array_values(array_filter($one['columns'], is_string(...))) : [];
            if (! is_array($one) || $columns === [] || ! is_int($one['rows'] ?? null) || ! is_string($one['sha256'] ?? null)) {
                throw BackupRefused::damaged(self::MANIFEST, "what it says of \"$name\" is not whole");
            }
            $tables[(string) $name] = ['columns' => $columns, 'rows' => $one['rows'], 'sha256' => $one['sha256']];
        }

        return ['format' => BackupWriter::FORMAT, 'version' => $said['version'], 'made' => $made, 'reason' => $text('reason'), 'kitchen' => $text('kitchen'), 'schema' => $text('schema'), 'tables' => $tables];
    }

    /** @throws BackupRefused */
    private function holdsWhatItSays(): void
    {
        $known = KitchenTables::all();
        $parts = [self::MANIFEST => true];
        if (($this->manifest['tables'][KitchenTables::KITCHEN]['rows'] ?? 0) !== 1) {
            throw BackupRefused::damaged(self::MANIFEST, 'it holds no kitchen, or more than one');
        }
        foreach ($this->manifest['tables'] as $name => $said) {
            $table = $known[$name] ?? throw BackupRefused::damaged(self::MANIFEST, "it names \"$name\", which no kitchen keeps");
            $strange = array_diff($said['columns'], $table->columns);
            if ($strange !== []) {
                throw BackupRefused::damaged("tables/$name.jsonl", 'it has "'.implode('", "', $strange).'", which no kitchen keeps');
            }
            $parts["tables/$name.jsonl"] = true;
            $sum = hash_init('sha256');
            $rows = 0;
            foreach ($this->lines($name) as $number => $line) {
                hash_update($sum, $line);
                $row = json_decode($line, true, 128);
                if (! is_array($row) || array_keys($row) !== $said['columns']) {
                    throw BackupRefused::damaged("tables/$name.jsonl, row $number", is_array($row) ? 'its columns are not those that mildbowl.json names' : 'it is no JSON');
                }
                $rows++;
                $file = $table->fileColumn();
                if ($file !== null) {
                    $id = is_string($row['id'] ?? null) ? $row['id'] : throw BackupRefused::damaged("tables/$name.jsonl, row $number", 'it names no picture');
                    $parts["$name/$id"] = true;
                    if (hash('sha256', $this->file($name, $id)) !== $row[$file]) {
                        throw BackupRefused::damaged("$name/$id", 'the picture is not the one that was put in');
                    }
                }
            }
            if ($rows !== $said['rows'] || ! hash_equals($said['sha256'], hash_final($sum))) {
                throw BackupRefused::damaged("tables/$name.jsonl", "it is not as it was written ($rows rows, {$said['rows']} were)");
            }
        }
        for ($n = 0; $n < $this->zip->numFiles; $n++) {
            $name = (string) $this->zip->getNameIndex($n);
            if (! isset($parts[$name])) {
                throw BackupRefused::damaged($name, 'this does not belong into a backup');
            }
        }
    }

    /**
     * @return \Generator<int, string> each row as it stands, with its line break, by its number from 1
     *
     * @throws BackupRefused
     */
    public function lines(string $table): \Generator
    {
        $name = "tables/$table.jsonl";
        $stream = @$this->zip->getStream($name) ?: throw BackupRefused::damaged($name, 'it is missing');
        $left = (int) ($this->zip->statName($name)['size'] ?? 0);
        $number = 0;
        while (($line = @stream_get_line($stream, self::LONGEST_ROW, "\n")) !== false) {
            $left -= strlen($line) + 1;
            if ($left < 0 || strlen($line) >= self::LONGEST_ROW) {
                throw BackupRefused::damaged("$name, row ".($number + 1), 'it is longer than it says');
            }
            yield ++$number => "$line\n";
        }
        fclose($stream);
        if ($left !== 0) {
            throw BackupRefused::damaged($name, 'it cannot be read to its end');
        }
    }

    /** @throws BackupRefused */
    public function file(string $table, string $id): string
    {
        $bytes = @$this->zip->getFromName("$table/$id", self::LONGEST_ROW);

        return $bytes === false ? throw BackupRefused::damaged("$table/$id", 'the picture is missing or cannot be read') : $bytes;
    }
}
