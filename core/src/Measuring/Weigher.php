<?php

declare(strict_types=1);

namespace MildBowl\Core\Measuring;

use MildBowl\Core\Data\Unit;
use MildBowl\Core\Pantry\Ingredient;
use MildBowl\Core\Reading\Amount;
use MildBowl\Core\Reading\ReadLine;
use MildBowl\Core\Values\Range;

/** Turns the amounts of a line into grams, through densities by form, piece weights and the kitchen's own cup. */
final readonly class Weigher
{
    /** Share of a tin that is left once its liquid is poured off, and groups that are tinned in liquid. */
    private const DRAINED = [0.55, 0.60, 0.70];

    private const IN_LIQUID = ['legume', 'tinned-fish'];

    /** What a purpose stands for when a line gives no amount: grams low, best, high. */
    /** Counted, and yet what fills a spoon or a cup. */
    private const LOOSE = ['juice-of', 'zest-of', 'handful', 'bunch', 'punnet'];

    private const PURPOSES = [
        'dusting' => [10.0, 15.0, 25.0],
        'greasing' => [2.0, 5.0, 10.0],
        'taste' => [0.3, 1.0, 3.0],
    ];

    public function __construct(public string $units) {}

    /** Grams of a line's own food that went in; null when the line gives no amount that can be weighed, and nobody weighed it. */
    public function weigh(ReadLine $line): ?Range
    {
        $written = $this->written($line);

        return $line->made === null ? $written : $line->made->of($written);
    }

    /** Grams of a line's own food as it is written; null when it gives no amount that can be weighed. */
    public function written(ReadLine $line): ?Range
    {
        $ingredient = $line->food;
        $grams = null;
        $sums = $isCounted = false;
        $previous = null;
        foreach ($line->amounts as $amount) {
            $mass = $ingredient === null ? $this->massOnly($amount) : $this->one($amount, $ingredient, $line);
            if ($mass === null) {
                $previous ??= $amount;

                continue;
            }
            if ($previous === null) {
                $grams = $mass;
                $isCounted = true;
            } elseif ($this->adds($previous, $amount, $line) && ($isCounted || $grams === null)) {
                $grams = $grams === null ? $mass : $grams->plus($mass);
                $sums = $isCounted = true;
            } elseif (! $sums && $this->isMass($amount) && ! $this->isMass($previous)) {
                // "1 cup (120 g)": the weighed figure is the better one
                $grams = $mass;
                $isCounted = true;
            } elseif ($grams === null) {
                $grams = $mass;
                $isCounted = true;
            } else {
                // "3 carrots (1 grated and 2 sliced)": parts of what is counted already
                $isCounted = false;
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
        return $line->amounts === [] && $line->made?->grams === null && ($line->purpose !== null || in_array($line->food?->id, ['water', 'ice'], true));
    }

    /** The same grams in the kitchen's own cups and spoons; null for what is counted, comes out of a shell, or has no density. */
    public function measure(ReadLine $line, Range $grams): ?string
    {
        $ingredient = $line->food;
        foreach ($line->amounts as $amount) {
            $isVolume = Unit::millilitres($this->units, $amount->unit) > 0.0;
            if ($this->isWhole($amount) || ($ingredient !== null && ! $isVolume && PieceWeight::isOfTheShell($ingredient))) {
                return null;
            }
        }
        $perMl = $ingredient === null ? null : $this->gramsPerMl($ingredient, $line);

        return $perMl === null || $perMl->best <= 0.0 ? null : KitchenMeasure::of($grams->best / $perMl->best, $this->units);
    }

    /** Counted in pieces that nobody fills a cup with. */
    private function isWhole(Amount $amount): bool
    {
        return Unit::in($this->units, $amount->unit) === null && Unit::measure($amount->unit) === null && ! in_array($amount->unit, self::LOOSE, true);
    }

    private function adds(Amount $previous, Amount $amount, ReadLine $line): bool
    {
        $joint = $line->keys[$amount->from - 1] ?? '';

        // "1 cup oats, plus 2 tbsp more": the food may stand between
        return in_array($joint, ['+', 'plus', 'and', '&'], true) || $amount->from === $previous->to;
    }

    private function isMass(Amount $amount): bool
    {
        return Unit::isMass($this->units, $amount->unit);
    }

    private function massOnly(Amount $amount): ?Range
    {
        $unit = Unit::in($this->units, $amount->unit);

        return $unit?->isMass === true ? $unit->size->timesRange($amount->quantity) : null;
    }

    private function one(Amount $amount, Ingredient $ingredient, ReadLine $line): ?Range
    {
        $unit = Unit::in($this->units, $amount->unit);
        if ($unit !== null) {
            return $this->sized($unit, $amount, $ingredient, $line);
        }
        if ($amount->contents !== null) {
            $inside = $this->one($amount->contents, $ingredient, $line);

            if ($inside !== null && $amount->contents->size === Amount::DRAINED) {
                return $inside->timesRange($amount->quantity);
            }

            return $inside === null ? null : $this->drained($inside->timesRange($amount->quantity), $ingredient, $line);
        }
        if ($amount->unit === 'each' && $ingredient->gramsEach !== null) {
            return $ingredient->gramsEach->timesRange($amount->quantity);
        }
        if ($amount->unit === 'each' && $amount->size === null && ($size = self::sizeBehind($line)) !== null) {
            $amount = new Amount($amount->quantity, 'each', $size, $amount->from, $amount->to);
        }
        // "3 peppermint leaves": the leaf is part of the name, but it is what was counted
        $leaves = $amount->unit === 'each' && in_array('leaf', $line->keys, true)
            ? new Amount($amount->quantity, 'leaf', null, $amount->from, $amount->to) : $amount;
        $piece = PieceWeight::of($ingredient, $leaves->unit, $leaves->size) ?? PieceWeight::of($ingredient, $amount->unit, $amount->size)
            ?? match ($amount->unit) {
                'head' => PieceWeight::of($ingredient, 'each', $amount->size),
                'stick' => PieceWeight::of($ingredient, 'stalk', $amount->size),
                default => null,
            };
        if ($piece !== null) {
            return $piece->timesRange($amount->quantity);
        }
        if ($amount->unit === 'stick' && ! $ingredient->inAny(['saturated-fat', 'oil'])) {
            return null;
        }
        $measure = Unit::measure($amount->unit);

        return $measure === null ? null : $this->sized($measure, $amount, $ingredient, $line);
    }

    /** "1 egg, medium", "2 carrots (large), grated": a size that stands by itself behind a comma or in brackets. */
    private static function sizeBehind(ReadLine $line): ?string
    {
        foreach ($line->keys as $n => $key) {
            if (in_array($key, ['small', 'medium', 'large'], true) && in_array($line->keys[$n - 1] ?? '', [',', '('], true) && (in_array($line->keys[$n + 1] ?? ',', [',', ')', 'one', 'size', 'sized'], true) || ctype_digit($line->keys[$n + 1]))) {
                return $key;
            }
        }

        return null;
    }

    private function sized(Unit $unit, Amount $amount, Ingredient $food, ReadLine $line): ?Range
    {
        $size = $unit->size->timesRange($amount->quantity);

        return $unit->isMass ? $size : $this->gramsPerMl($food, $line)?->timesRange($size);
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
    private function gramsPerMl(Ingredient $food, ReadLine $line): ?Range
    {
        // a kitchen weighs its own food by its own cup
        return $food->gramsPerCup?->times(1 / Unit::millilitres($this->units, 'cup')) ?? Density::of($food, $line->forms);
    }
}
