<?php

declare(strict_types=1);

use App\Backup\BackupFile;
use App\Backup\BackupRefused;
use App\Backup\BackupShelf;
use App\Backup\BackupWriter;
use App\Backup\ExportSchema;
use App\Backup\KitchenTables;
use App\Backup\Reason;
use App\Backup\Restoring;
use App\Models\Dog;
use App\Models\Kitchen;
use App\Models\OwnFood;
use App\Models\Photo;
use App\Models\Recipe;
use App\Support\CurrentKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

beforeEach(function (): void {
    $this->folder = (string) config('mildbowl.backups');
    File::ensureDirectoryExists($this->folder);
    $this->kitchen = $this->open('lock-cottage');
    $this->shelf = app(BackupShelf::class);
});

/** @return array<string, string> what lies in a backup, by its name there */
function partsOf(string $path): array
{
    $zip = new ZipArchive();
    expect($zip->open($path))->toBeTrue();
    $parts = [];
    for ($n = 0; $n < $zip->numFiles; $n++) {
        $parts[(string) $zip->getNameIndex($n)] = (string) $zip->getFromIndex($n);
    }
    unset($parts[BackupFile::MANIFEST]);

    return $parts;
}

/** A copy of a backup with something about it changed. */
function tampered(string $path, Closure $change, ?Closure $manifest = null): string
{
    $copy = $path.'.'.bin2hex(random_bytes(3));
    copy($path, $copy);
    $zip = new ZipArchive();
    $zip->open($copy);
    $change($zip);
    if ($manifest !== null) {
        $said = json_decode((string) $zip->getFromName(BackupFile::MANIFEST), true);
        $zip->addFromString(BackupFile::MANIFEST, json_encode($manifest($said), JSON_THROW_ON_ERROR));
    }
    $zip->close();

    return $copy;
}

/** Rows of a table put into a copy, with a sum that is right: only what they say is wrong. */
function withRows(string $path, string $table, Closure $change): string
{
    $zip = new ZipArchive();
    $zip->open($path);
    $rows = array_map(static fn (string $line): array => json_decode($line, true), array_filter(explode("\n", (string) $zip->getFromName("tables/$table.jsonl"))));
    $zip->close();
    $rows = $change($rows);
    $text = implode('', array_map(static fn (array $row): string => json_encode($row, JSON_THROW_ON_ERROR)."\n", $rows));

    return tampered($path, static fn (ZipArchive $zip) => $zip->addFromString("tables/$table.jsonl", $text), static function (array $said) use ($table, $text, $rows): array {
        $said['tables'][$table]['sha256'] = hash('sha256', $text);
        $said['tables'][$table]['rows'] = count($rows);

        return $said;
    });
}

function pictureOf(int $grey): string
{
    // the smallest grey PNG, another for another number
    $chunk = static fn (string $type, string $data): string => pack('N', strlen($data)).$type.$data.pack('N', crc32($type.$data));

    return "\x89PNG\r\n\x1A\n".$chunk('IHDR', pack('NNC5', 1, 1, 8, 0, 0, 0, 0)).$chunk('IDAT', (string) gzcompress("\0".chr($grey))).$chunk('IEND', '');
}

it('restores a whole kitchen into an empty one, and what is backed up then is the same bit for bit', function (): void {
    $photo = $this->postJson('/api/photos', ['image' => base64_encode(pictureOf(7))])->assertCreated()->json('id');
    $dog = Dog::query()->firstOrFail();
    $recipes = Recipe::query()->orderBy('id')->get();
    // a later one that an earlier one came from; signs of every kind; something in the trash
    $recipes[0]->update(['parent_id' => $recipes[3]->id, 'photo_id' => $photo, 'notes' => "first\nsecond \"third\" \\ ½ 🐕"]);
    $this->postJson('/api/names', ['words' => 'grandma flour', 'ingredient' => 'oat-flour'])->assertCreated();
    $this->deleteJson("/api/recipes/{$recipes[5]->id}")->assertNoContent();
    $this->postJson('/api/given', ['id' => fake()->uuid(), 'at' => '2026-06-20T12:00:00Z', 'by' => 'Ines Marlow', 'gives' => [['dogId' => $dog->id, 'text' => '3.1 g cooked chicken']]]);
    $first = $this->shelf->make($this->kitchen, Reason::ByHand);
    $path = $this->shelf->path($this->kitchen, $first);
    $export = $this->get('/api/export')->assertOk()->streamedContent();

    $other = Kitchen::factory()->create(['slug' => 'elsewhere', 'calendar_token' => 'secret-of-elsewhere']);
    app(CurrentKitchen::class)->open($other);
    expect(Restoring::isEmpty($other))->toBeTrue()
        ->and($this->shelf->restore($other, $path))->toBeNull();
    $second = $this->shelf->make($other, Reason::ByHand);
    $one = partsOf($path);
    $two = partsOf($this->shelf->path($other, $second));
    expect(array_keys($two))->toBe(array_keys($one))->and($one)->toHaveKey("photos/$photo");
    foreach ($one as $name => $bytes) {
        expect($two[$name] === $bytes)->toBeTrue($name);
    }
    config(['mildbowl.kitchen' => 'elsewhere']);
    expect($this->get('/api/export')->assertOk()->streamedContent())->toBe($export)
        ->and($other->refresh()->calendar_token)->toBe('secret-of-elsewhere')
        ->and($export)->not->toContain('calendar_token');
    // and the one it came from is as it was
    config(['mildbowl.kitchen' => 'lock-cottage']);
    expect($this->get('/api/export')->streamedContent())->toBe($export);
});

it('is the same file for the same kitchen at the same moment', function (): void {
    $now = CarbonImmutable::parse('2026-06-20T12:00:00Z');
    foreach (['a', 'b'] as $name) {
        BackupWriter::write($this->kitchen, "$this->folder/$name.zip", $now, Reason::ByHand);
    }
    expect(hash_file('sha256', "$this->folder/a.zip"))->toBe(hash_file('sha256', "$this->folder/b.zip"));
    BackupFile::open("$this->folder/a.zip");
});

it('holds every table that a kitchen has rows in', function (): void {
    $tables = DB::select("SELECT DISTINCT table_name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'kitchen_id'");
    expect(array_diff(array_column($tables, 'table_name'), array_keys(KitchenTables::all())))->toBe([]);
});

it('publishes the schema of its export as the tables stand, and keeps to it', function (): void {
    expect(json_decode((string) file_get_contents(base_path('schemas/kitchen-export.json')), true))->toBe(json_decode(ExportSchema::text(), true));
    $this->postJson('/api/photos', ['image' => base64_encode(pictureOf(7))])->assertCreated();
    expect(schemaErrors(json_decode($this->get('/api/export')->streamedContent()), 'kitchen-export.json'))->toBe('');
});

it('replaces what is in a kitchen, which is backed up first, and every open page reads anew', function (): void {
    $before = $this->postJson('/api/backups', [])->assertCreated()->json('id');
    $number = $this->getJson('/api/kitchen')->json('number');
    $this->postJson('/api/dogs', ['name' => 'Newcomer', 'weight' => '9 kg'])->assertCreated();
    $with = $this->getJson('/api/kitchen')->json('number');
    $lost = $this->postJson("/api/backups/$before/restore", [])->assertOk()->json('before');
    expect($this->getJson('/api/dogs')->content())->not->toContain('Newcomer')
        ->and($this->getJson("/api/changes?after=$with")->json('anew'))->toBeTrue()
        ->and($this->getJson("/api/changes?after=$number")->json('anew'))->toBeTrue();
    $this->postJson("/api/backups/$lost/restore", [])->assertOk();
    expect($this->getJson('/api/dogs')->content())->toContain('Newcomer');
    // and work goes on: numbers go on where they were
    $this->postJson('/api/dogs', ['name' => 'Another', 'weight' => '9 kg'])->assertCreated();
    expect(array_column($this->getJson('/api/backups')->json('backups'), 'reason'))->toContain('before-restore');
});

it('restores what was backed up before a column was added, and takes its usual for it', function (): void {
    $path = $this->shelf->path($this->kitchen, $this->shelf->make($this->kitchen, Reason::ByHand));
    $older = withRows($path, 'kitchens', static fn (array $rows): array => [array_diff_key($rows[0], ['backups_kept' => 1])]);
    $older = tampered($older, static fn () => null, static function (array $said): array {
        $said['tables']['kitchens']['columns'] = array_values(array_diff($said['tables']['kitchens']['columns'], ['backups_kept']));

        return $said;
    });
    $this->shelf->restore($this->kitchen, $older);
    expect($this->kitchen->refresh()->backups_kept)->toBe(14);
});

it('refuses a backup that is damaged, foreign or of a later version whole, with the place', function (Closure $make, string $says): void {
    $this->postJson('/api/photos', ['image' => base64_encode(pictureOf(7))])->assertCreated();
    $path = $this->shelf->path($this->kitchen, $this->shelf->make($this->kitchen, Reason::ByHand));
    $export = $this->get('/api/export')->streamedContent();
    expect(fn () => $this->shelf->restore($this->kitchen, $make($path)))->toThrow(BackupRefused::class, $says)
        ->and($this->get('/api/export')->streamedContent())->toBe($export);
})->with([
    'no zip' => [static function (string $path): string {
        file_put_contents($path, 'a letter to the harbour master');

        return $path;
    }, 'no backup of a kitchen'],
    'cut off' => [static function (string $path): string {
        file_put_contents($path, substr((string) file_get_contents($path), 0, -200));

        return $path;
    }, 'cut off'],
    'another zip' => [static fn (string $path): string => tampered($path, static fn (ZipArchive $zip) => $zip->deleteName(BackupFile::MANIFEST)), 'without mildbowl.json'],
    'a later version' => [static fn (string $path): string => tampered($path, static fn () => null, static fn (array $said): array => ['version' => 2] + $said), 'later version'],
    'later tables' => [static fn (string $path): string => tampered($path, static fn () => null, static fn (array $said): array => ['schema' => '2999_01_01_000001_flying'] + $said), 'later version'],
    'a changed row' => [static fn (string $path): string => tampered($path, static fn (ZipArchive $zip) => $zip->addFromString('tables/dogs.jsonl', str_replace('Quill', 'Quell', (string) $zip->getFromName('tables/dogs.jsonl')))), 'tables/dogs.jsonl'],
    'a missing table' => [static fn (string $path): string => tampered($path, static fn (ZipArchive $zip) => $zip->deleteName('tables/dogs.jsonl')), 'tables/dogs.jsonl'],
    'another picture' => [static fn (string $path): string => tampered($path, static function (ZipArchive $zip): void {
        for ($n = 0; $n < $zip->numFiles; $n++) {
            if (str_starts_with((string) $zip->getNameIndex($n), 'photos/')) {
                $zip->addFromString((string) $zip->getNameIndex($n), pictureOf(8));
            }
        }
    }), 'photos/'],
    'something that does not belong' => [static fn (string $path): string => tampered($path, static fn (ZipArchive $zip) => $zip->addFromString('../../evil.php', '<?php')), 'evil.php'],
    'a table nobody keeps' => [static fn (string $path): string => tampered($path, static fn () => null, static function (array $said): array {
        $said['tables']['migrations'] = $said['tables']['dogs'];

        return $said;
    }), 'migrations'],
    'a column nobody keeps' => [static fn (string $path): string => tampered(withRows($path, 'dogs', static fn (array $rows): array => array_map(static fn (array $row): array => $row + ['kitchen_id' => 1], $rows)), static fn () => null, static function (array $said): array {
        $said['tables']['dogs']['columns'][] = 'kitchen_id';

        return $said;
    }), 'kitchen_id'],
    'a dog of no weight' => [static fn (string $path): string => withRows($path, 'dogs', static fn (array $rows): array => [['weight_kg' => -4] + $rows[0], ...array_slice($rows, 1)]), 'tables/dogs.jsonl'],
    'one dog twice' => [static fn (string $path): string => withRows($path, 'dogs', static fn (array $rows): array => [...$rows, ['id' => fake()->uuid()] + $rows[0]]), 'tables/dogs.jsonl'],
    'days of a dog that is not there' => [static fn (string $path): string => withRows($path, 'dogs', static fn (array $rows): array => array_slice($rows, 1)), 'tables/'],
    'no kitchen' => [static fn (string $path): string => withRows($path, 'kitchens', static fn (): array => []), 'no kitchen'],
]);

it('does not unpack what would fill the disk', function (): void {
    $path = "$this->folder/moon.zip";
    file_put_contents("$this->folder/zeros", '');
    $file = fopen("$this->folder/zeros", 'r+');
    ftruncate($file, 150_000_000);
    fclose($file);
    $zip = new ZipArchive();
    $zip->open($path, ZipArchive::CREATE);
    for ($n = 0; $n < 14; $n++) {
        $zip->addFile("$this->folder/zeros", "tables/$n.jsonl");
    }
    $zip->close();
    expect(filesize($path))->toBeLessThan(5_000_000)
        ->and(fn () => BackupFile::open($path))->toThrow(BackupRefused::class, 'more than 2 GB');
});

it('is brought in as a file, checked and laid to the others; nothing is restored yet', function (): void {
    $path = $this->shelf->path($this->kitchen, $this->shelf->make($this->kitchen, Reason::ByHand));
    $send = fn (string $bytes, string $type = 'application/zip') => $this->call('POST', '/api/backups/file', server: ['CONTENT_TYPE' => $type], content: $bytes);
    $send('no backup')->assertStatus(422)->assertJsonPath('code', 'refused');
    $send((string) file_get_contents($path), 'text/plain')->assertStatus(415);
    $brought = $send((string) file_get_contents($path))->assertCreated()->json();
    expect($brought['reason'])->toBe('brought-in')->and($brought['rows']['dogs'])->toBe(6)
        ->and(schemaErrors($brought, 'kitchen.json#/$defs/backup'))->toBe('');
    $this->get("/api/backups/{$brought['id']}")->assertOk()->assertHeader('Content-Type', 'application/zip');
    $this->deleteJson("/api/backups/{$brought['id']}")->assertNoContent();
    $this->getJson("/api/backups/{$brought['id']}")->assertStatus(404);
    $this->getJson('/api/backups/'.rawurlencode('../../../.env'))->assertStatus(404);
});

it('makes one a night, also where the night was slept through, and keeps as many as were chosen', function (): void {
    $this->patchJson('/api/kitchen', ['backupsKept' => 3])->assertOk();
    $this->kitchen->refresh();
    $mine = fn (): array => array_values(array_filter($this->shelf->all($this->kitchen), static fn (array $one): bool => $one['reason'] === 'nightly'));
    $this->shelf->make($this->kitchen, Reason::ByHand);
    foreach (['2026-06-21 02:59', '2026-06-21 03:00', '2026-06-21 12:00', '2026-06-22 09:00', '2026-06-23 03:10', '2026-06-23 23:00', '2026-06-25 18:00'] as $moment) {
        $this->travelTo($moment);
        $this->artisan('kitchen:backup', ['--due' => true, '--reason' => 'nightly'])->assertSuccessful();
    }
    expect(array_map(static fn (array $one): string => substr($one['made'], 0, 16), $mine()))->toBe(['2026-06-25T18:00', '2026-06-23T03:10', '2026-06-22T09:00'])
        // what somebody made by hand stays
        ->and(count($this->shelf->all($this->kitchen)))->toBe(4);
});

it('restores by hand only into an empty kitchen, or where it is said that it may be replaced', function (): void {
    $path = $this->shelf->path($this->kitchen, $this->shelf->make($this->kitchen, Reason::ByHand));
    $this->artisan('kitchen:restore', ['file' => $path])->expectsOutputToContain('not empty')->assertFailed();
    OwnFood::query()->create(['name' => 'Later food', 'fields' => []]);
    Photo::query()->create(['media_type' => 'image/png', 'bytes' => DB::raw("decode('aa', 'hex')")]);
    $this->artisan('kitchen:restore', ['file' => $path, '--replace' => true])->assertSuccessful();
    expect(OwnFood::query()->count())->toBe(0)->and(Photo::query()->count())->toBe(0);
    $this->artisan('kitchen:restore', ['file' => "$this->folder/nowhere.zip", '--replace' => true])->expectsOutputToContain('no backup')->assertFailed();
});
