<?php

declare(strict_types=1);

namespace MildBowl\Core\Baking;

/** A share of one dough with its own cut and texture, for some of the dogs: large and hard for one, small and soft for another. */
final readonly class Lot
{
    /** @param  list<string>  $dogs  names */
    public function __construct(
        public ?string $name,
        public array $dogs,
        public float $share,
        public Cut $cut,
        public Texture $texture,
        public Batch $batch,
    ) {}
}
