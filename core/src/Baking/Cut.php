<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

use MildBowl\Core\Baking\Shapes\Counted;
use MildBowl\Core\Baking\Shapes\Lies;
use MildBowl\Core\Baking\Shapes\Shape;
use MildBowl\Core\Baking\Shapes\Shapes;

/** One piece: a shape in its sizes, in mm and ml. */
final readonly class Cut
{
    private const COUNT_ASSUMED = 24.0;

    private function __construct(public Shape $form, /** @var array<string, float> */ public array $sizes) {}

    /**
     * @param  array<string, float>  $sizes  by the names of the contract: all that the shape asks for
     *
     * @throws \OutOfBoundsException when there is no such shape, or a size of it is missing
     */
    public static function of(string|Shape $shape, array $sizes): self
    {
        $form = $shape instanceof Shape ? $shape : Shapes::named($shape);
        foreach ($form->sizes() as $size) {
            if (! isset($sizes[$size->key])) {
                throw new \OutOfBoundsException("A {$form->id()} needs its {$size->key}.");
            }
        }

        return new self($form, $sizes);
    }

    /** What is taken where nobody said: so many pieces, of no known size. */
    public static function assumed(): self
    {
        return new self(Counted::pieces(), ['count' => self::COUNT_ASSUMED]);
    }

    /**
     * The largest piece of a shape that stays under a volume and a safe bite, in sizes that a ruler can do.
     *
     * @param  array<string, float>  $given  sizes that stay as they are; thickness is 6 mm when left out
     * @param  float  $ml  most that a piece may be
     * @return ?self null when no piece that can be cut is small enough
     */
    public static function largest(Shape $form, array $given, float $ml, ?float $biteMm): ?self
    {
        $sizes = $form->fitted($given, $ml * 1000, $biteMm ?? INF);

        return $sizes === null ? null : new self($form, $sizes);
    }

    /** The same shape with pieces at least so many times smaller, in sizes that a ruler can do; null where none can be cut. */
    public function smaller(float $times): ?self
    {
        $count = $this->count();
        if ($count !== null) {
            return new self($this->form, ['count' => ceil($count * $times - 1e-9)] + $this->sizes);
        }
        $given = array_intersect_key($this->sizes, ['thicknessMm' => 1, 'sheetWidthMm' => 1, 'sheetLengthMm' => 1, 'depthMm' => 1, 'cavities' => 1]);
        $ml = (float) $this->pieceMl() / $times;

        return self::largest($this->form, $given, $ml, $this->largestMm()) ?? self::largest($this->form, array_diff_key($given, ['thicknessMm' => 1]), $ml, $this->largestMm());
    }

    /** How many pieces of this come out of one of another of the same shape. */
    public function timesSmallerThan(self $other): float
    {
        $count = $this->count();

        return $count !== null ? $count / max(1.0, (float) $other->count()) : (float) $other->pieceMl() / max(1e-9, (float) $this->pieceMl());
    }

    public function shape(): string
    {
        return $this->form->id();
    }

    /** Volume of one piece in ml; null where the cut is a count. */
    public function pieceMl(): ?float
    {
        return $this->form->pieceMl($this->sizes);
    }

    /** Pieces where the cut is a count. */
    public function count(): ?float
    {
        return $this->form->count($this->sizes);
    }

    /** Share of the dough that ends in pieces. */
    public function used(): float
    {
        return $this->form->used();
    }

    /** Whether its pieces are hollows or squares, of which none is filled by half. */
    public function hasCells(): bool
    {
        return $this->form->hasCells();
    }

    /** Largest dimension of a piece in mm; null where the cut does not say. */
    public function largestMm(): ?float
    {
        return $this->form->largestMm($this->sizes);
    }

    /** How thick a piece lies in the oven, in mm; null where the cut does not say. */
    public function thicknessMm(): ?float
    {
        return $this->form->thicknessMm($this->sizes);
    }

    /** @return array{float, float}|null length and width of a piece seen from above, in mm; null where the cut does not say */
    public function footprintMm(): ?array
    {
        return $this->form->footprintMm($this->sizes);
    }

    public function lies(): Lies
    {
        return $this->form->lies();
    }

    public function isFlat(): bool
    {
        return $this->form->isFlat();
    }

    /**
     * How a piece that is too large is broken so that no part is longer than a bite: parts along its length and its width.
     *
     * @return array{int, int}|null
     */
    public function partsFor(float $biteMm): ?array
    {
        $footprint = $this->footprintMm();

        return $footprint === null ? null : [max(1, (int) ceil($footprint[0] / $biteMm - 1e-9)), max(1, (int) ceil($footprint[1] / $biteMm - 1e-9))];
    }

    /** What is odd about these sizes, in plain words; null when nothing is. */
    public function oddity(): ?string
    {
        $thick = $this->sizes['thicknessMm'] ?? null;
        $footprint = $this->footprintMm();
        if ($thick === null || $footprint === null) {
            return null;
        }

        return match (true) {
            $thick < 1 => 'Under 1 mm a dough tears: roll it thicker.',
            $thick > min($footprint) => 'It is thicker than it is wide: cut it wider, or roll it thinner.',
            default => null,
        };
    }
}
