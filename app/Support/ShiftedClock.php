<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use DateTimeImmutable;
use Psr\Clock\ClockInterface;

/**
 * The time, shifted by as many seconds as a file of this instance says; the tests live a month in a minute with it. No such file, no
 * shift: nothing but ops/set-test-clock.sh makes one.
 */
final readonly class ShiftedClock implements ClockInterface
{
    public function __construct(private string $file) {}

    public function now(): DateTimeImmutable
    {
        $now = CarbonImmutable::now();
        $shift = is_file($this->file) ? trim((string) file_get_contents($this->file)) : '';

        return preg_match('/^-?\d{1,9}$/', $shift) === 1 ? $now->addSeconds((int) $shift) : $now;
    }
}
