<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/** A day of the calendar, as ISO 8601 writes it. Which day it is, the asker says: core has no clock. */
final readonly class Day
{
    private function __construct(public string $iso) {}

    /** null where the text is no day that there is. */
    public static function read(string $text): ?self
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $text, $part) === 1 && checkdate((int) $part[2], (int) $part[3], (int) $part[1]) ? new self($text) : null;
    }

    public function after(int $days): self
    {
        [$year, $month, $day] = array_map(intval(...), explode('-', $this->iso));

        return new self(gmdate('Y-m-d', (int) gmmktime(12, 0, 0, $month, $day + $days, $year)));
    }
}
