<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Data\Compiled;
use MildBowl\Core\Pantry\Ingredient;

/**
 * What raw food must reach inside, by cores.csv.
 *
 * @phpstan-import-type CoreRow from Compiled
 */
final readonly class Core
{
    /** @param  list<string>  $foods  names of what it is for */
    private function __construct(public int $celsius, public array $foods, public string $what, private int $holdMinutes, private bool $isOfFlesh) {}

    /**
     * Of all the raw foods in a dough, hottest first.
     *
     * @return list<self>
     */
    public static function of(Dough $dough): array
    {
        $found = $hold = $flesh = [];
        foreach ($dough->weighed as $one) {
            $row = self::isRaw($one->ingredient) ? self::row($one->ingredient) : null;
            if ($row !== null) {
                $found[(int) $row['celsius']][$row['what']][] = $one->ingredient->name;
                $hold[$row['what']] = (int) $row['holdMinutes'];
                $flesh[$row['what']] = $one->ingredient->inAny(['raw-meat', 'raw-fish']);
            }
        }
        krsort($found);
        $cores = [];
        foreach ($found as $celsius => $whats) {
            foreach ($whats as $what => $foods) {
                $cores[] = new self($celsius, array_values(array_unique($foods)), (string) $what, $hold[$what] ?? 0, $flesh[$what] ?? true);
            }
        }

        return $cores;
    }

    /** Minutes it is to stay so hot. */
    public function holdMinutes(): int
    {
        return $this->holdMinutes;
    }

    /** Whether it is of meat or fish, which no drying makes safe. */
    public function isOfFlesh(): bool
    {
        return $this->isOfFlesh;
    }

    /** As the source gives it, to the whole degree. */
    public function fahrenheit(): int
    {
        return (int) round($this->celsius * 9 / 5 + 32);
    }

    private static function isRaw(Ingredient $food): bool
    {
        return $food->inGroup('raw-meat') || $food->inGroup('raw-fish') || $food->id === 'egg';
    }

    /** @return CoreRow|null */
    private static function row(Ingredient $food): ?array
    {
        foreach (Compiled::tables()['cores'] as $row) {
            if ($food->inGroup($row['group']) && ($row['word'] === '' || str_contains($food->name, $row['word']))) {
                return $row;
            }
        }

        return null;
    }
}
