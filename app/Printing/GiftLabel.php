<?php

declare(strict_types=1);

namespace App\Printing;

use Carbon\CarbonImmutable;

/** What is known of one thing that is given away. */
final readonly class GiftLabel
{
    /**
     * @param  array<string, mixed>  $away  the answer of `give-away`, of what was made or of the recipe
     * @param  array<string, mixed>|null  $cut
     * @param  ?string  $number  of its bag
     * @param  ?string  $for  whom it is made for
     * @param  ?string  $holds  how much is in it, and how long it lasts whom
     */
    public function __construct(
        public string $title, public array $away, public ?array $cut, public ?CarbonImmutable $made = null, public ?CarbonImmutable $bestBefore = null, public ?string $number = null,
        public ?string $for = null, public ?string $holds = null,
    ) {}
}
