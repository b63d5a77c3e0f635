<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What a dog has of one treat in a day. */
final readonly class WeekShare
{
    /**
     * @param  ?string  $why  why it has none; null when it has some
     * @param  list<array{days: string, pieces: float}>  $ramp
     */
    public function __construct(public string $treat, public float $piecesPerDay, public float $kcal, public ?string $why, public array $ramp) {}
}
