<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Baking\Cut;
use MildBowl\Core\Baking\SheetPlan;
use MildBowl\Core\Dogs\Dog;

/** One size for one or more dogs. */
final readonly class SizeOf
{
    /**
     * @param  list<Dog>  $dogs
     * @param  ?float  $commonCutterMm  the largest common cutter of the shape that is not larger
     */
    public function __construct(public array $dogs, public Cut $cut, public int $pieces, public float $kcalPerPiece, public float $doughGrams, public ?float $commonCutterMm, public ?SheetPlan $sheet) {}
}
