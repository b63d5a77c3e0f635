<?php

declare(strict_types=1);

// Says at the end how much memory the program had at most, in MB.
register_shutdown_function(static fn () => print '~'.round(memory_get_peak_usage(true) / 1048576).PHP_EOL);
