<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Support\Facades\File;

abstract class TestCase extends Base
{
    use RefreshDatabase;

    protected bool $seed = true;

    /** Every test lives on one day, and so do the dogs: how old they are may not depend on the day it runs. */
    public const TODAY = '2026-06-20 12:00:00';

    /** Backups of tests lie apart, and go with them. */
    protected function setUp(): void
    {
        parent::setUp();
        $folder = sys_get_temp_dir().'/mildbowl-backups-'.bin2hex(random_bytes(4));
        config(['mildbowl.backups' => $folder]);
        $this->beforeApplicationDestroyed(static fn () => File::deleteDirectory($folder));
    }

    protected function beforeRefreshingDatabase(): void
    {
        $this->travelTo(self::TODAY);
    }

    /** Opens a kitchen for factories and queries of the test itself. */
    public function open(string $slug): Kitchen
    {
        $kitchen = Kitchen::query()->where('slug', $slug)->firstOrFail();
        app(CurrentKitchen::class)->open($kitchen);

        return $kitchen;
    }
}
