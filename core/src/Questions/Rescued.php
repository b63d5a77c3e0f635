<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\Texture;
use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Swaps\Composed;

/** One rescue: the recipe as it would be written, and whom it serves. */
final readonly class Rescued
{
    /**
     * @param  list<Dog>  $served
     * @param  list<Dog>  $afterLabels  dogs that it serves once the labels it asks for were read
     * @param  ?Cut  $cut  null: as it was
     * @param  ?Texture  $texture  null: as it was
     * @param  float  $batchChange  what it adds to the batch or takes from it, as a share
     * @param  list<LeftOut>  $leftOut
     * @param  array{before: ?float, after: ?float}  $wetness
     * @param  bool  $optimal  whether it is proved that nothing costs less
     */
    public function __construct(public Composed $composed, public string $says, public array $served, public array $afterLabels, public array $leftOut, public ?Cut $cut, public ?Texture $texture, public float $batchChange, public array $wetness, public float $cost, public bool $optimal) {}
}
