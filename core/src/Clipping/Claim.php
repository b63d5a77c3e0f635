<?php

declare(strict_types=1);

namespace MildBowl\Core\Clipping;

use MildBowl\Core\Data\Compiled;

/** Something that is often said of a food, and what is known of it: a row of claims.csv. */
final readonly class Claim
{
    /** @param  list<string>  $words  that the claim is made with */
    private function __construct(public array $words, public string $known) {}

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static fn (array $row): self => new self($row['words'], $row['known']), Compiled::tables()['claims']);
    }
}
