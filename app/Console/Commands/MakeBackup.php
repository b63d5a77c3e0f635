<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupRefused;
use App\Backup\BackupShelf;
use App\Backup\Reason;
use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Illuminate\Console\Command;

/** Backs up every kitchen of this installation; each lies with its own. */
final class MakeBackup extends Command
{
    protected $signature = 'kitchen:backup {--reason=by-hand} {--due : only where this night\'s is still to be made}';

    protected $description = 'Writes everything a kitchen keeps into one file';

    public function handle(BackupShelf $shelf, CurrentKitchen $current): int
    {
        $reason = Reason::tryFrom((string) $this->option('reason'));
        if ($reason === null) {
            $this->error('A backup is made for one of these reasons: '.implode(', ', array_column(Reason::cases(), 'value')).'.');

            return self::INVALID;
        }
        foreach (Kitchen::query()->orderBy('id')->get() as $kitchen) {
            /** @var Kitchen $kitchen */
            $current->open($kitchen);
            if ($this->option('due') && ! $shelf->nightlyIsDue($kitchen)) {
                continue;
            }
            try {
                $this->line(BackupShelf::folder($kitchen).'/'.$shelf->make($kitchen, $reason));
            } catch (BackupRefused $refused) {
                $this->error($refused->getMessage());

                return self::FAILURE;
            }
        }

        return self::SUCCESS;
    }
}
