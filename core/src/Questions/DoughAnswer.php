<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

/** What to work into a dough. */
final readonly class DoughAnswer
{
    /**
     * @param  ?float  $wetness  null where no flour takes water up, and where meat is the body
     * @param  ?string  $feels  what the hand says, or the sum
     * @param  ?string  $wants  what it is to become
     * @param  ?bool  $fits  whether it is right as it is
     * @param  ?DoughAddition  $add  null where nothing is to be added, or no addition mends it
     * @param  ?Balance  $balance  null where it has no meat or no flour
     */
    public function __construct(
        public ?float $wetness,
        public ?string $feels,
        public ?string $wants,
        public ?bool $fits,
        public ?DoughAddition $add,
        public string $says,
        public ?Balance $balance,
    ) {}
}
