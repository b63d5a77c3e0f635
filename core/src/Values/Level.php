<?php

declare(strict_types=1);

namespace MildBowl\Core\Values;

/** How bad a finding is, worst first. Source: reference, page 3. */
enum Level: string
{
    case Never = 'never';
    case Unknown = 'unknown';
    case Allergen = 'allergen';
    case Limit = 'limit';
    case AskVet = 'ask-vet';
    case CheckLabel = 'check-label';
    case Caution = 'caution';

    public function rank(): int
    {
        return match ($this) {
            self::Never => 0,
            self::Unknown => 1,
            self::Allergen => 2,
            self::Limit => 3,
            self::AskVet => 4,
            self::CheckLabel => 5,
            self::Caution => 6,
        };
    }

    /** Whether it keeps a dog from being cleared until somebody settles it. */
    public function blocks(): bool
    {
        return $this !== self::Limit && $this !== self::Caution;
    }

    /** Whether a person's confirmation settles it. */
    public function canBeConfirmed(): bool
    {
        return $this === self::AskVet || $this === self::CheckLabel;
    }
}
