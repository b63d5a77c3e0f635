<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

final readonly class SuspectsAnswer
{
    /** @param  list<SuspectsOfKind>  $kinds  those of which there was a sign */
    public function __construct(public array $kinds, public string $says) {}
}
