<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/** A minute of a kitchen's own clock, as ISO 8601 writes it without a zone. Core has no clock. */
final readonly class Minute
{
    private function __construct(public string $iso) {}

    /** null where the text is no minute that there is. */
    public static function read(string $text): ?self
    {
        return preg_match('/^(\d{4}-\d\d-\d\d)T([01]\d|2[0-3]):[0-5]\d$/', $text, $part) === 1 && Day::read($part[1]) !== null ? new self($text) : null;
    }

    public function after(int $minutes): self
    {
        [$year, $month, $day, $hour, $minute] = array_map(intval(...), preg_split('/[-T:]/', $this->iso) ?: []);

        return new self(gmdate('Y-m-d\TH:i', (int) gmmktime($hour, $minute + $minutes, 0, $month, $day, $year)));
    }
}
