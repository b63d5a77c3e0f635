<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

use MildBowl\Core\Baking\Batch;
use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;

/** A share of one dough with its own cut and texture, for some of the dogs: large and hard for one, small and soft for another. */
final readonly class Lot
{
    /** Those that a whole piece of it bears on. */
    public Doses $doses;

    /**
     * @param  ?string  $name  null for what no portion was asked of
     * @param  list<Dog>  $dogs
     */
    public function __construct(
        public ?string $name,
        public array $dogs,
        public float $share,
        public Cut $cut,
        public Texture $texture,
        public Batch $batch,
        public ?string $id = null,
    ) {
        $this->doses = Doses::in($batch->pieceSubstances);
    }

    public function isFor(Dog $dog): bool
    {
        foreach ($this->dogs as $one) {
            if ($one->key() === $dog->key()) {
                return true;
            }
        }

        return false;
    }
}
