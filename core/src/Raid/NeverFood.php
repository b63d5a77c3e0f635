<?php

declare(strict_types=1);

namespace MildBowl\Core\Raid;

/** Something on the never list that was in what a dog took. */
final readonly class NeverFood
{
    public function __construct(public string $food, public string $message, public ?string $figure, public bool $emergency) {}
}
