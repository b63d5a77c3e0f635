<?php

declare(strict_types=1);

namespace App\Backup;

use App\Models\Kitchen;
use App\Support\KitchenClock;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\File;

/**
 * Where a kitchen's backups lie: beside its database, not in it, so that a kitchen begun anew leaves them where they are.
 *
 * @phpstan-type Told array{id: string, made: string, reason: string, kitchen: ?string, bytes: int, rows: array<string, int>, usable: bool}
 */
final readonly class BackupShelf
{
    /** Of nightly ones, where tables are older than the choice. */
    private const KEPT = 14;

    private const NAME = '/^(\d{4}-\d\d-\d\d-\d{6})(?:-\d+)?\.([a-z-]+)\.zip$/';

    public function __construct(private KitchenClock $clock, private Restoring $restoring) {}

    public static function folder(Kitchen $kitchen): string
    {
        $all = config('mildbowl.backups');

        return (is_string($all) ? $all : storage_path('app/backups'))."/$kitchen->slug";
    }

    /**
     * @return string its id
     *
     * @throws BackupRefused
     */
    public function make(Kitchen $kitchen, Reason $reason): string
    {
        $now = $this->clock->now();
        $id = $this->freeId($kitchen, $now, $reason);
        BackupWriter::write($kitchen, self::folder($kitchen)."/$id", $now, $reason);
        $this->letGo($kitchen, $reason);

        return $id;
    }

    /**
     * A backup that a person has as a file: looked through from end to end, and laid to the others. Nothing of it is restored yet.
     *
     * @return string its id
     *
     * @throws BackupRefused
     */
    public function bringIn(Kitchen $kitchen, string $path): string
    {
        BackupFile::open($path);
        $id = $this->freeId($kitchen, $this->clock->now(), Reason::BroughtIn);
        if (! @copy($path, self::folder($kitchen)."/$id") || ! @chmod(self::folder($kitchen)."/$id", 0600)) {
            throw BackupRefused::noRoom('it could not be put beside the others');
        }
        $this->letGo($kitchen, Reason::BroughtIn);

        return $id;
    }

    /**
     * Puts what a backup holds in the place of what the kitchen holds, which is backed up first.
     *
     * @return ?string the backup of what was there; null where nothing was
     *
     * @throws BackupRefused
     */
    public function restore(Kitchen $kitchen, string $path): ?string
    {
        $file = BackupFile::open($path);
        $before = Restoring::isEmpty($kitchen) ? null : $this->make($kitchen, Reason::BeforeRestore);
        $this->restoring->restore($kitchen, $file);

        return $before;
    }

    /** @return list<Told> the newest first */
    public function all(Kitchen $kitchen): array
    {
        $all = [];
        foreach (is_dir(self::folder($kitchen)) ? File::files(self::folder($kitchen)) : [] as $file) {
            if (preg_match(self::NAME, $file->getFilename(), $said) !== 1 || Reason::tryFrom($said[2]) === null) {
                continue;
            }
            $manifest = BackupFile::saidOf($file->getPathname());
            $rows = array_map(static fn (array $one): int => $one['rows'], $manifest['tables'] ?? []);
            $all[] = ['id' => $file->getFilename(), 'made' => $manifest['made'] ?? CarbonImmutable::createFromTimestampUTC($file->getMTime())->format('Y-m-d\TH:i:s\Z'), 'reason' => $said[2], 'kitchen' => $manifest['kitchen'] ?? null, 'bytes' => (int) $file->getSize(), 'rows' => $rows, 'usable' => $manifest !== null];
        }
        usort($all, static fn (array $one, array $two): int => strcmp($two['id'], $one['id']));

        return $all;
    }

    /** @throws BackupRefused where there is none of that id */
    public function path(Kitchen $kitchen, string $id): string
    {
        $path = self::folder($kitchen)."/$id";

        return preg_match(self::NAME, $id) === 1 && is_file($path) ? $path : throw BackupRefused::unknown();
    }

    /** Whether this night's is still to be made: one a day, from the hour on, and at the next start where the machine slept through it. */
    public function nightlyIsDue(Kitchen $kitchen): bool
    {
        $local = $this->clock->now()->setTimezone($kitchen->timezone);
        $night = $local->setTime(3, 0);
        $since = $night->greaterThan($local) ? $night->subDay() : $night;
        foreach ($this->all($kitchen) as $one) {
            if ($one['reason'] === Reason::Nightly->value && $one['usable'] && CarbonImmutable::parse($one['made'])->greaterThanOrEqualTo($since)) {
                return false;
            }
        }

        return true;
    }

    private function freeId(Kitchen $kitchen, CarbonImmutable $now, Reason $reason): string
    {
        File::ensureDirectoryExists(self::folder($kitchen), 0700);
        $begin = $now->setTimezone($kitchen->timezone)->format('Y-m-d-His');
        for ($n = 1; ; $n++) {
            $id = $begin.($n === 1 ? '' : "-$n").".$reason->value.zip";
            if (! file_exists(self::folder($kitchen)."/$id")) {
                return $id;
            }
        }
    }

    private function letGo(Kitchen $kitchen, Reason $reason): void
    {
        $kept = $reason->kept($kitchen->getAttributes()['backups_kept'] ?? self::KEPT);
        if ($kept === null) {
            return;
        }
        $those = array_values(array_filter($this->all($kitchen), static fn (array $one): bool => $one['reason'] === $reason->value));
        foreach (array_slice($those, $kept) as $one) {
            File::delete(self::folder($kitchen).'/'.$one['id']);
        }
    }
}
