<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Watching\SignKind;

/** Of one kind of sign: every food that can be judged, the likeliest first. */
final readonly class SuspectsOfKind
{
    /** @param  list<Suspect>  $suspects */
    public function __construct(public SignKind $kind, public array $suspects, public ?NextTest $nextTest) {}
}
