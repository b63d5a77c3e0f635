<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** A question that what a recipe says deserves. */
final readonly class Doubt
{
    /**
     * @param  ?int  $row  where it is said, from 0; null when it is about several rows
     * @param  'text'|'steps'|null  $in
     */
    public function __construct(public string $text, public string $question, public ?int $row = null, public ?string $in = null) {}
}
