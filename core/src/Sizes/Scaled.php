<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Baking\Parts\Heading;
use MildBowl\Core\Data\Unit;
use MildBowl\Core\Kitchen\Kitchen;
use MildBowl\Core\Measuring\KitchenMeasure;
use MildBowl\Core\Measuring\LineWriter;
use MildBowl\Core\Measuring\PieceWeight;
use MildBowl\Core\Measuring\Weigher;
use MildBowl\Core\Reading\LineReader;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Reading\ReadRecipe;
use MildBowl\Core\Reading\RecipeReader;
use MildBowl\Core\Values\Figure;

/**
 * A recipe with every amount multiplied, or with the amounts that really went in, in amounts a kitchen can measure: eighths of a cup, quarters of a spoon, whole grams.
 * Each line is read back, so that what is written weighs what is meant.
 */
final class Scaled
{
    /** A kitchen fraction may miss what is meant by this share; else it is weighed. */
    private const MAY_MISS = 0.04;

    /** Parts of a measure that spoons and cups come in, and up to how many of it one counts. */
    private const SPOONS = ['cup' => [4, 40], 'tbsp' => [2, 6], 'tsp' => [4, 6]];

    private const METRIC = ['g', 'kg', 'ml', 'l', 'dl', 'cl', 'mg'];

    /** Under a teaspoon: spoons of an eighth, and how far a pinch of leaven or salt may miss. */
    private const SMALL_PARTS = 8;

    private const SMALL_MISS = 0.07;

    private const FRACTIONS = ['0.125' => '⅛', '0.25' => '¼', '0.375' => '⅜', '0.5' => '½', '0.625' => '⅝', '0.75' => '¾', '0.875' => '⅞'];

    /** g of a piece that is counted whole, or weighed. */
    private const SMALL_PIECE = 15.0;

    /** What is counted bare or by its size: the food's own word follows the number. */
    private const SIZES = [null, 'each', 'small', 'medium', 'large'];

    public readonly string $text;

    /** @var list<ScaledLine> what was rewritten, or could not be */
    public array $lines = [];

    private readonly LineReader $reader;

    private readonly Weigher $weigher;

    private readonly LineWriter $writer;

    /** Of the line that is being written: what its written amount is multiplied with. */
    private float $factor = 1.0;

    /** @param  ?float  $all  what every amount is multiplied with; null: each as it was made */
    private function __construct(string $text, ReadRecipe $recipe, private readonly ?float $all, Kitchen $kitchen)
    {
        $this->reader = $kitchen->reader->lines;
        $this->weigher = $kitchen->weigher();
        $this->writer = $kitchen->writer(...$recipe->lines);
        $rows = RecipeReader::rows($text);
        $byRow = [];
        foreach (array_filter($recipe->lines, static fn (ReadLine $line): bool => ! $line->isAdded) as $line) {
            $byRow[$line->place->row][] = $line;
        }
        foreach ($byRow as $row => $lines) {
            if ($all !== null || array_filter($lines, static fn (ReadLine $line): bool => $line->made !== null) !== []) {
                $rows[$row] = implode("\n", array_map($this->line(...), $lines));
            }
        }
        $this->text = implode("\n", $all === null ? self::withAdded(self::withoutLeftOut($rows, $recipe), $recipe) : $rows);
    }

    public static function by(float $factor, string $text, ReadRecipe $recipe, Kitchen $kitchen): self
    {
        return new self($text, $recipe, $factor, $kitchen);
    }

    /** What was made, written out: what was left out is gone, what was added stands under its heading. */
    public static function asMade(string $text, ReadRecipe $recipe, Kitchen $kitchen): self
    {
        return new self($text, $recipe, null, $kitchen);
    }

    /**
     * @param  array<int, string>  $rows
     * @return array<int, string>
     */
    private static function withoutLeftOut(array $rows, ReadRecipe $recipe): array
    {
        $kept = array_map(static fn (ReadLine $line): int => $line->isAdded ? -1 : $line->place->row, $recipe->lines);
        foreach ($recipe->leftOut as $line) {
            if (in_array($line->place->row, $kept, true)) {
                // a row of several lines was rewritten line by line, unless all that is left of it is as it was written
                $rows[$line->place->row] = str_replace($line->text, '', $rows[$line->place->row]);
            } else {
                unset($rows[$line->place->row]);
            }
        }

        return $rows;
    }

    /**
     * @param  array<int, string>  $rows  by their number in the text as written
     * @return list<string>
     */
    private static function withAdded(array $rows, ReadRecipe $recipe): array
    {
        $last = [];
        foreach ($recipe->lines as $line) {
            if (! $line->isAdded) {
                $last[Heading::key($line->section)] = $line->place->row;
            }
        }
        $behind = $ends = [];
        foreach (array_filter($recipe->lines, static fn (ReadLine $line): bool => $line->isAdded) as $line) {
            $key = Heading::key($line->section);
            if (isset($last[$key])) {
                $behind[$last[$key]][] = $line->text;
            } elseif ($line->section === null && $last !== []) {
                // under no heading is above the first
                $behind[-1][] = $line->text;
            } else {
                $ends[$line->section ?? ''][] = $line->text;
            }
        }
        $written = $behind[-1] ?? [];
        foreach ($rows as $row => $text) {
            array_push($written, $text, ...$behind[$row] ?? []);
        }
        foreach ($ends as $section => $lines) {
            array_push($written, ...$section === '' ? [] : [rtrim($section, ': ').':'], ...$lines);
        }

        return $written;
    }

    private function line(ReadLine $line): string
    {
        if ($this->all === null && $line->made === null) {
            return $line->text;
        }
        if ($line->made?->grams !== null) {
            return $this->onTheScale($line, $line->made->grams);
        }
        $this->factor = $this->all ?? $line->made->share ?? 1.0;
        if ($line->amounts === []) {
            if ($line->food === null || ! $this->weigher->isDefault($line)) {
                $this->lines[] = new ScaledLine($line->text, $line->text, 'Without an amount: left as it is.');
            }

            return $line->text;
        }
        $grams = $this->weigher->written($line);
        if ($line->food === null || $grams === null) {
            $this->lines[] = new ScaledLine($line->text, $line->text, 'Not understood: left as it is. Scale it yourself.');

            // what nobody understands is never scaled, but so much of it really went in
            return $this->all === null && $line->food === null ? $this->inPlace($line, 0.0) ?? $line->text : $line->text;
        }
        $wanted = $grams->best * $this->factor;
        foreach ([$this->inPlace($line, $grams->best), $this->weighed($line, $wanted), $this->writer->write($line->food->id, $wanted, $line), self::number($wanted).' g '.$this->writer->name($line->food->id)] as $to) {
            if ($to !== null && $this->weighs($to, $line, $wanted)) {
                $this->lines[] = new ScaledLine($line->text, $to, PieceWeight::isOfTheShell($line->food) && $line->amounts[0]->unit === 'each' && str_contains($to, ' g ') ? 'No part of an egg in the shell: beat it, and weigh.' : null);

                return $to;
            }
        }
        $this->lines[] = new ScaledLine($line->text, $line->text, 'Could not be rewritten: take '.Figure::of($wanted).' g.');

        return $line->text;
    }

    /** As the scale showed it, whatever was written. */
    private function onTheScale(ReadLine $line, float $grams): string
    {
        $candidates = [$line->amounts === [] ? self::number($grams).' g '.$line->clean : $this->weighed($line, $grams), $line->food === null ? null : self::number($grams).' g '.$this->writer->name($line->food->id)];
        foreach ($candidates as $to) {
            if ($to !== null && $this->weighs($to, $line, $grams)) {
                return $to;
            }
        }

        return $line->text;
    }

    private function weighs(string $text, ReadLine $line, float $wanted): bool
    {
        $read = $this->reader->read($text);
        $grams = $read->food === null ? null : $this->weigher->weigh($read);

        return $read->food?->id === $line->food?->id && $grams !== null && count($read->unread) <= count($line->unread) && abs($grams->best - $wanted) <= max(0.25, self::MAY_MISS * $wanted);
    }

    /** The amount alone rewritten, every other word kept; null where the line has more than one amount, or a range. */
    private function inPlace(ReadLine $line, float $grams): ?string
    {
        $amount = $line->amounts[0];
        $span = self::span($line);
        if (count($line->amounts) !== 1 || $span === null || ! $amount->quantity->isExact() || $amount->contents !== null) {
            return null;
        }
        $quantity = $amount->quantity->best * $this->factor;
        $unit = $amount->unit;
        if (in_array($unit, self::METRIC, true)) {
            $new = self::number($quantity).' '.$unit;
        } elseif (isset(self::SPOONS[$unit])) {
            $new = self::spoons($quantity, $unit) ?? KitchenMeasure::of($quantity * Unit::millilitres($this->weigher->units, $unit), $this->weigher->units);
        } else {
            $count = self::counted($quantity);
            if ($count === null || (floor($quantity + 0.01) !== round($quantity, 2) && $this->isCountedWhole($line, $grams / max(0.01, $amount->quantity->best)))) {
                return null;
            }
            // "2 large eggs": only the number changes
            $new = preg_replace('/^[\d\s.,\/½¼¾⅓⅔⅛⅜⅝⅞⁄]+|^(a|an|one|two|three|four|five|six|half a|half)\s+/iu', $count.' ', substr($line->clean, ...$span), 1, $hits);
            if ($hits === 0 || $new === null) {
                return null;
            }
            $new = trim($new);
            if (! in_array($unit, self::SIZES, true)) {
                return trim(substr($line->clean, 0, $span[0]).self::measureAgreeing($new, $amount->quantity->best, $quantity).substr($line->clean, $span[0] + $span[1]));
            }

            return self::agreeing(trim(substr($line->clean, 0, $span[0]).$new.substr($line->clean, $span[0] + $span[1])), $line, $amount->quantity->best, $quantity);
        }

        return trim(substr($line->clean, 0, $span[0]).$new.substr($line->clean, $span[0] + $span[1]));
    }

    /** Nobody counts a part of an egg, or a quarter of a mussel; a clove of garlic is cut. */
    private function isCountedWhole(ReadLine $line, float $gramsEach): bool
    {
        return $line->food !== null && (PieceWeight::isOfTheShell($line->food) || ($line->amounts[0]->unit === 'each' && $gramsEach < self::SMALL_PIECE && ! in_array('clove', $line->keys, true)));
    }

    /** "3 pinch salt" are three pinches of it, and the salt stays what it is. */
    private static function measureAgreeing(string $text, float $was, float $is): string
    {
        return ($was > 1.0) === ($is > 1.0) ? $text : (string) preg_replace_callback('/\p{L}+(?=(?:\s+of)?$)/u', static fn (array $word): string => self::inNumber($word[0], $is), $text, 1);
    }

    private static function inNumber(string $noun, float $is): string
    {
        return $is > 1.0
            ? (preg_match('/(s|sh|ch|x|potato|tomato|mango)$/i', $noun) === 1 ? "{$noun}es" : (preg_match('/[^aeiou]y$/i', $noun) === 1 ? substr($noun, 0, -1).'ies' : "{$noun}s"))
            : (string) preg_replace(['/([^aeiou])ies$/i', '/(o|sh|ch|x)es$/i', '/([^s])s$/i'], ['$1y', '$1', '$1'], $noun, 1);
    }

    /** "1 eggs" is one egg, "2 egg" are two eggs: the food's own word follows its number. */
    private static function agreeing(string $text, ReadLine $line, float $was, float $is): string
    {
        $foods = array_values(array_filter($line->words, static fn (array $word): bool => $word['role'] === 'ingredient'));
        if (($was > 1.0) === ($is > 1.0) || $foods === []) {
            return $text;
        }
        // garlic is counted by its cloves
        if (preg_match('/\bcloves?\b/i', $text, $clove) === 1) {
            return (string) preg_replace('/\b'.$clove[0].'\b/', self::inNumber($clove[0], $is), $text, 1);
        }
        // "ripe banana", "egg yolk": the last word of the name; of "leaves of kale" the one before "of"
        $to = $foods[0]['from'] + $foods[0]['length'];
        foreach (array_slice($foods, 1) as $word) {
            $next = $word['from'] + $word['length'];
            if ($word['from'] !== $to + 1 || strtolower(substr($line->clean, $word['from'], $word['length'])) === 'of') {
                break;
            }
            $to = $next;
        }
        $phrase = substr($line->clean, $foods[0]['from'], $to - $foods[0]['from']);
        $words = explode(' ', $phrase);
        $noun = (string) array_pop($words);

        return (string) preg_replace('/\b'.preg_quote($phrase, '/').'\b/', implode(' ', [...$words, self::inNumber($noun, $is)]), $text, 1);
    }

    /** The amounts taken out and grams put in their place. */
    private function weighed(ReadLine $line, float $grams): ?string
    {
        $span = self::span($line);
        if ($span === null) {
            return null;
        }
        $rest = trim(substr($line->clean, $span[0] + $span[1]));
        $rest = (string) preg_replace('/^of\s+/i', '', $rest);

        return trim(substr($line->clean, 0, $span[0]).self::number($grams).' g '.($line->food?->id === 'egg' ? 'beaten egg' : $rest));
    }

    /** @return array{int, int}|null first byte and length of all amounts of a line, when they stand together */
    private static function span(ReadLine $line): ?array
    {
        $from = $to = null;
        foreach ($line->words as $word) {
            if ($word['role'] !== 'amount') {
                continue;
            }
            if ($to !== null && trim(substr($line->clean, $to, $word['from'] - $to), " \t(),;+&") !== '') {
                return null;
            }
            $from ??= $word['from'];
            $to = $word['from'] + $word['length'];
        }

        return $from === null || $to === null ? null : [$from, $to - $from];
    }

    /** The same measure again, where it comes out in parts that exist: "3 tbsp"; null where another measure serves better. */
    private static function spoons(float $quantity, string $unit): ?string
    {
        [$parts, $most] = self::SPOONS[$unit];
        $isSmall = $unit === 'tsp' && $quantity < 1.0;
        $parts = $isSmall ? self::SMALL_PARTS : $parts;
        $rounded = round($quantity * $parts) / $parts;
        if ($rounded <= 0.0 || $quantity > $most || abs($rounded - $quantity) > ($isSmall ? self::SMALL_MISS : 0.01) * $quantity) {
            return null;
        }
        $whole = floor($rounded);
        $part = self::FRACTIONS[(string) ($rounded - $whole)] ?? '';

        return trim(($whole > 0 ? (int) $whole.' ' : '').$part).' '.$unit.($unit === 'cup' && $rounded > 1 ? 's' : '');
    }

    /** A count in whole pieces and quarters; null where that would miss. */
    private static function counted(float $quantity): ?string
    {
        $quarters = round($quantity * 4) / 4;
        if ($quarters <= 0.0 || abs($quarters - $quantity) > self::MAY_MISS * $quantity) {
            return null;
        }
        $whole = floor($quarters);
        $part = self::FRACTIONS[(string) ($quarters - $whole)] ?? '';

        return trim(($whole > 0 ? (string) (int) $whole : '').($part === '' ? '' : ($whole > 0 ? ' ' : '').$part));
    }

    /** Whole grams, tenths under ten. */
    private static function number(float $grams): string
    {
        return $grams >= 10 ? (string) round($grams) : (string) max(0.1, round($grams, 1));
    }
}
