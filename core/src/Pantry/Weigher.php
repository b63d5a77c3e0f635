<?php

declare(strict_types=1);

namespace MildBowl\Core\Pantry;

use MildBowl\Core\Data;
use MildBowl\Core\Kitchen\Amount;
use MildBowl\Core\Kitchen\KitchenMeasure;
use MildBowl\Core\Kitchen\ReadLine;
use MildBowl\Core\Range;

/** Turns the amounts of a line into grams, through densities by form, piece weights and the kitchen's own cup. */
final class Weigher
{
    private const ML_PER_CUP = 236.6;

    /** Share of a tin that is left once its liquid is poured off, and groups that are tinned in liquid. */
    private const DRAINED = [0.55, 0.60, 0.70];

    private const IN_LIQUID = ['legume', 'tinned-fish'];

    /** What a purpose stands for when a line gives no amount: grams low, best, high. */
    private const PURPOSES = [
        'dusting' => [10.0, 15.0, 25.0],
        'greasing' => [2.0, 5.0, 10.0],
        'taste' => [0.3, 1.0, 3.0],
    ];

    /** @var array<string, list<string>> */
    private static array $groupRows = [];

    public function __construct(private readonly string $units) {}

    /**
     * Grams of a line's own food; null when the line gives no amount that can be weighed.
     */
    public function weigh(ReadLine $line): ?Range
    {
        $ingredient = $line->ingredient === null ? null : Catalogue::get($line->ingredient);
        $grams = null;
        $sums = false;
        $previous = null;
        foreach ($line->amounts as $amount) {
            $mass = $ingredient === null ? $this->massOnly($amount) : $this->one($amount, $ingredient, $line);
            if ($mass === null) {
                $previous ??= $amount;

                continue;
            }
            if ($previous === null) {
                $grams = $mass;
            } elseif ($this->adds($previous, $amount, $line)) {
                $grams = $grams === null ? $mass : $grams->plus($mass);
                $sums = true;
            } elseif (! $sums && $this->isMass($amount) && ! $this->isMass($previous)) {
                // "1 cup (120 g)": the weighed figure is the better one
                $grams = $mass;
            } elseif ($grams === null) {
                $grams = $mass;
            }
            $previous = $amount;
        }
        if ($grams === null && $ingredient !== null && $line->amounts === []) {
            if ($line->purpose !== null) {
                return Range::of(...self::PURPOSES[$line->purpose]);
            }
            if ($ingredient->id === 'water' || $ingredient->id === 'ice') {
                return Range::of(0, 30, 60);
            }
        }

        return $grams;
    }

    /** Whether the line gives no amount and needs none ("to taste", "for dusting", water). */
    public function isDefault(ReadLine $line): bool
    {
        return $line->amounts === [] && ($line->purpose !== null || in_array($line->ingredient, ['water', 'ice'], true));
    }

    /** The same grams in the kitchen's own cups and spoons; null for what is counted or has no density. */
    public function measure(ReadLine $line, Range $grams): ?string
    {
        $ingredient = $line->ingredient === null ? null : Catalogue::get($line->ingredient);
        $perMl = $ingredient === null ? null : $this->gramsPerMl($ingredient, $line);

        return $perMl === null || $perMl->best <= 0.0 ? null : KitchenMeasure::of($grams->best / $perMl->best, $this->units);
    }

    private function adds(Amount $previous, Amount $amount, ReadLine $line): bool
    {
        $joint = $line->keys[$amount->from - 1] ?? '';

        return $amount->from - $previous->to <= 1 && (in_array($joint, ['+', 'plus', 'and', '&'], true) || $amount->from === $previous->to);
    }

    private function isMass(Amount $amount): bool
    {
        return (Data::tables()['units']['sizes'][$this->units][$amount->unit][0] ?? '') === 'g';
    }

    private function massOnly(Amount $amount): ?Range
    {
        $unit = Data::tables()['units']['sizes'][$this->units][$amount->unit] ?? null;

        return $unit !== null && $unit[0] === 'g' ? $amount->quantity->times($unit[1]) : null;
    }

    private function one(Amount $amount, Ingredient $ingredient, ReadLine $line): ?Range
    {
        $tables = Data::tables();
        $unit = $tables['units']['sizes'][$this->units][$amount->unit] ?? null;
        if ($unit !== null) {
            return $unit[0] === 'g'
                ? $amount->quantity->times($unit[1])
                : $this->gramsPerMl($ingredient, $line)?->timesRange($amount->quantity->times($unit[1]));
        }
        if ($amount->contents !== null) {
            $inside = $this->one($amount->contents, $ingredient, $line);

            return $inside === null ? null : $this->drained($inside->timesRange($amount->quantity), $ingredient, $line);
        }
        if ($amount->unit === 'each' && $ingredient->gramsEach !== null) {
            return $ingredient->gramsEach->timesRange($amount->quantity);
        }
        // "3 peppermint leaves": the leaf is part of the name, but it is what was counted
        $leaves = $amount->unit === 'each' && in_array('leaf', $line->keys, true)
            ? new Amount($amount->quantity, 'leaf', null, $amount->from, $amount->to) : $amount;
        $piece = $this->piece($ingredient->id, $leaves) ?? $this->pieceOfGroups($ingredient, $leaves)
            ?? $this->piece($ingredient->id, $amount) ?? $this->pieceOfGroups($ingredient, $amount);
        if ($piece !== null) {
            return $piece->timesRange($amount->quantity);
        }
        $measure = $tables['measures']['sizes'][$amount->unit] ?? null;
        if ($measure !== null) {
            $size = Range::of($measure[1], $measure[2], $measure[3])->timesRange($amount->quantity);

            return $measure[0] === 'g' ? $size : $this->gramsPerMl($ingredient, $line)?->timesRange($size);
        }

        return null;
    }

    private function piece(string $id, Amount $amount): ?Range
    {
        $pieces = Data::tables()['pieces'][$id] ?? null;
        if ($pieces === null) {
            $like = Data::tables()['entries'][$id]['like'] ?? '';
            $pieces = $like === '' ? null : (Data::tables()['pieces'][$like] ?? null);
        }
        $found = $pieces["{$amount->unit}:{$amount->size}"] ?? $pieces["{$amount->unit}:"] ?? null;

        return $found === null ? null : Range::of(...$found);
    }

    private function pieceOfGroups(Ingredient $ingredient, Amount $amount): ?Range
    {
        foreach (self::groupRows('pieces') as $group) {
            $found = $ingredient->inGroup($group) ? $this->piece("group:$group", $amount) : null;
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    private function drained(Range $grams, Ingredient $ingredient, ReadLine $line): Range
    {
        foreach (self::IN_LIQUID as $group) {
            if ($ingredient->inGroup($group) && ! $ingredient->inGroup('nut-butter')) {
                if ($line->hasForm('drained')) {
                    return Range::of($grams->low * self::DRAINED[0], $grams->best * self::DRAINED[1], $grams->high * self::DRAINED[2]);
                }

                return $line->hasForm('undrained') ? $grams : Range::of($grams->low * self::DRAINED[0], $grams->best * 0.8, $grams->high);
            }
        }

        return $grams;
    }

    /** Grams in a millilitre of this food in the form the line states; null when no density is known. */
    private function gramsPerMl(Ingredient $ingredient, ReadLine $line): ?Range
    {
        if ($ingredient->gramsPerCup !== null) {
            return $ingredient->gramsPerCup->times(1 / self::ML_PER_CUP);
        }
        $tables = Data::tables();
        $candidates = [$ingredient->id];
        $like = $tables['entries'][$ingredient->id]['like'] ?? '';
        if ($like !== '') {
            $candidates[] = $like;
        }
        foreach (self::groupRows('densities') as $group) {
            if ($ingredient->inGroup($group)) {
                $candidates[] = "group:$group";
            }
        }
        foreach ($candidates as $candidate) {
            $rows = $tables['densities'][$candidate] ?? null;
            if ($rows === null) {
                continue;
            }
            foreach ($line->forms as $form) {
                if (isset($rows[$form])) {
                    return Range::of(...$rows[$form])->times(1 / self::ML_PER_CUP);
                }
            }
            if (isset($rows[''])) {
                return Range::of(...$rows[''])->times(1 / self::ML_PER_CUP);
            }
        }

        return null;
    }

    /**
     * Groups that have a row of their own in a table, in the order of the file: the narrower stands first, so that
     * peanut oil weighs like an oil and not like a legume.
     *
     * @param  'densities'|'pieces'  $table
     * @return list<string>
     */
    private static function groupRows(string $table): array
    {
        if (! isset(self::$groupRows[$table])) {
            self::$groupRows[$table] = [];
            foreach (array_keys(Data::tables()[$table]) as $key) {
                if (str_starts_with($key, 'group:')) {
                    self::$groupRows[$table][] = substr($key, 6);
                }
            }
        }

        return self::$groupRows[$table];
    }
}
