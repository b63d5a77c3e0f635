<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Cutter;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Feeding\Ramp;
use MildBowl\Core\Feeding\Ration;
use MildBowl\Core\Judging\Judgement;
use MildBowl\Core\Judging\Question;
use MildBowl\Core\Sizes\OpenCut;
use MildBowl\Core\Sizes\Wish;
use MildBowl\Core\Telling\Story;
use MildBowl\Core\Values\Figure;

/** `size`, backwards: so many pieces a day for each dog, for so many days, out of one dough. Solves for the sizes and for how much dough. */
final readonly class SizeQuestion
{
    /** A counted piece depends on the whole dough: a little room for what the scales round. */
    private const ROOM = 0.995;

    /** However the limits round: so often a smaller piece is tried. */
    private const TRIES = 40;

    private const SMALLER = 0.98;

    /** @param  non-empty-list<Wish>  $wishes */
    public function __construct(private Question $question, private OpenCut $open, private array $wishes, private int $days) {}

    public function answer(): SizeAnswer
    {
        // what was said of the parts must fit the recipe, whatever the cut
        $this->question->bowl();
        $judgement = Judgement::on($this->question->withCut(Cut::assumed()));
        foreach ($this->wishes as $wish) {
            $open = $judgement->whyNotCleared($wish->dog);
            if ($open !== null) {
                return SizeAnswer::impossible($open->why, 'Settle what is marked first, or rescue the recipe.', $open->confirmable ? $this->solve($judgement) : null);
            }
        }

        return $this->solve($judgement);
    }

    private function solve(Judgement $judgement): SizeAnswer
    {
        $dough = $judgement->bowl->parts->body->kept;
        if ($dough->grams->best <= 0.0) {
            return SizeAnswer::impossible('Nothing in this recipe could be weighed.', 'Give the lines amounts.');
        }
        if ($dough->kcal->best <= 0.0) {
            return SizeAnswer::impossible('Nothing in this recipe holds any energy that could be counted.', 'Use foods whose composition is known.');
        }
        $cuts = [];
        foreach ($this->wishes as $wish) {
            $found = $this->cutFor($wish, $judgement);
            if ($found instanceof SizeAnswer) {
                return $found;
            }
            $cuts[] = [$wish, $found];
        }

        return $this->open->isCounted() ? $this->counted($judgement) : $this->sized($cuts, $judgement);
    }

    /** The cut for one wish; else why there is none and what would make it possible. */
    private function cutFor(Wish $wish, Judgement $judgement): Cut|SizeAnswer
    {
        $dog = $wish->dog;
        $dough = $judgement->bowl->parts->body->kept;
        $whole = Cut::assumed();
        $ration = $this->rationAt($wish, $whole, $judgement);
        if ($dog->weightKg === null || $ration->energy->dailyKcal === null) {
            return SizeAnswer::impossible("{$dog->name} has no ration".($dog->weightKg === null ? ' without a weight.' : ': pregnant or nursing, the vet decides.'), $dog->weightKg === null ? 'Enter its weight.' : 'Ask the vet.');
        }
        $most = self::most($ration);
        if ($most === null || $most <= 0.0) {
            return SizeAnswer::impossible("{$dog->name} may have nothing of this today: held by ".Story::holds($ration->heldBy).'.', 'Another day, or another recipe.');
        }
        if ($this->open->isCounted()) {
            return Cut::of($this->open->shape->id(), ['count' => 1.0]);
        }
        // every limit is an amount of dough a day, whatever the size of a piece
        $gramsPerDay = $most * $dough->grams->best / (float) $whole->count();
        $mlPerDay = $gramsPerDay * $this->open->shape->used() / $dough->density();
        $bite = $dog->safeBiteMm();
        $thick = $this->open->thickMm();
        if ($thick !== null && $bite !== null && $thick > $bite) {
            return SizeAnswer::impossible(Figure::of($thick)." mm thick is more than {$dog->name} may swallow whole.", 'Roll it to '.Figure::of($bite).' mm or thinner.');
        }
        for ($try = 0, $ml = $mlPerDay / $wish->piecesPerDay; $try < self::TRIES; $try++, $ml *= self::SMALLER) {
            $cut = Cut::largest($this->open->shape, $this->open->given, $ml, $bite);
            if ($cut === null) {
                break;
            }
            if (($this->rationAt($wish, $cut, $judgement)->pieces ?? 0.0) >= $wish->piecesPerDay) {
                return $cut;
            }
        }

        return SizeAnswer::impossible(Figure::of($wish->piecesPerDay)." a day for {$dog->name} would need pieces smaller than can be cut.", $this->remedy($wish, $mlPerDay, $bite));
    }

    /** What would make a wish possible: fewer pieces, or a thinner sheet. */
    private function remedy(Wish $wish, float $mlPerDay, ?float $bite): string
    {
        $remedies = [];
        for ($pieces = floor($wish->piecesPerDay); $pieces >= 1; $pieces--) {
            if (Cut::largest($this->open->shape, $this->open->given, $mlPerDay / $pieces, $bite) !== null) {
                $remedies[] = Figure::of($pieces).' a day';
                break;
            }
        }
        for ($thick = floor(($this->open->given['thicknessMm'] ?? 6.0) - 1); $this->open->isRolled() && $thick >= 2; $thick--) {
            if (Cut::largest($this->open->shape, $this->open->rolledTo($thick)->given, $mlPerDay / $wish->piecesPerDay, $bite) !== null) {
                $remedies[] = 'a sheet of '.Figure::of($thick).' mm';
                break;
            }
        }
        $remedies[] = 'a leaner recipe';

        return 'It would go with '.implode(', or ', $remedies).'.';
    }

    /** What a dog may have of the whole recipe cut one way. */
    private function rationAt(Wish $wish, Cut $cut, Judgement $judgement): Ration
    {
        return Ration::of($wish->dog, $judgement->bowl->batch($cut, $this->question->texture())->for($wish->dog), $this->question->kitchen->policy, Ramp::today($wish->dog, $judgement->bowl->foods()));
    }

    /** Pieces a day, not rounded, with the slow start of something new. */
    private static function most(Ration $ration): ?float
    {
        $most = null;
        foreach ($ration->limits as $limit) {
            $most = min($most ?? INF, $limit->piecesPerDay);
        }

        return $most;
    }

    /** @param  non-empty-list<array{Wish, Cut}>  $cuts */
    private function sized(array $cuts, Judgement $judgement): SizeAnswer
    {
        $whole = $judgement->bowl->parts->body->kept;
        $groups = [];
        foreach ($cuts as [$wish, $cut]) {
            $groups[json_encode($cut->sizes, JSON_THROW_ON_ERROR)][] = [$wish, $cut];
        }
        $sizes = [];
        $dough = 0.0;
        $tray = $this->question->kitchen->tray;
        foreach ($groups as $group) {
            $cut = $group[0][1];
            $batch = $judgement->bowl->batch($cut, $this->question->texture());
            $pieces = array_sum(array_map(fn (array $one): int => $one[0]->pieces($this->days), $group));
            $grams = $pieces * (float) $cut->pieceMl() * $whole->density() / $cut->used();
            $dough += $grams;
            $sizes[] = new SizeOf(
                array_map(static fn (array $one) => $one[0]->dog, $group), $cut, $pieces, $batch->pieceKcal->best, $grams,
                Cutter::commonFor($cut), $tray === null ? null : SheetPlan::of($cut, $tray, (float) $pieces),
            );
        }

        return new SizeAnswer(true, null, null, $dough / $whole->grams->best, $sizes);
    }

    /** Pieces that are only counted: how many the scaled dough must be cut into so that each dog's is small enough. */
    private function counted(Judgement $judgement): SizeAnswer
    {
        $whole = $judgement->bowl->parts->body->kept->grams->best;
        $sizes = [];
        $dough = 0.0;
        foreach ($this->wishes as $wish) {
            $piece = self::ROOM * (float) self::most($this->rationAt($wish, Cut::assumed(), $judgement)) * $whole / (float) Cut::assumed()->count() / $wish->piecesPerDay;
            $dough += $wish->pieces($this->days) * $piece;
            $sizes[] = [$wish, $piece];
        }
        $kcalPerGram = $judgement->bowl->batch(Cut::assumed(), $this->question->texture())->kcal->best / $whole;
        $answer = [];
        foreach ($sizes as [$wish, $piece]) {
            // counted by the whole scaled dough; one more where rounding would make them too large
            $count = (int) ceil($dough / $piece - 1e-9);
            $pieces = $wish->pieces($this->days);
            $answer[] = new SizeOf([$wish->dog], Cut::of($this->open->shape->id(), ['count' => (float) $count]), $pieces, $kcalPerGram * $dough / $count, $pieces * $dough / $count, null, null);
        }

        return new SizeAnswer(true, null, null, $dough / $whole, $answer);
    }
}
