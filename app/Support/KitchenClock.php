<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;
use DateTimeZone;
use Psr\Clock\ClockInterface;

/** The time, and which day it is in the open kitchen. Whoever needs either asks here. */
final readonly class KitchenClock
{
    public function __construct(private ClockInterface $clock, private CurrentKitchen $current) {}

    public function now(): CarbonImmutable
    {
        return CarbonImmutable::instance($this->clock->now());
    }

    /**
     * The kitchen's own day, as a date without a time.
     *
     * @throws NoKitchenOpen
     */
    public function today(): CarbonImmutable
    {
        return new CarbonImmutable($this->clock->now()->setTimezone(new DateTimeZone($this->current->get()->timezone))->format('Y-m-d'), 'UTC');
    }
}
