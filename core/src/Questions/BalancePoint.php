<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** One way to share a mass between meat and flour. */
final readonly class BalancePoint
{
    /** @param  ?string  $feel  null where nothing tells how it feels */
    public function __construct(public float $meatGrams, public float $flourGrams, public string $meatText, public string $flourText, public ?string $feel, public bool $holds) {}
}
