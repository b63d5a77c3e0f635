<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Measured;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;

/** A share of the dough as it was asked for; what it leaves open is taken from the recipe's own cut and texture. */
final readonly class AskedPortion
{
    public const MOST = 10;

    /**
     * @param  list<Dog>  $dogs
     * @param  ?float  $share  of the dough; null where what its dogs eat decides
     */
    public function __construct(
        public ?string $name,
        public array $dogs,
        public ?float $share,
        public ?Cut $cut,
        public ?Texture $texture,
        public Measured $measured,
        public ?string $id = null,
    ) {}
}
