<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** Sizes that fulfil wishes, or why there are none. */
final readonly class SizeAnswer
{
    /**
     * @param  ?string  $remedy  what would make it possible
     * @param  ?float  $batchFactor  times the recipe that the dough must be
     * @param  list<SizeOf>  $sizes
     * @param  ?self  $ifCleared  what would come out once a vet or a label settled what stands against it
     */
    public function __construct(public bool $possible, public ?string $why, public ?string $remedy, public ?float $batchFactor, public array $sizes, public ?self $ifCleared = null) {}

    public static function impossible(string $why, string $remedy, ?self $ifCleared = null): self
    {
        return new self(false, $why, $remedy, null, [], $ifCleared);
    }
}
