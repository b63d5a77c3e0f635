<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** How the energy of growth runs from now to grown, beside what was weighed. */
final readonly class Growth
{
    /**
     * @param  list<Weighing>  $weighings
     * @param  list<array{kg: float, kcal: float}>  $curve  empty where it cannot be reckoned
     */
    public function __construct(public ?float $expectedKg, public int $adultFromMonths, public array $weighings, public array $curve, public string $source) {}
}
