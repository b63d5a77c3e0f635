<?php

declare(strict_types=1);

namespace MildBowl\Core\Sizes;

use MildBowl\Core\Formulate\Story;
use MildBowl\Core\Kitchen\KitchenMeasure;
use MildBowl\Core\Kitchen\LineReader;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Kitchen\ReadRecipe;
use MildBowl\Core\Pantry\Weigher;
use MildBowl\Core\Swaps\LineWriter;

/**
 * A recipe with every amount multiplied, in amounts a kitchen can measure: eighths of a cup, quarters of a spoon, whole grams.
 * Each line is read back, so that what is written weighs what is meant.
 */
final class Scaled
{
    /** A kitchen fraction may miss what is meant by this share; else it is weighed. */
    private const MAY_MISS = 0.04;

    /** Parts of a measure that spoons and cups come in, and up to how many of it one counts. */
    private const SPOONS = ['cup' => [4, 40], 'tbsp' => [2, 6], 'tsp' => [4, 6]];

    private const METRIC = ['g', 'kg', 'ml', 'l', 'dl', 'cl', 'mg'];

    private const FRACTIONS = ['0.25' => '¼', '0.5' => '½', '0.75' => '¾'];

    public readonly string $text;

    /** @var list<array{line: string, to: string, note: ?string}> what was rewritten, or could not be */
    public array $lines = [];

    private readonly Weigher $weigher;

    private readonly LineWriter $writer;

    public function __construct(string $text, ReadRecipe $recipe, private readonly float $factor, private readonly string $units)
    {
        $this->weigher = new Weigher($units);
        $this->writer = new LineWriter($this->weigher, LineWriter::isByWeight(...$recipe->lines));
        $rows = explode("\n", str_replace(["\r\n", "\r"], "\n", $text));
        $byRow = [];
        foreach ($recipe->lines as $line) {
            $byRow[$line->row][] = $line;
        }
        foreach ($byRow as $row => $lines) {
            $written = [];
            foreach ($lines as $line) {
                $to = $this->line($line);
                $written[] = $to;
            }
            $rows[$row] = implode("\n", $written);
        }
        $this->text = implode("\n", $rows);
    }

    private function line(ReadLine $line): string
    {
        if ($line->amounts === []) {
            if ($line->ingredient === null || ! $this->weigher->isDefault($line)) {
                $this->lines[] = ['line' => $line->text, 'to' => $line->text, 'note' => 'Without an amount: left as it is.'];
            }

            return $line->text;
        }
        $grams = $this->weigher->weigh($line);
        if ($line->ingredient === null || $grams === null) {
            $this->lines[] = ['line' => $line->text, 'to' => $line->text, 'note' => 'Not understood: left as it is. Scale it yourself.'];

            return $line->text;
        }
        $wanted = $grams->best * $this->factor;
        foreach ([$this->inPlace($line, $grams->best), $this->weighed($line, $wanted), $this->writer->write($line->ingredient, $wanted, $line), self::number($wanted).' g '.LineWriter::name($line->ingredient)] as $to) {
            if ($to !== null && $this->weighs($to, $line, $wanted)) {
                $this->lines[] = ['line' => $line->text, 'to' => $to, 'note' => $line->ingredient === 'egg' && str_contains($to, ' g ') ? 'No part of an egg in the shell: beat it, and weigh.' : null];

                return $to;
            }
        }
        $this->lines[] = ['line' => $line->text, 'to' => $line->text, 'note' => 'Could not be rewritten: take '.Story::number($wanted).' g.'];

        return $line->text;
    }

    private function weighs(string $text, ReadLine $line, float $wanted): bool
    {
        $read = LineReader::read($text, 0, null);
        $grams = $read->ingredient === null ? null : $this->weigher->weigh($read);

        return $read->ingredient === $line->ingredient && $grams !== null && count($read->unread) <= count($line->unread) && abs($grams->best - $wanted) <= max(0.25, self::MAY_MISS * $wanted);
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
            $new = self::spoons($quantity, $unit) ?? KitchenMeasure::of($quantity * $this->millilitres($unit), $this->units);
        } else {
            $count = self::counted($quantity);
            if ($count === null || ($line->ingredient === 'egg' && floor($quantity + 0.01) !== round($quantity, 2))) {
                return null;
            }
            // "2 large eggs": only the number changes
            $new = preg_replace('/^[\d\s.,\/½¼¾⅓⅔⅛⅜⅝⅞⁄]+|^(a|an|one|two|three|four|five|six|half a|half)\s+/iu', $count.' ', substr($line->clean, ...$span), 1, $hits);
            if ($hits === 0 || $new === null) {
                return null;
            }
            $new = trim($new);
        }

        return trim(substr($line->clean, 0, $span[0]).$new.substr($line->clean, $span[0] + $span[1]));
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

        return trim(substr($line->clean, 0, $span[0]).self::number($grams).' g '.($line->ingredient === 'egg' ? 'beaten egg' : $rest));
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
        $rounded = round($quantity * $parts) / $parts;
        if ($rounded <= 0.0 || $quantity > $most || abs($rounded - $quantity) > 0.01 * $quantity) {
            return null;
        }
        $whole = floor($rounded);
        $part = self::FRACTIONS[(string) ($rounded - $whole)] ?? '';

        return trim(($whole > 0 ? (int) $whole.' ' : '').$part).' '.$unit.($unit === 'cup' && $rounded > 1 ? 's' : '');
    }

    private function millilitres(string $unit): float
    {
        return \MildBowl\Core\Data::tables()['units']['sizes'][$this->units][$unit][1] ?? 0.0;
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
