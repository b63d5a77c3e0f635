<?php

declare(strict_types=1);

namespace App\Backup;

/** Why a backup was made. */
enum Reason: string
{
    case ByHand = 'by-hand';
    case Nightly = 'nightly';
    case BeforeUpgrade = 'before-upgrade';
    case BeforeFresh = 'before-fresh';
    case BeforeRestore = 'before-restore';
    case BroughtIn = 'brought-in';

    /** How many of a kind are kept, the newest; null: until somebody takes them away. */
    public function kept(int $nightly): ?int
    {
        return match ($this) {
            self::ByHand => null,
            self::Nightly => $nightly,
            self::BeforeUpgrade, self::BeforeFresh, self::BeforeRestore => 10,
            self::BroughtIn => 3,
        };
    }
}
