<?php

declare(strict_types=1);

namespace MildBowl\Core\Watching;

use MildBowl\Core\Values\Day;

/** What somebody wrote down of a dog on a day. */
final readonly class DiaryEntry
{
    /**
     * @param  string  $at  ISO 8601 in UTC with milliseconds: when it was written
     * @param  Day  $on  the day it is of
     * @param  array<string, mixed>  $said
     * @param  ?string  $photo  id of a photograph
     */
    public function __construct(public string $id, public string $at, public string $by, public string $dog, public Day $on, public DiaryKind $kind, public array $said, public ?string $photo) {}
}
