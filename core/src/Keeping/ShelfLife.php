<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Data\Compiled;

/** A class of keeping.csv: how many days what belongs to it keeps, and where. The conservative figure, and the most that people may lengthen it to. */
final readonly class ShelfLife
{
    /** °C at or below which a room is cool (contract). */
    public const COOL = 15.0;

    /** °C above which a kitchen is warm: only what is dry keeps in its jars (reference, page 6). */
    public const WARM = 21.0;

    /** °C a fridge has at most for its days to hold (reference, page 6). */
    public const FRIDGE = 4.0;

    /** °C a freezer has at most. */
    public const FREEZER = -18.0;

    /** Share of water up to which a treat keeps in a warm kitchen. */
    public const DRY = 0.08;

    /**
     * @param  string  $meaning  what belongs to the class, in words
     * @param  array<string, string>  $if  when the most holds, by place, in words
     */
    private function __construct(
        public string $class,
        public int $jarDays,
        public int $fridgeDays,
        public int $freezerDays,
        public string $meaning,
        private array $if,
        private ?int $jarCoolDays,
        private ?int $fridgeAtMost,
        private ?int $fridgeLiverDays,
        private ?int $freezerAtMost,
    ) {}

    /** @throws \OutOfBoundsException when there is no such class */
    public static function of(string $class): self
    {
        $row = Compiled::days()['keeping'][$class] ?? throw new \OutOfBoundsException("keeping.csv has no class \"$class\".");
        $most = static fn (?float $days): ?int => $days === null ? null : (int) $days;

        return new self(
            $class, (int) $row['jarDays'], (int) $row['fridgeDays'], (int) $row['freezerDays'], $row['meaning'], ['jar' => $row['jarIf'], 'fridge' => $row['fridgeIf'], 'freezer' => $row['freezerIf']],
            $most($row['jarCoolDays']), $most($row['fridgeAtMost']), $most($row['fridgeLiverDays']), $most($row['freezerAtMost']),
        );
    }

    /** @return list<string> */
    public static function classes(): array
    {
        return array_map(strval(...), array_keys(Compiled::days()['keeping']));
    }

    /** The same, which keeps no longer than another does anywhere. */
    public function noLongerThan(self $other): self
    {
        return new self(
            $this->class, min($this->jarDays, $other->jarDays), min($this->fridgeDays, $other->fridgeDays), min($this->freezerDays, $other->freezerDays),
            $this->meaning, [], null, null, null, null,
        );
    }

    /** Days in the jar or the fridge, whichever is longer. */
    public function longestUnfrozen(): int
    {
        return max($this->jarDays, $this->fridgeDays);
    }

    public function days(Place $place): int
    {
        return match ($place) {
            Place::Jar => $this->jarDays,
            Place::Fridge => $this->fridgeDays,
            Place::Freezer => $this->freezerDays,
        };
    }

    /** When the most holds in a place, in words; '' where it always does. */
    public function lengthensIf(Place $place): string
    {
        return $this->if[$place->value] ?? '';
    }

    /** The most days that people may lengthen it to, where what the row asks for holds. */
    public function atMost(Place $place, float $roomCelsius, bool $isLiver): int
    {
        return match ($place) {
            Place::Jar => $roomCelsius <= self::COOL ? $this->jarCoolDays ?? $this->jarDays : $this->jarDays,
            Place::Fridge => $this->fridgeAtMost ?? ($isLiver ? $this->fridgeLiverDays : null) ?? $this->fridgeDays,
            Place::Freezer => $this->freezerAtMost ?? $this->freezerDays,
        };
    }
}
