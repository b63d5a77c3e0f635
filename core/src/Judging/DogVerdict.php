<?php

declare(strict_types=1);

namespace MildBowl\Core\Judging;

use MildBowl\Core\Dogs\Dog;
use MildBowl\Core\Screening\Finding;
use MildBowl\Core\Values\Level;

/** What all findings together come to for one dog. */
final readonly class DogVerdict
{
    /**
     * @param  ?Level  $worst  of what is not settled; null where nothing was found
     * @param  list<Finding>  $findings  said of the dog itself
     */
    public function __construct(public Dog $dog, public bool $cleared, public ?Level $worst, public array $findings) {}
}
