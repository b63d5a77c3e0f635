<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

/** What a trial came to, as a person says. */
enum TrialOutcome: string
{
    case Well = 'well';
    case Badly = 'badly';

    /** Broken off, or nobody can tell. */
    case Open = 'open';
}
