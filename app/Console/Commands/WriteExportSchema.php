<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Backup\ExportSchema;
use Illuminate\Console\Command;

final class WriteExportSchema extends Command
{
    protected $signature = 'kitchen:export-schema';

    protected $description = 'Tells the schema of a kitchen\'s export, as the tables stand';

    public function handle(): int
    {
        $this->output->write(ExportSchema::text());

        return self::SUCCESS;
    }
}
