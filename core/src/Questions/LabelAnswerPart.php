<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Screening\Finding;

/** One part of a label with what is found on it. */
final readonly class LabelAnswerPart
{
    /**
     * @param  ?string  $ingredient  id; null where it was not recognised
     * @param  list<Finding>  $findings
     */
    public function __construct(public string $text, public ?float $percent, public int $depth, public ?string $ingredient, public bool $trace, public array $findings) {}
}
