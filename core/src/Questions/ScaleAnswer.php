<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Sizes\ScaledLine;

/** A recipe scaled. */
final readonly class ScaleAnswer
{
    /**
     * @param  list<ScaledLine>  $lines  that were rewritten, or could not be
     * @param  list<string>  $warnings
     */
    public function __construct(public float $factor, public string $recipeText, public array $lines, public array $warnings, public ?WholeEggs $wholeEggs) {}
}
