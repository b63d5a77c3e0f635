<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/** A day of the calendar, as ISO 8601 writes it. Which day it is, the asker says: core has no clock. */
final readonly class Day
{
    private const SECONDS = 86400;

    private function __construct(public string $iso) {}

    /** null where the text is no day that there is. */
    public static function read(string $text): ?self
    {
        return preg_match('/^(\d{4})-(\d\d)-(\d\d)$/', $text, $part) === 1 && checkdate((int) $part[2], (int) $part[3], (int) $part[1]) ? new self($text) : null;
    }

    public function after(int $days): self
    {
        return self::numbered($this->number() + $days);
    }

    /** Days since the first of January 1970. */
    public function number(): int
    {
        [$year, $month, $day] = array_map(intval(...), explode('-', $this->iso));

        return intdiv((int) gmmktime(0, 0, 0, $month, $day, $year), self::SECONDS);
    }

    public static function numbered(int $days): self
    {
        return new self(gmdate('Y-m-d', $days * self::SECONDS));
    }

    /** Days from this one to another; negative where that lies before. */
    public function until(self $other): int
    {
        return $other->number() - $this->number();
    }

    /** As a person writes it: 11 December 2026. */
    public function spelled(): string
    {
        return gmdate('j F Y', $this->number() * self::SECONDS);
    }

    public function isBefore(self $other): bool
    {
        return $this->iso < $other->iso;
    }
}
