<?php

declare(strict_types=1);

namespace MildBowl\Core\Feeding;

/** Something that somebody gave at one moment: to one dog, to several each, or to one of several and nobody knows which. */
final readonly class Gift
{
    /**
     * @param  string  $at  ISO 8601 in UTC with milliseconds
     * @param  list<array{dog: string, pieces: ?float}>  $dogs  ids, and what each had
     * @param  ?string  $bag  it came out of
     * @param  ?string  $batch  it is of, where it came out of no bag
     * @param  ?string  $text  a scrap in words
     * @param  array<string, mixed>|null  $label  of a bought treat, as `day` takes it
     * @param  bool  $isUnsure  one of the dogs had it, and nobody knows which: it is shared among them
     */
    public function __construct(public string $id, public string $at, public string $by, public array $dogs, public ?string $bag, public ?string $batch, public ?string $text, public ?array $label, public bool $isUnsure) {}

    /** Pieces that left the bag. */
    public function pieces(): float
    {
        return array_sum(array_map(static fn (array $one): float => $one['pieces'] ?? 0.0, $this->dogs));
    }
}
