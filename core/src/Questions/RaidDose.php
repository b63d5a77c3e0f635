<?php

declare(strict_types=1);

namespace MildBowl\Core\Questions;

use MildBowl\Core\Raid\Threshold;
use MildBowl\Core\Values\Range;

/** How much of a poison a dog took, against where signs begin. */
final readonly class RaidDose
{
    /**
     * @param  ?Range  $perKg  null where the dog's weight is not known
     * @param  list<Threshold>  $thresholds
     * @param  ?string  $reached  the worst sign it may bring
     */
    public function __construct(
        public string $substance,
        public string $name,
        public string $unit,
        public Range $amount,
        public ?Range $perKg,
        public array $thresholds,
        public ?string $reached,
        public string $remark,
        public string $source,
    ) {}
}
