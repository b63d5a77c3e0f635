<?php

declare(strict_types=1);

namespace MildBowl\Core\Keeping;

/** The kinds of place that treats are kept in: at room temperature, cold, or frozen. A kitchen's own places are each of one kind. */
enum Place: string
{
    case Jar = 'jar';
    case Fridge = 'fridge';
    case Freezer = 'freezer';

    /** As it stands in a sentence. */
    public function inWords(): string
    {
        return match ($this) {
            self::Jar => 'in a jar',
            self::Fridge => 'in the fridge',
            self::Freezer => 'in the freezer',
        };
    }

    /** What a recipe calls it, as a pattern of words. */
    public function pattern(): string
    {
        return match ($this) {
            self::Jar => 'jar|tin|airtight|room temperature|counter|cupboard|container',
            self::Fridge => 'fridge|refrigerat\w+',
            self::Freezer => 'freez\w+',
        };
    }
}
