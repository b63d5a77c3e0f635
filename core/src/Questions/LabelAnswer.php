<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Values\Level;

/** A label read for some dogs. */
final readonly class LabelAnswer
{
    /**
     * @param  list<LabelAnswerPart>  $parts
     * @param  ?Level  $worst  null where every part is clear
     */
    public function __construct(public array $parts, public ?Level $worst) {}
}
