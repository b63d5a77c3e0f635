<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Screening\Finding;

/** A person's word that settles a finding: an asked vet, a read label. */
final readonly class Confirmation
{
    /**
     * @param  string  $code  of the finding, or its level
     * @param  ?string  $line  as written; null for any line, and for what is said of a dog
     * @param  ?string  $dog  id or name; null for every dog
     */
    public function __construct(public string $code, public ?string $line, public ?string $dog) {}

    /** Whether it settles a finding of a line (null: of the dog). */
    public function settles(Finding $finding, ?string $line): bool
    {
        return $finding->level->canBeConfirmed()
            && ($this->code === $finding->code || $this->code === $finding->level->value)
            && ($this->line === null || ($line !== null && trim($this->line) === trim($line)))
            && ($this->dog === null || $finding->dog?->isCalled($this->dog) === true);
    }

    /**
     * The findings as these confirmations leave them.
     *
     * @param  list<Finding>  $findings
     * @param  list<self>  $confirmed
     * @return list<Finding>
     */
    public static function settle(array $findings, ?string $line, array $confirmed): array
    {
        return $confirmed === [] ? $findings : array_map(static fn (Finding $finding): Finding => self::isSettled($finding, $line, $confirmed) ? $finding->confirmed() : $finding, $findings);
    }

    /** @param  list<self>  $confirmed */
    public static function isSettled(Finding $finding, ?string $line, array $confirmed): bool
    {
        foreach ($confirmed as $one) {
            if ($one->settles($finding, $line)) {
                return true;
            }
        }

        return false;
    }
}
