<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Data\Compiled;

/** A step of what is seen, in words that can be told apart by eye, with its score. A row of sign-steps.csv. */
final readonly class SignStep
{
    private function __construct(
        public SignKind $kind,
        public int $step,
        /** 0 is none, 10 the worst */
        public float $score,
        public string $name,
        public string $meaning,
        /** a vet should hear of it today */
        public bool $urgent,
    ) {}

    /** @return list<self> in their order; none of a kind that is told by a number */
    public static function of(SignKind $kind): array
    {
        $steps = [];
        foreach (Compiled::signs()['steps'] as $row) {
            if ($row['kind'] === $kind->value) {
                $steps[] = new self($kind, (int) $row['step'], $row['score'], $row['name'], $row['meaning'], $row['urgent']);
            }
        }

        return $steps;
    }

    public static function numbered(SignKind $kind, int $step): ?self
    {
        foreach (self::of($kind) as $one) {
            if ($one->step === $step) {
                return $one;
            }
        }

        return null;
    }
}
