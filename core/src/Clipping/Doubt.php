<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

/** A question that what a recipe says deserves. */
final readonly class Doubt
{
    public function __construct(public string $text, public string $question) {}
}
