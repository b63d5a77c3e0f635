<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking\Shapes;

/**
 * A kind of piece. Everything a safety check reads is asked of every shape, and none has a default: a shape that cannot say how large its
 * piece is does not compile. All methods but the naming ones are given the sizes the shape asked for, by their keys.
 */
interface Shape
{
    public function id(): string;

    /** As the baker calls it. */
    public function label(): string;

    /** @return non-empty-list<Size> in the order they are asked for */
    public function sizes(): array;

    /**
     * Volume of one piece in ml; null where the cut is only a count.
     *
     * @param  array<string, float>  $sizes
     */
    public function pieceMl(array $sizes): ?float;

    /**
     * Largest dimension of a piece in mm, for the safe bite; null where the cut is only a count.
     *
     * @param  array<string, float>  $sizes
     */
    public function largestMm(array $sizes): ?float;

    /**
     * How thick a piece lies in the oven, in mm; null where the cut is only a count.
     *
     * @param  array<string, float>  $sizes
     */
    public function thicknessMm(array $sizes): ?float;

    /**
     * Length and width of a piece seen from above, in mm; null where the cut is only a count.
     *
     * @param  array<string, float>  $sizes
     * @return array{float, float}|null
     */
    public function footprintMm(array $sizes): ?array;

    /**
     * Pieces where the cut says how many there are in all; null where that follows from the dough.
     *
     * @param  array<string, float>  $sizes
     */
    public function count(array $sizes): ?float;

    /** Share of the dough that ends in pieces: scraps of a rolled sheet are rolled again, and a little is lost. */
    public function used(): float;

    /** Whether its pieces are hollows or squares that stand fast: dough fills a whole one or is left over. */
    public function hasCells(): bool;

    /** Whether a piece that is too large is broken both ways. */
    public function isFlat(): bool;

    public function lies(): Lies;

    /**
     * The sizes of the largest piece of at most so many mm³ whose sides stay under a bite; null when none that can be cut is small enough.
     *
     * @param  array<string, float>  $given  sizes that stay as they are
     * @return array<string, float>|null
     */
    public function fitted(array $given, float $mm3, float $biteMm): ?array;

    /** How it is drawn; null where nothing but a number is known of it. */
    public function drawing(): ?Drawing;
}
