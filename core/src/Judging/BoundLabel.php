<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Reading\ReadLine;

/** A product whose list of ingredients was read; it is bound to every line that holds its name. */
final readonly class BoundLabel
{
    public function __construct(public string $name, public string $ingredients, public ?string $id = null) {}

    public function isOn(ReadLine $line): bool
    {
        return mb_stripos($line->text, trim($this->name)) !== false;
    }
}
