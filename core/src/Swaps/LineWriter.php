<?php

declare(strict_types=1);

namespace MildBowl\Core\Swaps;

use MildBowl\Core\Data;
use MildBowl\Core\Formulate\Story;
use MildBowl\Core\Kitchen\LineReader;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Pantry\Catalogue;
use MildBowl\Core\Pantry\Weigher;

/** Writes an amount of a food as a line, in the units the recipe uses, so that it reads back as what was meant. */
final class LineWriter
{
    /** @var array<string, string> */
    private static array $names = [];

    private const GRAMS_OF_EGG = 50.0;

    private const MEASURED = ['g', 'kg', 'mg', 'ml', 'l', 'dl', 'cl', 'oz', 'lb'];

    public function __construct(private readonly Weigher $weigher, private readonly bool $byWeight) {}

    /** Whether most of a recipe's amounts are weights. */
    public static function isByWeight(ReadLine ...$lines): bool
    {
        $weighed = $all = 0;
        foreach ($lines as $line) {
            foreach ($line->amounts as $amount) {
                $all++;
                $weighed += in_array($amount->unit, self::MEASURED, true) ? 1 : 0;
            }
        }

        return $all > 0 && 2 * $weighed > $all;
    }

    /** In cups and spoons where that comes within a share of what is meant, else in grams. */
    public function nearly(string $ingredient, float $grams, float $within, ?ReadLine $like = null): string
    {
        $text = $this->write($ingredient, $grams, $like);
        $read = $this->weigher->weigh(LineReader::read($text, 0, null));

        return $read !== null && abs($read->best - $grams) <= $within ? $text : round($grams).' g '.self::name($ingredient);
    }

    public function write(string $ingredient, float $grams, ?ReadLine $like = null): string
    {
        $name = self::name($ingredient);
        if ($ingredient === 'egg') {
            $eggs = max(1, (int) round($grams / self::GRAMS_OF_EGG));

            return $eggs === 1 ? '1 large egg' : "$eggs large eggs";
        }
        $unit = $like?->amounts[0]->unit ?? null;
        $byWeight = $unit === null ? $this->byWeight : in_array($unit, self::MEASURED, true);
        $measure = null;
        if (! $byWeight) {
            $line = LineReader::read("1 cup $name", 0, null);
            $cup = $this->weigher->weigh($line);
            $measure = $cup === null || $line->ingredient !== $ingredient ? null : $this->weigher->measure($line, $cup->times($cup->best > 0 ? $grams / $cup->best : 0.0));
        }
        if ($measure === null || $measure === 'a pinch') {
            $measure = $grams >= 10 ? round($grams).' g' : max(0.1, round($grams, 1)).' g';
        }

        return "$measure $name";
    }

    /** A name of the food that reads back as that food. */
    public static function name(string $ingredient): string
    {
        if (! isset(self::$names[$ingredient])) {
            self::$names[$ingredient] = str_replace('-', ' ', $ingredient);
            foreach ([Catalogue::get($ingredient)->name, ...Data::tables()['names'][$ingredient] ?? []] as $name) {
                $line = LineReader::read("100 g $name", 0, null);
                if ($line->ingredient === $ingredient && $line->unread === [] && $line->others === [] && $line->alternatives === []) {
                    self::$names[$ingredient] = $name;
                    break;
                }
            }
        }

        return self::$names[$ingredient];
    }

    public static function grams(float $grams): string
    {
        return Story::number($grams).' g';
    }
}
