<?php

declare(strict_types=1);

namespace MildBowl\Core\Dogs;

use MildBowl\Core\Data\Compiled;

/** A breed of breeds.csv: what is known of it that bears on treats. */
final readonly class Breed
{
    /**
     * @param  ?float  $research  kcal a day per kg to the power 0.75 measured on active dogs of it; null where nobody did
     * @param  bool  $fragile  whether its red cells break easily
     * @param  list<string>  $groups  foods that its note speaks of
     * @param  ?float  $kgLow  usual weight of a grown dog
     */
    private function __construct(
        public string $name,
        public bool $terrier,
        public ?float $research = null,
        public bool $fragile = false,
        public string $note = '',
        public array $groups = [],
        public ?float $kgLow = null,
        public ?float $kgHigh = null,
        public string $source = 'NRC',
    ) {}

    /** Found also inside a longer description ("whippet cross"); null when nothing known is named. */
    public static function named(?string $description): ?self
    {
        if ($description === null) {
            return null;
        }
        $breeds = Compiled::tables()['breeds'];
        $name = mb_strtolower(trim($description));
        if (isset($breeds[$name])) {
            return self::row($breeds[$name]);
        }
        foreach ($breeds as $known => $row) {
            if (preg_match('/\b'.preg_quote($known, '/').'\b/', $name) === 1) {
                return self::row($row);
            }
        }

        return str_contains($name, 'terrier') ? new self($name, true) : null;
    }

    /** Whether its fats run high, and with them the pancreas. */
    public function isFatProne(): bool
    {
        return in_array('animal-fat', $this->groups, true);
    }

    /** @return array<string, self> every breed, by its own name */
    public static function all(): array
    {
        $all = [];
        foreach (Compiled::tables()['breeds'] as $row) {
            $all[$row['breed']] ??= self::row($row);
        }

        return $all;
    }

    /** @param  array{breed: string, terrier: bool, research: ?float, fragile: bool, note: string, groups: list<string>, kgLow: ?float, kgHigh: ?float, source: string}  $row */
    private static function row(array $row): self
    {
        return new self($row['breed'], $row['terrier'], $row['research'], $row['fragile'], $row['note'], $row['groups'], $row['kgLow'], $row['kgHigh'], $row['source']);
    }
}
