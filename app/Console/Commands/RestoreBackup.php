<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\BackupRefused;
use App\Backup\BackupShelf;
use App\Backup\Restoring;
use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Illuminate\Console\Command;

final class RestoreBackup extends Command
{
    protected $signature = 'kitchen:restore {file} {--replace : also where something is in the kitchen, which is backed up first}';

    protected $description = 'Puts what a backup holds into the kitchen that is opened';

    public function handle(BackupShelf $shelf, CurrentKitchen $current): int
    {
        $kitchen = Kitchen::query()->where('slug', config('mildbowl.kitchen'))->firstOrFail();
        $current->open($kitchen);
        try {
            if (! $this->option('replace') && ! Restoring::isEmpty($kitchen)) {
                throw BackupRefused::notEmpty();
            }
            $before = $shelf->restore($kitchen, (string) $this->argument('file'));
        } catch (BackupRefused $refused) {
            $this->error($refused->getMessage());

            return self::FAILURE;
        }
        $this->line('The kitchen holds what the backup held.');
        if ($before !== null) {
            $this->line('What it held before: '.BackupShelf::folder($kitchen)."/$before");
        }

        return self::SUCCESS;
    }
}
