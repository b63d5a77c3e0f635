<?php

declare(strict_types=1);

namespace MildBowl\Core\Measuring;

use MildBowl\Core\Pantry\Lexicon;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Values\Range;

/** Writes an amount of a food as a line, in the units the recipe uses, so that it reads back as what was meant. */
final class LineWriter
{
    private const GRAMS_OF_EGG = 50.0;

    /** g below which a spoon measures better than a scale. */
    private const LEAST_WEIGHED = 5.0;

    /** g from which a scale is read to five. */
    private const COARSE = 100.0;

    private const MEASURED = ['g', 'kg', 'mg', 'ml', 'l', 'dl', 'cl', 'oz', 'lb'];

    /** @var array<string, string> names found before, remembered */
    private array $names = [];

    public function __construct(private readonly LineReader $reader, private readonly Weigher $weigher, private readonly bool $byWeight) {}

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
        foreach ([$this->write($ingredient, $grams, $like), $this->cupAndSpoons($ingredient, $grams, $like)] as $text) {
            $read = $text === null ? null : $this->weigher->weigh($this->reader->read($text));
            if ($text !== null && $read !== null && abs($read->best - $grams) <= $within) {
                return $text;
            }
        }

        return round($grams).' g '.$this->name($ingredient);
    }

    /** "⅞ cup plus 2 tsp water"; null where the recipe is weighed, or no cup of it is known. */
    private function cupAndSpoons(string $ingredient, float $grams, ?ReadLine $like): ?string
    {
        $cup = $this->cup($ingredient)[1]->best ?? 0.0;
        if ($cup <= 0.0 || $this->isWeighed($like)) {
            return null;
        }
        $whole = floor(8 * $grams / $cup) / 8 * $cup;
        $cups = $whole < $cup / 4 ? null : $this->measured($ingredient, $whole);
        $spoons = $this->measured($ingredient, $grams - $whole);

        return $cups === null || $spoons === null ? null : "$cups plus $spoons ".$this->name($ingredient);
    }

    public function write(string $ingredient, float $grams, ?ReadLine $like = null): string
    {
        $name = $this->name($ingredient);
        if ($ingredient === 'egg') {
            $eggs = max(1, (int) round($grams / self::GRAMS_OF_EGG));

            return $eggs === 1 ? '1 large egg' : "$eggs large eggs";
        }

        return (($this->isWeighed($like) && $grams >= self::LEAST_WEIGHED ? null : $this->measured($ingredient, $grams)) ?? self::weighed($grams))." $name";
    }

    /** In spoons and cups, as a hand adds it to a bowl; in grams where that cannot be. */
    public function spooned(string $ingredient, float $grams): string
    {
        return ($this->measured($ingredient, $grams) ?? self::weighed($grams)).' '.$this->name($ingredient);
    }

    /** Whether a line like this one is written by weight: as that line is, else as the recipe is. */
    private function isWeighed(?ReadLine $like): bool
    {
        $unit = $like?->amounts[0]->unit ?? null;

        return $unit === null ? $this->byWeight : in_array($unit, self::MEASURED, true);
    }

    /** @return array{ReadLine, ?Range} a cup of a food as a line, and its grams; null where no cup of it is known */
    private function cup(string $ingredient): array
    {
        $line = $this->reader->read('1 cup '.$this->name($ingredient));

        return [$line, $line->food?->id === $ingredient ? $this->weigher->weigh($line) : null];
    }

    /** null where no cup of it is known, and below what a spoon holds. */
    private function measured(string $ingredient, float $grams): ?string
    {
        if (PieceWeight::isOfTheShell($this->reader->catalogue->get($ingredient))) {
            return null;
        }
        [$line, $cup] = $this->cup($ingredient);
        $measure = $cup === null || $cup->best <= 0.0 ? null : $this->weigher->measure($line, $cup->times($grams / $cup->best));

        return $measure === 'a pinch' ? null : $measure;
    }

    /** As a kitchen scale shows it. */
    private static function weighed(float $grams): string
    {
        return match (true) {
            $grams >= self::COARSE => (5 * round($grams / 5)).' g',
            $grams >= self::LEAST_WEIGHED => round($grams).' g',
            default => max(0.5, round(2 * $grams) / 2).' g',
        };
    }

    /** A name of the food that reads back as that food. */
    public function name(string $ingredient): string
    {
        return $this->names[$ingredient] ??= $this->readable($ingredient);
    }

    private function readable(string $ingredient): string
    {
        foreach ([$this->reader->catalogue->get($ingredient)->name, ...Lexicon::namesOf($ingredient)] as $name) {
            $line = $this->reader->read("100 g $name");
            if ($line->food?->id === $ingredient && $line->unread === [] && $line->others === [] && $line->alternatives === []) {
                return $name;
            }
        }

        return str_replace('-', ' ', $ingredient);
    }
}
