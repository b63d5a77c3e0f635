<?php

declare(strict_types=1);

namespace App\Devices;

/** A picture that could not be read, in words. */
final class PrintUnreadable extends \RuntimeException
{
    public static function cannotBeOpened(): self
    {
        return new self('This picture cannot be opened: take another, as a JPEG, PNG or WebP.');
    }

    public static function readerIsAway(string $program): self
    {
        return new self("The program that reads labels ($program) does not answer on this machine. Type the list, or start the kitchen again with bin/start, which installs it.");
    }
}
