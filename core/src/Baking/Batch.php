<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Parts\Joins;
use MildBowl\Core\Baking\Parts\Part;
use MildBowl\Core\Baking\Parts\Parts;
use MildBowl\Core\Baking\Parts\Role;
use MildBowl\Core\Baking\Processes\NoHeat;
use MildBowl\Core\Baking\Processes\Oven;
use MildBowl\Core\Baking\Processes\Process;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Kitchen\Learned;
use MildBowl\Core\Kitchen\Oven as OwnOven;
use MildBowl\Core\Values\Range;

/** A dough cut and baked, with what is laid on it: how many pieces, what one weighs and holds. The body alone decides count and shape. */
final readonly class Batch
{
    public Range $count;

    public Range $pieceDoughGrams;

    public Range $pieceBakedGrams;

    public Range $pieceKcal;

    public Range $bakedGrams;

    public Range $kcal;

    /** kcal over the best guess in a piece, of foods whose composition nobody knows. */
    public float $pieceUnknownKcal;

    /** Dough that fills no whole piece. */
    public float $leftGrams;

    /** @var array<string, float> what one piece holds of each substance, best values */
    public array $pieceSubstances;

    /** @var list<float> share of each laid part that lies on these pieces */
    private array $shares;

    /**
     * @param  Dough  $dough  of the body
     * @param  list<Part>  $laid  the other parts
     * @param  float  $share  of the whole recipe
     */
    public function __construct(
        public Dough $dough,
        private Cut $cut,
        private Texture $texture,
        private Measured $measured = new Measured,
        private array $laid = [],
        private float $share = 1.0,
        private ?Process $process = null,
        private bool $isDrained = false,
        private Corrections $learned = new Corrections,
    ) {
        $dough0 = $dough->grams;
        $class = $this->heatClass();
        $estimate = self::heavier($class->bakedGrams($texture, $dough0, $dough->solids), $dough0, $learned->mass);
        $baked = $measured->bakedGrams === null ? $estimate : Range::exact($measured->bakedGrams);
        $kept = $measured->keptOf($baked->best);
        $kcal = $dough->kcal->times($kept);
        $bakedGrams = $measured->bakedGrams === null ? $baked->times($kept) : $baked;
        $fixed = $measured->count ?? $cut->count();
        $left = 0.0;
        if ($dough0->best <= 0.0) {
            $count = $pieceDough = $pieceBaked = $pieceKcal = Range::zero();
        } elseif ($fixed !== null && $fixed > 0) {
            [$count, $pieceDough, $pieceBaked, $pieceKcal] = [Range::exact($fixed), $dough0->times($kept / $fixed), $bakedGrams->times(1 / $fixed), $kcal->times(1 / $fixed)];
        } else {
            $piece = (float) $cut->pieceMl() * $dough->density() * $class->fills($dough) * $this->bodyShare() / $learned->count;
            [$count, $pieceDough, $pieceBaked, $pieceKcal] = self::cutBySize($dough, $bakedGrams, $piece, $cut->used() * $kept, $kept);
            if ($cut->hasCells() && $count->best >= 1.0) {
                $whole = self::wholeCells($count);
                $left = max(0.0, $dough0->best * $kept - $whole->best * $piece);
                $bakedGrams = $pieceBaked->times($whole->best);
                $kcal = $pieceKcal->times($whole->best);
                $count = $whole;
            } elseif ($cut->hasCells()) {
                // not one hollow full: all of it in one
                [$count, $pieceDough, $pieceBaked, $pieceKcal] = [Range::exact(1.0), $dough0->times($kept), $bakedGrams, $kcal];
            }
        }
        $substances = self::inOnePiece($dough, $pieceKcal, $count);
        $shares = [];
        $unknown = $dough->kcal->best > 0.0 ? $dough->unknownKcal * $pieceKcal->best / $dough->kcal->best : 0.0;
        foreach ($laid as $part) {
            $shares[] = $on = $part->shareOn($count->best, $share);
            $bakedGrams = $bakedGrams->plus($part->keptGrams->times($on));
            $kcal = $kcal->plus($part->kept->kcal->times($on));
            $each = $count->best > 0.0 ? $on / $count->best : 0.0;
            $pieceDough = $pieceDough->plus($part->kept->grams->times($each));
            $pieceBaked = $pieceBaked->plus($part->keptGrams->times($each));
            $pieceKcal = $pieceKcal->plus($part->kept->kcal->times($each));
            $unknown += $part->kept->unknownKcal * $each;
            foreach ($part->kept->substances as $substance => $amount) {
                $substances[$substance] = ($substances[$substance] ?? 0.0) + $amount * $each;
            }
        }
        [$this->count, $this->pieceDoughGrams, $this->pieceBakedGrams, $this->pieceKcal] = [$count, $pieceDough, $pieceBaked, $pieceKcal];
        $this->pieceUnknownKcal = $unknown;
        [$this->bakedGrams, $this->kcal, $this->leftGrams, $this->pieceSubstances, $this->shares] = [$bakedGrams, $kcal, $left, $substances, $shares];
    }

    /** A share of a recipe in parts: of the body, and of everything that comes with it. */
    public static function of(Parts $parts, float $share, Cut $cut, Texture $texture, Measured $measured, Learned $learned = new Learned): self
    {
        $body = $parts->body;
        $dried = $body->keeps->grams !== null && $measured->bakedGrams === null ? new Measured($measured->count, $body->keeps->grams * $share, $measured->wasteGrams) : $measured;

        $baked = $body->textureAt($texture);

        return new self($body->kept->part($share), $cut, $baked, $dried, $parts->laid(), $share, $body->processAt($texture), $body->keeps->drained, Corrections::learned($learned, $baked));
    }

    /** As much heavier as this kitchen's turn out; never more than went in. */
    private static function heavier(Range $estimate, Range $dough, float $by): Range
    {
        return $by === 1.0 ? $estimate : Range::of(min($dough->low, $estimate->low * $by), min($dough->best, $estimate->best * $by), min($dough->high, $estimate->high * $by));
    }

    /** What the heat does to it. */
    public function heatClass(): HeatClass
    {
        return HeatClass::of($this->cut, $this->texture, $this->process ?? ($this->texture->isHeated ? new Oven : new NoHeat), $this->dough, $this->isFilled(), $this->isDrained);
    }

    public function heat(?OwnOven $oven, ?float $toGrams): Heat
    {
        return Heat::of($this->cut, $this->texture, $this->dough, $oven, $this->process, $this->isFilled(), $toGrams, $this->learned->minutes);
    }

    /** What of a mould the body fills where a filling is baked in it: together they fill it. */
    private function bodyShare(): float
    {
        if (! $this->cut->hasCells()) {
            return 1.0;
        }
        $body = $this->dough->grams->best / $this->dough->density();
        $filling = 0.0;
        foreach ($this->laid as $part) {
            $isInside = $part->role === Role::Filling && $part->joins === Joins::Before && $part->gramsPerPiece === null;
            $filling += $isInside ? $this->share * $part->kept->grams->best / max(0.1, $part->kept->density()) : 0.0;
        }

        return $body <= 0.0 ? 1.0 : $body / ($body + $filling);
    }

    private function isFilled(): bool
    {
        return array_filter($this->laid, static fn (Part $part): bool => $part->role === Role::Filling && $part->joins === Joins::Before) !== [];
    }

    /** The pieces as the body makes them, with nothing laid on. */
    public function bare(): self
    {
        return $this->laid === [] ? $this : new self($this->dough, $this->cut, $this->texture, $this->measured, [], $this->share, $this->process, $this->isDrained, $this->learned);
    }

    /** The same pieces as one dog gets them, without what it goes without. */
    public function for(Dog $dog): self
    {
        if ($dog->without === [] || $this->laid === []) {
            return $this;
        }
        $laid = array_values(array_filter($this->laid, static fn (Part $part): bool => ! $part->isLeftOutFor($dog)));

        return count($laid) === count($this->laid) ? $this : new self($this->dough, $this->cut, $this->texture, $this->measured, $laid, $this->share, $this->process, $this->isDrained, $this->learned);
    }

    /** What goes on the pieces before any heat. */
    public function doughGrams(): Range
    {
        $grams = $this->dough->grams;
        foreach ($this->laid as $n => $part) {
            $grams = $grams->plus($part->kept->grams->times($this->shares[$n]));
        }

        return $grams;
    }

    /** Share of a part that lies on these pieces; the body's share of the recipe. */
    public function shareOf(Part $part): float
    {
        foreach ($this->laid as $n => $one) {
            if ($one === $part) {
                return $this->shares[$n];
            }
        }

        return $part->isBody() ? $this->share : 0.0;
    }

    /** A hollow or a square is full or it is none. */
    private static function wholeCells(Range $count): Range
    {
        $whole = static fn (float $cells): float => max(0.0, floor($cells + 1e-9));

        return Range::of($whole($count->low), $whole($count->best), $whole($count->high));
    }

    /**
     * Every gram of dough ends in some piece but for the scraps that are lost.
     *
     * @return array{Range, Range, Range, Range} pieces, dough and baked grams of one, kcal of one
     */
    private static function cutBySize(Dough $dough, Range $baked, float $piece, float $used, float $kept): array
    {
        $ratio = $baked->best / $dough->grams->best;

        return [
            $dough->grams->times($used / $piece),
            Range::exact($piece),
            Range::of(
                $piece * min($ratio, $baked->low / max($dough->grams->low, 0.001)),
                $piece * $ratio,
                $piece * max($ratio, $baked->high / max($dough->grams->high, 0.001)),
            ),
            $dough->kcalPerGram()->times($kept * $piece / $used),
        ];
    }

    /** @return array<string, float> */
    private static function inOnePiece(Dough $dough, Range $pieceKcal, Range $count): array
    {
        $share = $dough->kcal->best > 0 ? $pieceKcal->best / $dough->kcal->best : ($count->best > 0 ? 1 / $count->best : 0.0);

        return array_map(static fn (float $amount): float => $amount * $share, $dough->substances);
    }
}
