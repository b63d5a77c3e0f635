<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** A food as a label names it. */
final readonly class GiftFood
{
    /** @param  ?float  $grams  of it went in, best guess; null where nobody knows */
    public function __construct(public string $name, public ?float $grams, public bool $isAllergen) {}
}
