<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Sizes\By;
use MildBowl\Core\Sizes\Scaled;
use MildBowl\Core\Values\Figure;

/** `scale`: the same recipe larger or smaller: by a factor, by pieces, by days for these dogs, by a tin, or by what is at hand. */
final readonly class ScaleQuestion
{
    /** From this many times up or down, leaven and tins do not follow straight. */
    private const FAR = 2.0;

    private const MOST = 100.0;

    private const TRIES = 4;

    /** A tin is filled to two thirds or three quarters where a leaven raises it (reference page 7, parts). */
    private const LEAVENED = 0.7;

    private const MEASURED_EGG = ['g', 'kg', 'ml', 'cup', 'tbsp', 'tsp', 'oz', 'lb'];

    public function __construct(private Question $question, private By $by) {}

    /** @throws RequestRefused when nothing can be scaled so */
    public function answer(): ScaleAnswer
    {
        $judgement = Judgement::on($this->question);
        $factor = match ($this->by->way) {
            'factor' => $this->by->measure,
            'pieces' => self::over($this->by->measure, $judgement->lots->main()->batch->count->best, '/by/pieces', 'It makes no pieces yet: give the lines amounts.'),
            'days' => $this->byDays($judgement),
            'tin' => self::over(self::filled($judgement) * $this->by->measure * $judgement->bowl->parts->body->kept->density(), $judgement->bowl->parts->body->kept->grams->best, '/by/tin', 'Nothing in this recipe could be weighed.'),
            'atHand' => $this->byHand($judgement),
        };
        if ($factor > self::MOST || $factor < 1 / self::MOST) {
            throw RequestRefused::outOfRange("/by/{$this->by->way}", 'That would be '.Figure::of($factor).' times the recipe: from a hundredth to a hundred times can be scaled.');
        }
        $scaled = $this->scaled($judgement, $factor);
        $warnings = $this->warnings($judgement, $factor);
        if ($this->by->way === 'pieces' && $this->question->cut()->count() === null) {
            [$factor, $scaled, $says] = $this->toPieces($judgement, $factor, $scaled);
            $warnings = [...$says, ...$warnings];
        }

        return new ScaleAnswer($factor, $scaled->text, $scaled->lines, $warnings, $this->wholeEggs($judgement, $factor));
    }

    private function scaled(Judgement $judgement, float $factor): Scaled
    {
        return Scaled::by($factor, $this->question->text, $judgement->bowl->recipe, $this->question->kitchen);
    }

    /**
     * Scaled until the amounts a kitchen measures make the pieces that were asked for; what they make instead is said.
     *
     * @return array{float, Scaled, list<string>}
     */
    private function toPieces(Judgement $judgement, float $factor, Scaled $scaled): array
    {
        $asked = $this->by->measure;
        for ($try = 0; $try < self::TRIES; $try++) {
            $count = $this->countOf($scaled);
            if ($count >= $asked - 1e-6 && $count < $asked + 1) {
                return [$factor, $scaled, []];
            }
            if ($count <= 0.0) {
                break;
            }
            $factor *= ($asked + 0.3) / $count;
            $scaled = $this->scaled($judgement, $factor);
        }
        $count = $this->countOf($scaled);

        return [$factor, $scaled, floor($count + 1e-6) === $asked ? [] : ['It makes about '.round($count).' pieces, not '.round($asked).': amounts are rounded to what a kitchen can measure.']];
    }

    private function countOf(Scaled $scaled): float
    {
        return Judgement::on($this->question->withText($scaled->text, $this->question->steps))->lots->main()->batch->count->best;
    }

    /** Share of a tin that is filled: a leaven raises the rest. */
    private static function filled(Judgement $judgement): float
    {
        return self::isLeavened($judgement) ? self::LEAVENED : 1.0;
    }

    private static function over(float $wanted, float $now, string $path, string $why): float
    {
        return $now > 0.0 ? $wanted / $now : throw RequestRefused::outOfRange($path, $why);
    }

    /** So much that every dog that may have some has its full ration for so many days. */
    private function byDays(Judgement $judgement): float
    {
        $factor = 0.0;
        foreach ($judgement->lots->all as $lot) {
            $aDay = 0.0;
            foreach ($lot->dogs as $dog) {
                $aDay += $judgement->whyNotCleared($dog) === null ? $judgement->rationOf($dog)->pieces ?? 0.0 : 0.0;
            }
            $count = $lot->batch->count->best;
            $factor = $count > 0.0 ? max($factor, $this->by->measure * $aDay / $count) : $factor;
        }

        return $factor > 0.0 ? $factor : throw RequestRefused::outOfRange('/by/days', 'No dog at the table may have any of it yet: settle what is marked first.');
    }

    /** So much that one line comes to what is at hand. */
    private function byHand(Judgement $judgement): float
    {
        foreach ($judgement->bowl->dough->weighed as $one) {
            if ($one->line === $this->by->line) {
                return self::over($this->by->measure, $one->grams->best, '/by/atHand/line', 'That line weighs nothing.');
            }
        }
        throw RequestRefused::outOfRange('/by/atHand/line', 'That line has no amount that could be weighed.');
    }

    /** @return list<string> */
    private function warnings(Judgement $judgement, float $factor): array
    {
        $warnings = [];
        if (($factor >= self::FAR || $factor <= 1 / self::FAR) && self::isLeavened($judgement)) {
            $warnings[] = 'Leaven does not scale straight: look early, and note how it rose.';
        }
        if ($this->by->way === 'tin') {
            $warnings[] = self::isLeavened($judgement) ? 'Fills your tin to about '.round(100 * self::LEAVENED).' %: the leaven raises it to the rim.' : 'Fills your tin to the depth you gave: nothing in it rises.';

            return [...$warnings, ...$this->large($factor)];
        }
        $cut = $this->question->cut();
        if (($cut->lies() === Lies::AsSheet || $cut->shape() === 'slices') && abs($factor - 1) > 0.1) {
            $warnings[] = 'In the same tin it stands '.Figure::of($factor).' times as deep, and takes longer: take a tin of '.Figure::of($factor).' times the area.';
        }

        return [...$warnings, ...$this->large($factor)];
    }

    /** @return list<string> */
    private function large(float $factor): array
    {
        return $factor > self::FAR ? ['A large batch wants a mixer, and may need two bowls.'] : [];
    }

    private static function isLeavened(Judgement $judgement): bool
    {
        foreach ($judgement->bowl->dough->weighed as $one) {
            if ($one->ingredient->inGroup('baking-leavener') || in_array($one->ingredient->id, ['bakers-yeast', 'self-raising-flour'], true)) {
                return true;
            }
        }

        return false;
    }

    /** To the next whole egg, with the rest adjusted; null when the eggs come out whole anyway. */
    private function wholeEggs(Judgement $judgement, float $factor): ?WholeEggs
    {
        foreach ($judgement->bowl->recipe->lines as $line) {
            $amount = $line->amounts[0] ?? null;
            if ($line->food?->id !== 'egg' || $amount === null || count($line->amounts) !== 1 || ! $amount->quantity->isExact() || in_array($amount->unit, self::MEASURED_EGG, true)) {
                continue;
            }
            $eggs = $amount->quantity->best * $factor;
            $whole = max(1.0, ceil($eggs - 0.02));
            if (abs($whole - $eggs) <= 0.02) {
                return null;
            }
            $to = $whole / $amount->quantity->best;
            $grams = abs($to - $factor) * $judgement->bowl->dough->grams->best;

            return new WholeEggs($to, $this->scaled($judgement, $to)->text, 'With '.Figure::of($whole).' whole '.($whole === 1.0 ? 'egg' : 'eggs').' in place of '.Figure::of($eggs)
                .': '.(abs($to - 1) < 0.005 ? 'the recipe as it is' : Figure::of($to).' times the recipe').', '.Figure::roughGrams($grams).' '.($to > $factor ? 'more' : 'less').' dough.');
        }

        return null;
    }
}
