<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Values\Range;

/** What one school says a dog burns in a day. */
final readonly class ProfileSchool
{
    public function __construct(public string $school, public string $name, public bool $chosen, public ?Range $dailyKcal, public ?string $made, public ?string $note) {}
}
