<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Binding;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Data\Compiled;

/** How many days a class of treat keeps, and where, by keeping.csv. */
final readonly class ShelfLife
{
    /** Share of the dough from which what is of animals decides. */
    private const MUCH = 0.2;

    private const FRESH_CHEESE = ['cottage-cheese', 'ricotta', 'ricotta-part-skim', 'cream-cheese', 'mascarpone', 'paneer'];

    /** @param  string  $meaning  what belongs to the class, in words */
    private function __construct(public string $class, public int $jarDays, public int $fridgeDays, public int $freezerDays, public string $meaning) {}

    /** @throws \OutOfBoundsException when there is no such class */
    public static function of(string $class): self
    {
        $row = Compiled::tables()['keeping'][$class] ?? throw new \OutOfBoundsException("keeping.csv has no class \"$class\".");

        return new self($class, (int) $row['jarDays'], (int) $row['fridgeDays'], (int) $row['freezerDays'], $row['meaning']);
    }

    /** Of what was baked: by its texture, and by meat, liver, fish, egg or fresh cheese over a fifth of the dough. */
    public static function ofBatch(Batch $batch, Texture $texture): self
    {
        $animal = 0.0;
        foreach ($batch->dough->weighed as $one) {
            $food = $one->ingredient;
            $animal += Binding::isFlesh($food) || $food->inGroup('egg') || in_array($food->id, self::FRESH_CHEESE, true) ? $one->grams->best : 0.0;
        }
        $isAnimal = $animal > self::MUCH * $batch->dough->grams->best;
        $isDry = in_array($texture->id, ['hard', 'biscuit', 'jerky'], true);

        return self::of(match (true) {
            $texture->id === 'frozen' => 'frozen',
            $texture->id === 'none' => 'no-bake',
            $isAnimal => $isDry ? 'meat-dry' : 'meat',
            $texture->id === 'jerky' => 'meat-dry',
            $isDry => $texture->id,
            default => 'moist',
        });
    }

    /** Days in the jar or the fridge, whichever is longer. */
    public function longestUnfrozen(): int
    {
        return max($this->jarDays, $this->fridgeDays);
    }

    /** @param  'jar'|'fridge'|'freezer'  $place */
    public function days(string $place): int
    {
        return match ($place) {
            'jar' => $this->jarDays,
            'fridge' => $this->fridgeDays,
            'freezer' => $this->freezerDays,
        };
    }
}
