<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Kitchen;
use App\Support\CurrentKitchen;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as Base;

abstract class TestCase extends Base
{
    use RefreshDatabase;

    protected bool $seed = true;

    /** Opens a kitchen for factories and queries of the test itself. */
    public function open(string $slug): Kitchen
    {
        $kitchen = Kitchen::query()->where('slug', $slug)->firstOrFail();
        app(CurrentKitchen::class)->open($kitchen);

        return $kitchen;
    }
}
