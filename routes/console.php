<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

// Asked often: a machine that slept through the night makes its backup once it is awake.
Schedule::command('kitchen:backup --due --reason=nightly')->everyTenMinutes();
